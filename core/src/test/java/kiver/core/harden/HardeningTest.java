package kiver.core.harden;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.OptionalDouble;
import kiver.core.crop.Hardiness;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

class HardeningTest {

    @ParameterizedTest(name = "{0} raised {1} K warmer, with {2} of its light: {3}")
    @CsvSource({
        "HARDY,2,1,NONE",
        "HARDY,5,1,BY_DAY",
        "HARDY,10,1,STEP_BY_STEP",
        "HARDY,5,0.5,STEP_BY_STEP",
        "HARDY,0,0.5,BY_DAY",
        "HALF_HARDY,2,1,BY_DAY",
        "HALF_HARDY,7,0.8,STEP_BY_STEP",
        "HALF_HARDY,0,0.5,STEP_BY_STEP",
        "TENDER,0,1,STEP_BY_STEP"
    })
    void theUsualProgramme(Hardiness hardiness, double warmer, double light, String programme) {
        assertThat(HardeningProgramme.usualFor(hardiness, warmer, light).code()).isEqualTo(programme);
    }

    @ParameterizedTest
    @FieldSource("kiver.core.harden.HardeningProgramme#SCHOOLS")
    void hoursNeverGrowFewer(HardeningProgramme programme) {
        for (int day = 1; day < programme.days() + 3; day++) {
            assertThat(programme.on(day + 1).hours())
                    .isGreaterThanOrEqualTo(programme.on(day).hours());
        }
    }

    @ParameterizedTest(name = "{0}, night {1} °C, day {2} °C, day {3} of the programme: {4}, then {5}")
    @CsvSource({
        "TENDER, 9, 18, 1, OUT, IN",
        "TENDER, 2, 7, 3, IN, IN",
        "TENDER, 14, 33, 2, IN, IN",
        "TENDER, 14, 28, 5, UNTIL_ONE, IN",
        "TENDER, 14, 28, 10, OUT, OUT",
        "TENDER, 8, 18, 9, OUT, OUT",
        "TENDER, 4.5, 18, 9, OUT, FLEECE",
        "TENDER, 2.5, 18, 9, OUT, FROST_BLANKET",
        "TENDER, 1.5, 18, 9, OUT, IN",
        "TENDER, 8, 18, 8, OUT, FLEECE",
        "HARDY, -4, 8, 9, OUT, FLEECE",
        "HARDY, -12, -6, 10, IN, IN"
    })
    void temperaturesDecide(
            Hardiness hardiness, double night, double day, int of, Outing.Day byDay, Outing.Night atNight) {
        Outing outing = outing(hardiness, of, new DayAhead(new DailyRange(night, day)));
        assertThat(outing.byDay()).isEqualTo(byDay);
        assertThat(outing.atNight()).isEqualTo(atNight);
    }

    private static Outing outing(Hardiness hardiness, int day, DayAhead ahead) {
        HardeningProgramme steps = HardeningProgramme.STEP_BY_STEP;
        return Outing.on(hardiness, steps.on(day), day <= steps.days(), ahead);
    }

    private static Outing under(int day, double gust, double rain, double hail, double sun) {
        Sky sky = new Sky(
                OptionalDouble.of(gust), OptionalDouble.of(rain), OptionalDouble.of(hail), OptionalDouble.of(sun));
        return outing(Hardiness.TENDER, day, new DayAhead(new DailyRange(12, 22), sky));
    }

    @Test
    void theSkyDecidesToo() {
        assertThat(under(2, 5, 0, 0, 0.5).because()).isEmpty();
        assertThat(under(2, 12, 0, 0, 0.5).byDay()).as("not used to wind").isEqualTo(Outing.Day.SHELTERED);
        assertThat(under(6, 12, 0, 0, 0.5).byDay()).as("used to it by now").isEqualTo(Outing.Day.OUT);
        assertThat(under(10, 18, 0, 0, 0.5).because())
                .as("a storm, hardened or not")
                .containsExactly(Outing.Cause.STORM);
        assertThat(under(2, 5, 20, 0, 0.1).because()).containsExactly(Outing.Cause.DOWNPOUR);
        assertThat(under(2, 5, 3, 0.4, 0.4).counts()).as("hail is likely").isFalse();
        Outing dull = outing(
                Hardiness.TENDER,
                5,
                new DayAhead(
                        new DailyRange(14, 28),
                        new Sky(
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.of(0.2))));
        assertThat(dull.byDay()).as("a dull mild day is the best").isEqualTo(Outing.Day.OUT);
    }

    @Test
    void aForecastThatCannotBeIsRefused() {
        assertThatThrownBy(() -> under(1, -1, 0, 0, 0)).hasMessageContaining("gust");
        assertThatThrownBy(() -> under(1, 1, 0, 1.2, 0)).hasMessageContaining("hail");
        assertThatThrownBy(() -> new Exposure(0, true, true, Exposure.Night.IN)).hasMessageContaining("1 to 24 hours");
    }

    @Test
    void recordsThatKeepDaysAloneTellTheProgramme() {
        assertThat(HardeningProgramme.taking(9, HardeningProgramme.BY_DAY)).isEqualTo(HardeningProgramme.STEP_BY_STEP);
        assertThat(HardeningProgramme.taking(5, HardeningProgramme.BY_DAY)).isEqualTo(HardeningProgramme.BY_DAY);
        assertThat(HardeningProgramme.taking(7, HardeningProgramme.BY_DAY))
                .as("of an earlier Kiver")
                .isEqualTo(HardeningProgramme.BY_DAY);
    }

    @Test
    void tenderPlantsStandLeast() {
        assertThat(Hardiness.HARDY.floor()).isLessThan(Hardiness.HALF_HARDY.floor());
        assertThat(Hardiness.HALF_HARDY.floor()).isLessThan(Hardiness.TENDER.floor());
    }
}
