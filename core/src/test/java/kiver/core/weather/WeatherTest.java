package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeatherTest {

    private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);
    private static final StationClimate VALLEY = new StationClimate(9, 10, 10, 3, 0.7);

    /** Allen et al. (1998), table 2.6: extraterrestrial radiation on the 15th of the month, MJ m⁻² d⁻¹. */
    @ParameterizedTest(name = "{0}° on {1}: {2}")
    @CsvSource({"46,2027-06-15,41.5", "46,2027-12-15,10.2", "-20,2027-09-03,32.2", "0,2027-03-15,37.9"})
    void radiationAsPublished(double latitude, LocalDate day, double megajoules) {
        assertThat(Daylight.extraterrestrialRadiation(latitude, day)).isCloseTo(megajoules, within(0.6));
    }

    @Test
    void meanOverADayKeepsTheExtremesApart() {
        assertThat(DayCurve.meanOverDay(10, 20, temperature -> temperature)).isBetween(14.5, 15.5);
        assertThat(DayCurve.meanOverDay(12, 12, temperature -> temperature)).isEqualTo(12);
        double aboveTen = DayCurve.meanOverDay(0, 20, temperature -> Math.max(0, temperature - 10));
        assertThat(aboveTen).as("a mean of 10 °C still grows by day").isGreaterThan(2);
    }

    @Test
    void theSameSeedDrawsTheSameYears() {
        StationRecord one = StationSimulator.draw(VALLEY, new SplittableRandom(4), FIRST, 3650);
        assertThat(one).isEqualTo(StationSimulator.draw(VALLEY, new SplittableRandom(4), FIRST, 3650));
        double julyMean = meanOf(one, 7);
        double januaryMean = meanOf(one, 1);
        assertThat(julyMean).isBetween(17.0, 21.0);
        assertThat(januaryMean).isBetween(-3.0, 1.0);
    }

    @Test
    void scenariosShareThePastAndTheForecastAndThenPart() {
        StationRecord record = StationSimulator.draw(VALLEY, new SplittableRandom(4), FIRST, 4000);
        LocalDate today = record.lastDay();
        List<DailyRange> forecast = List.of(new DailyRange(1, 2), new DailyRange(3, 4));
        List<StationRecord> scenarios = record.scenarios(today, forecast, today.minusDays(20), today.plusDays(60));
        assertThat(scenarios).hasSize(10);
        for (StationRecord scenario : scenarios) {
            assertThat(scenario.firstDay()).isEqualTo(today.minusDays(20));
            assertThat(scenario.lastDay()).isEqualTo(today.plusDays(60));
            assertThat(scenario.on(today)).isEqualTo(record.on(today));
            assertThat(scenario.on(today.plusDays(2))).isEqualTo(new DailyRange(3, 4));
        }
        LocalDate later = today.plusDays(30);
        assertThat(scenarios.get(2).on(later)).isEqualTo(record.on(later.minusYears(3)));
        assertThat(scenarios.stream().map(each -> each.on(later)).distinct()).hasSizeGreaterThan(5);
    }

    @Test
    void needsAWholePastYear() {
        StationRecord record = StationSimulator.draw(VALLEY, new SplittableRandom(4), FIRST, 100);
        assertThatThrownBy(() -> record.scenarios(
                        record.lastDay(), List.of(), FIRST, record.lastDay().plusDays(9)))
                .hasMessageContaining("at least one is needed");
    }

    @Test
    void refusesSwappedTemperatures() {
        assertThatThrownBy(() -> new DailyRange(9, 2)).hasMessageContaining("are they swapped?");
    }

    private static double meanOf(StationRecord record, int month) {
        return IntStream.range(0, record.days().size())
                .filter(index -> record.firstDay().plusDays(index).getMonthValue() == month)
                .mapToDouble(index -> record.days().get(index).middle())
                .average()
                .orElseThrow();
    }

    @Test
    void withinThePolarCirclesTheSunMayNotSetOrNotRise() {
        assertThat(Daylight.dayLength(78, LocalDate.of(2027, 6, 21))).isEqualTo(24);
        assertThat(Daylight.dayLength(78, LocalDate.of(2027, 12, 21))).isZero();
        assertThat(Daylight.dayLength(-90, LocalDate.of(2027, 12, 21))).isEqualTo(24);
        assertThat(Daylight.lightOutdoors(70, LocalDate.of(2027, 12, 21), new DailyRange(-12, -4)))
                .isBetween(0.0, 1.0);
        assertThat(Daylight.lightOutdoors(70, LocalDate.of(2027, 6, 21), new DailyRange(6, 16)))
                .isGreaterThan(20);
    }
}
