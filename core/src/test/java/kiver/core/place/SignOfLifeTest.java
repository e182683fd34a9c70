package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SignOfLifeTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2027, 4, 15, 6, 0);
    private static final Duration DAY = Duration.ofDays(1);

    @Test
    void isSilentOnlyAfterItsTime() {
        assertThat(heard(NOW.minusHours(24))).isEqualTo(SignOfLife.LATELY);
        assertThat(heard(NOW.minusHours(24).minusMinutes(1))).isEqualTo(SignOfLife.SILENT);
    }

    /** Clocks of devices may run ahead a little. */
    @Test
    void aMomentToComeIsASignOfLife() {
        assertThat(heard(NOW.plusMinutes(9))).isEqualTo(SignOfLife.LATELY);
    }

    @Test
    void isAwaitedForAsLongAfterItWasSetUp() {
        assertThat(SignOfLife.of(Optional.empty(), NOW.minusHours(5), NOW, DAY)).isEqualTo(SignOfLife.AWAITED);
        assertThat(SignOfLife.of(Optional.empty(), NOW.minusHours(25), NOW, DAY))
                .isEqualTo(SignOfLife.SILENT);
    }

    @Test
    void patienceIsMoreThanNone() {
        assertThatIllegalArgumentException().isThrownBy(() -> SignOfLife.of(Optional.empty(), NOW, NOW, Duration.ZERO));
    }

    private static SignOfLife heard(LocalDateTime at) {
        return SignOfLife.of(Optional.of(at), NOW.minusDays(100), NOW, DAY);
    }
}
