package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import kiver.core.crop.ColdNeeds;
import kiver.core.crop.Hardiness;
import kiver.core.growth.CardinalTemperatures;
import org.junit.jupiter.api.Test;

/** What nights below a crop's floor cost, and when cold makes it run to seed. */
class ColdNightsTest {

    private static final CardinalTemperatures WARM = CardinalTemperatures.of(8, 25, 36);
    private static final ColdNeeds TOMATO = ColdNeeds.of(Hardiness.TENDER);
    private static final ColdNeeds CELERY = new ColdNeeds(6, 14, 4);

    private static List<ColdNights.Day> days(int count, double minimum, double maximum, double leaves) {
        return Collections.nCopies(count, new ColdNights.Day(minimum, maximum, leaves));
    }

    @Test
    void nightsBelowTheFloorAreCountedWithTheDaysTheyCost() {
        List<ColdNights.Day> days = new ArrayList<>(days(10, 14, 24, 3));
        assertThat(ColdNights.of(days, TOMATO, WARM).nights()).isZero();
        assertThat(ColdNights.of(days, TOMATO, WARM).daysLost()).isZero();
        days.addAll(days(5, 4, 20, 3));
        ColdNights cold = ColdNights.of(days, TOMATO, WARM);
        assertThat(cold.nights()).isEqualTo(5);
        assertThat(cold.coldest()).isEqualTo(4);
        assertThat(cold.daysLost()).isBetween(0.5, 5.0);
        days.addAll(days(5, 0, 16, 3));
        assertThat(ColdNights.of(days, TOMATO, WARM).daysLost())
                .as("colder ones cost more")
                .isGreaterThan(2 * cold.daysLost());
        assertThat(cold.bolting()).as("it does not bolt").isZero();
    }

    /** Summed hour by hour along the same half cosine instead of by the curve's own steps. */
    @Test
    void daysLostAreThoseOfASumOverHours() {
        double lost = 0;
        double usual = 0;
        int steps = 1000;
        for (int step = 0; step < steps; step++) {
            double share = 0.5 * (1 - Math.cos(Math.PI * (step + 0.5) / steps));
            double actual = WARM.rate(4 + 16 * share);
            double spared = WARM.rate(13 + 7 * share);
            lost += (spared - actual) / steps;
            usual += spared / steps;
        }
        assertThat(ColdNights.of(days(7, 4, 20, 3), TOMATO, WARM).daysLost()).isCloseTo(7 * lost / usual, within(0.05));
    }

    @Test
    void theAnswerToColdIsFullAtItsBestAndNothingAtItsEnds() {
        assertThat(ColdNights.answerToCold(6)).isCloseTo(1, within(1e-9));
        assertThat(ColdNights.answerToCold(-1)).isZero();
        assertThat(ColdNights.answerToCold(15)).isZero();
        assertThat(ColdNights.answerToCold(14.99)).isCloseTo(0, within(0.01));
        assertThat(ColdNights.answerToCold(0)).isBetween(0.1, 0.7);
        assertThat(ColdNights.answerToCold(10)).isBetween(0.5, 1.0);
    }

    @Test
    void coldMakesPlantsBoltThatAreLargeEnoughToNoticeIt() {
        assertThat(ColdNights.of(days(14, 6, 6, 5), CELERY, WARM).bolting())
                .as("half of them after the days that it takes")
                .isCloseTo(0.5, within(0.001));
        assertThat(ColdNights.of(days(14, 6, 6, 3), CELERY, WARM).bolting())
                .as("small ones sleep through it")
                .isZero();
        assertThat(ColdNights.of(days(5, 6, 6, 5), CELERY, WARM).bolting()).isLessThan(0.01);
        assertThat(ColdNights.of(days(40, 15, 25, 5), CELERY, WARM).coldDays()).isZero();
        assertThat(ColdNights.of(List.of(), CELERY, WARM).bolting()).isZero();
    }
}
