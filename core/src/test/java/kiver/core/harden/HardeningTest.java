package kiver.core.harden;

import static org.assertj.core.api.Assertions.assertThat;

import kiver.core.crop.Hardiness;
import kiver.core.weather.DailyRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HardeningTest {

    @ParameterizedTest(name = "{0} raised at {1} °C: {2}")
    @CsvSource({
        "HARDY,12,NONE",
        "HARDY,20,BY_DAY",
        "HALF_HARDY,12,BY_DAY",
        "HALF_HARDY,20,BY_DAY",
        "TENDER,18,STEP_BY_STEP"
    })
    void theUsualProgramme(Hardiness hardiness, double raisedAt, HardeningProgramme programme) {
        assertThat(HardeningProgramme.usualFor(hardiness, raisedAt)).isEqualTo(programme);
    }

    @ParameterizedTest
    @EnumSource(HardeningProgramme.class)
    void hoursNeverGrowFewer(HardeningProgramme programme) {
        for (int day = 1; day < programme.days() + 3; day++) {
            assertThat(programme.hoursOn(day)).isBetween(1, 24);
            assertThat(programme.hoursOn(day + 1)).isGreaterThanOrEqualTo(programme.hoursOn(day));
        }
    }

    @ParameterizedTest(name = "{0}, night {1} °C, day {2} °C, {3} of 5 days done: {4}")
    @CsvSource({
        "HARDY,-2,8,0,OUT", "HARDY,-4,8,0,IN_AT_NIGHT", "HARDY,-5,8,5,OUT", "HARDY,-12,-6,5,STAY_IN",
        "HALF_HARDY,1,9,0,IN_AT_NIGHT", "HALF_HARDY,3,12,0,OUT", "TENDER,4,15,0,IN_AT_NIGHT", "TENDER,7,18,0,OUT",
        "TENDER,2,7,2,STAY_IN", "TENDER,14,33,1,STAY_IN", "TENDER,14,33,5,OUT"
    })
    void theWeatherDecides(Hardiness hardiness, double night, double day, int done, DayOutside advice) {
        assertThat(DayOutside.on(hardiness, new DailyRange(night, day), done, 5))
                .isEqualTo(advice);
    }

    @Test
    void tenderPlantsStandLeast() {
        assertThat(Hardiness.HARDY.floor()).isLessThan(Hardiness.HALF_HARDY.floor());
        assertThat(Hardiness.HALF_HARDY.floor()).isLessThan(Hardiness.TENDER.floor());
    }
}
