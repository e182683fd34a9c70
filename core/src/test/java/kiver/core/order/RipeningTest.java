package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class RipeningTest {

    private static final double LATITUDE = 46;
    private static final double LONGEST = Ripening.longestDay(LATITUDE, 2027);

    @Test
    void countsNearlyDayForDayAboutMidsummerAndSlowerInAutumn() {
        LocalDate july = LocalDate.of(2027, 7, 25);
        assertThat(Ripening.plantedBy(july, 60, LONGEST, LATITUDE)).isBetween(july.minusDays(63), july.minusDays(60));
        LocalDate october = LocalDate.of(2027, 10, 15);
        // The two weeks that growers allow.
        assertThat(Ripening.plantedBy(october, 60, LONGEST, LATITUDE))
                .isBetween(october.minusDays(78), october.minusDays(70));
        assertThat(Ripening.plantedBy(october, 0, LONGEST, LATITUDE)).isEqualTo(october);
    }

    /** Six months later on the other half of the earth it is the same. */
    @Test
    void holdsOnBothHalvesOfTheEarthAndEndsInThePolarNight() {
        LocalDate picked = LocalDate.of(2027, 4, 15);
        assertThat(Ripening.plantedBy(picked, 60, Ripening.longestDay(-46, 2027), -46))
                .isBetween(picked.minusDays(78), picked.minusDays(70));
        LocalDate newYear = LocalDate.of(2027, 1, 1);
        assertThat(Ripening.plantedBy(newYear, 30, Ripening.longestDay(78, 2027), 78))
                .isBefore(newYear.minusDays(60));
    }
}
