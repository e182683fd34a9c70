package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FeedTest {

    private static final LocalDate EMERGED = LocalDate.of(2027, 4, 1);
    private static final LocalDate TARGET = LocalDate.of(2027, 5, 20);
    private static final FeedProduct LIQUID = new FeedProduct(FeedProduct.Form.LIQUID, 5, 3, 7, 1.1);
    private static final FeedProduct POWDER = new FeedProduct(FeedProduct.Form.POWDER, 20, 10, 20, 1);

    @Test
    void theWorkedDosesAreMet() {
        assertThat(FeedDose.of(LIQUID, 100, 10).perLitre()).isCloseTo(1.82, within(0.005));
        assertThat(FeedDose.of(LIQUID, 100, 10).forCan()).isCloseTo(18.2, within(0.05));
        assertThat(FeedDose.of(POWDER, 150, 1).perLitre()).isCloseTo(0.75, within(1e-9));
        assertThat(FeedDose.of(POWDER, 199, 1).isStrong()).isFalse();
        assertThat(FeedDose.of(POWDER, 200, 1).isStrong()).isTrue();
    }

    /** Back from the dose: what is in the can is what was wanted. */
    @Test
    void theDoseHoldsWhatWasWanted() {
        double millilitres = FeedDose.of(LIQUID, 80, 12).forCan();
        double milligrams = millilitres * LIQUID.density() * 1000 * LIQUID.nitrogen() / 100;
        assertThat(milligrams / 12).isCloseTo(80, within(1e-9));
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> new FeedProduct(FeedProduct.Form.POWDER, 200, 0, 0, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new FeedProduct(FeedProduct.Form.POWDER, 50, 30, 30, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new FeedProduct(FeedProduct.Form.LIQUID, 5, 0, 0, 0))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> FeedDose.of(LIQUID, 100, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> FeedDose.of(new FeedProduct(FeedProduct.Form.POWDER, 0, 10, 10, 1), 100, 10))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static Optional<LocalDate> due(FeedSchool school, LocalDate lastFed) {
        return new FeedClock(school, EMERGED, EMERGED.plusDays(14), Optional.ofNullable(lastFed), TARGET).due();
    }

    @Test
    void theMixFeedsFirstAndThenOnceAWeek() {
        assertThat(due(FeedSchool.BY_RESERVE, null)).contains(EMERGED.plusDays(14));
        assertThat(due(FeedSchool.BY_RESERVE, EMERGED.plusDays(15))).contains(EMERGED.plusDays(22));
        assertThat(due(FeedSchool.BY_RESERVE, EMERGED.plusDays(3)))
                .as("fed too soon: the mix still feeds")
                .contains(EMERGED.plusDays(14));
        assertThat(due(FeedSchool.BY_RESERVE, TARGET.minusDays(3)))
                .as("it goes before")
                .isEmpty();
    }

    @Test
    void schoolsDiffer() {
        assertThat(due(FeedSchool.FROM_EMERGENCE, null)).contains(EMERGED);
        assertThat(due(FeedSchool.FROM_EMERGENCE, EMERGED.plusDays(2))).contains(EMERGED.plusDays(6));
        assertThat(due(FeedSchool.BEFORE_PLANTING, EMERGED.plusDays(2))).contains(TARGET.minusDays(7));
        assertThat(due(FeedSchool.BEFORE_PLANTING, TARGET.minusDays(5))).isEmpty();
        assertThat(due(FeedSchool.NEVER, null)).isEmpty();
    }
}
