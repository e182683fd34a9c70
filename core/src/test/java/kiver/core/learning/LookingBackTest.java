package kiver.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LookingBackTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 10);

    @Test
    void stepsAddUp() {
        Waterfall one = new Waterfall(100, 10, 80, 70, 60, 60, 55);
        assertThat(one.plus(new Waterfall(20, 0, 20, 20, 0, 0, 0)))
                .isEqualTo(new Waterfall(120, 10, 100, 90, 60, 60, 55));
        assertThat(one.plus(Waterfall.NOTHING)).isEqualTo(one);
    }

    @Test
    void noStepHoldsMoreThanTheOneBefore() {
        assertThatThrownBy(() -> new Waterfall(100, 30, 80, 70, 60, 60, 55))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Waterfall(100, 0, 80, 81, 60, 60, 55))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Waterfall(100, 0, 80, 70, 60, 60, 61))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aLineIsInTimeLateOrMissing() {
        Kept kept = Kept.of(List.of(
                new Kept.Line(DAY, Optional.of(DAY.minusDays(2))),
                new Kept.Line(DAY, Optional.of(DAY)),
                new Kept.Line(DAY, Optional.of(DAY.plusDays(3))),
                new Kept.Line(DAY, Optional.of(DAY.plusDays(6))),
                new Kept.Line(DAY, Optional.empty())));
        assertThat(kept).isEqualTo(new Kept(5, 2, 2, 1, 4.5));
        assertThat(kept.share()).isCloseTo(0.4, within(1e-12));
        assertThat(Kept.of(List.of()).share()).isZero();
    }
}
