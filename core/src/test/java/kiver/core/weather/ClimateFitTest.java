package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Told of five invented places, mild to harsh, on both halves of the earth; held on six hundred years that no fit saw. */
class ClimateFitTest {

    private static final int YEARS = 600;

    @ParameterizedTest
    @CsvSource({
        "inland basin,   true,  -6,  0, 14, 26, 04-28, 05-14, 10-05, 09-22",
        "far north,      true, -14, -6,  9, 20, 06-05, 06-18, 09-01, 08-20",
        "mild coast,     true,   4,  9, 13, 20, 03-20, 04-12, 11-25, 11-05",
        "southern plain, false,  3, 13, 13, 28, 09-20, 10-08, 05-15, 04-28",
        "southern hills, false, -3,  7,  8, 22, 11-10, 11-28, 03-28, 03-10"
    })
    void hasTheFrostDatesAndTheMonthsThatWereTold(
            String place,
            boolean northern,
            double coldLow,
            double coldHigh,
            double warmLow,
            double warmHigh,
            String last,
            String lastAtWorst,
            String first,
            String firstAtWorst) {
        ToldClimate told = new ToldClimate(
                new DailyRange(coldLow, coldHigh),
                new DailyRange(warmLow, warmHigh),
                Optional.of(new ToldClimate.Frosts(day(last), day(lastAtWorst), day(first), day(firstAtWorst))),
                northern);
        ClimateFit.Fitted fitted = ClimateFit.of(told);
        assertThat(fitted.off()).as("on the draws it was fitted on").isLessThan(5);
        StationRecord record =
                fitted.climate().draw(new SplittableRandom(77), LocalDate.of(1400, northern ? 1 : 7, 1), YEARS * 366);

        Seasons drawn = new Seasons(record, northern);
        assertThat(drawn.last(0.5)).as("last, usual").isCloseTo(fromMidsummer(last, northern), within(5.0));
        assertThat(drawn.last(0.9))
                .as("last, one year in ten")
                .isCloseTo(fromMidsummer(lastAtWorst, northern), within(5.0));
        assertThat(drawn.first(0.5)).as("first, usual").isCloseTo(fromMidsummer(first, northern), within(5.0));
        assertThat(drawn.first(0.1))
                .as("first, one year in ten")
                .isCloseTo(fromMidsummer(firstAtWorst, northern), within(5.0));

        assertThat(month(record, DailyRange::minimum, false)).isCloseTo(coldLow, within(1.0));
        assertThat(month(record, DailyRange::minimum, true)).isCloseTo(warmLow, within(1.0));
        assertThat(month(record, DailyRange::maximum, false)).isCloseTo(coldHigh, within(1.0));
        assertThat(month(record, DailyRange::maximum, true)).isCloseTo(warmHigh, within(1.0));
    }

    private static MonthDay day(String written) {
        return MonthDay.parse("--" + written);
    }

    private static double fromMidsummer(String written, boolean northern) {
        LocalDate midsummer = LocalDate.of(2027, northern ? 7 : 1, 15);
        long days = day(written).atYear(2027).toEpochDay() - midsummer.toEpochDay();
        return northern ? days : days > 200 ? days - 365 : days;
    }

    /** Days from midsummer to the frosts of each season, in order. */
    private record Seasons(double[] lasts, double[] firsts) {
        Seasons(StationRecord record, boolean northern) {
            this(new double[YEARS - 2], new double[YEARS - 2]);
            for (int season = 0; season < lasts.length; season++) {
                LocalDate midsummer = LocalDate.of(1401 + season, northern ? 7 : 1, 15);
                lasts[season] = -away(record, midsummer, -1);
                firsts[season] = away(record, midsummer, 1);
            }
            Arrays.sort(lasts);
            Arrays.sort(firsts);
        }

        double last(double share) {
            return lasts[(int) (lasts.length * share)];
        }

        double first(double share) {
            return firsts[(int) (firsts.length * share)];
        }

        /** Days from midsummer to the next frost, backwards or forwards. */
        private static double away(StationRecord record, LocalDate midsummer, int step) {
            int days = 0;
            while (days < 182
                    && record.on(midsummer.plusDays((long) step * days)).minimum() > 0) {
                days++;
            }
            return days;
        }
    }

    private static double month(StationRecord record, ToDoubleFunction<DailyRange> of, boolean warmest) {
        double[] means = months(record, of);
        return warmest
                ? Arrays.stream(means).max().orElseThrow()
                : Arrays.stream(means).min().orElseThrow();
    }

    private static double[] months(StationRecord record, ToDoubleFunction<DailyRange> of) {
        double[] sums = new double[12];
        int[] counts = new int[12];
        for (int index = 0; index < record.days().size(); index++) {
            int month = record.firstDay().plusDays(index).getMonthValue() - 1;
            sums[month] += of.applyAsDouble(record.days().get(index));
            counts[month]++;
        }
        double[] means = new double[12];
        Arrays.setAll(means, month -> sums[month] / counts[month]);
        return means;
    }

    /**
     * Five places that another generator made up: told are their usual and their one-in-ten dates, and what was not told, the
     * dates of one year in ten on the kind side and the months between (these within 1.6 K), must come out as well.
     */
    @ParameterizedTest
    @CsvSource({
        "mild south,   14, -6.5, 10, 2.8, 0.65",
        "hills south,   9, -7.5, 12, 3.0, 0.70",
        "inland,        9, 10.5, 10, 3.2, 0.72",
        "high valley,   5,  9.0, 12, 3.4, 0.70",
        "far north,     2, 13.0,  9, 4.0, 0.75"
    })
    void whatWasNotToldComesOutToo(
            String place, double mean, double amplitude, double swing, double deviation, double persistence) {
        boolean northern = amplitude > 0;
        StationRecord truth = StationSimulator.draw(
                new StationClimate(mean, amplitude, swing, deviation, persistence),
                new SplittableRandom(5),
                LocalDate.of(1400, northern ? 1 : 7, 1),
                YEARS * 366);
        Seasons truly = new Seasons(truth, northern);
        LocalDate midsummer = LocalDate.of(2027, northern ? 7 : 1, 15);
        ToldClimate told = new ToldClimate(
                new DailyRange(month(truth, DailyRange::minimum, false), month(truth, DailyRange::maximum, false)),
                new DailyRange(month(truth, DailyRange::minimum, true), month(truth, DailyRange::maximum, true)),
                Optional.of(new ToldClimate.Frosts(
                        MonthDay.from(midsummer.plusDays((long) truly.last(0.5))),
                        MonthDay.from(midsummer.plusDays((long) truly.last(0.9))),
                        MonthDay.from(midsummer.plusDays((long) truly.first(0.5))),
                        MonthDay.from(midsummer.plusDays((long) truly.first(0.1))))),
                northern);
        StationRecord drawn = ClimateFit.of(told)
                .climate()
                .draw(new SplittableRandom(78), LocalDate.of(1400, northern ? 1 : 7, 1), YEARS * 366);
        Seasons made = new Seasons(drawn, northern);
        for (double share : new double[] {0.1, 0.5, 0.9}) {
            assertThat(made.last(share)).as("last, " + share).isCloseTo(truly.last(share), within(5.0));
            assertThat(made.first(share)).as("first, " + share).isCloseTo(truly.first(share), within(5.0));
        }
        for (int month = 0; month < 12; month++) {
            assertThat(months(drawn, DailyRange::minimum)[month])
                    .as("lowest of month " + month)
                    .isCloseTo(months(truth, DailyRange::minimum)[month], within(1.6));
            assertThat(months(drawn, DailyRange::maximum)[month])
                    .as("highest of month " + month)
                    .isCloseTo(months(truth, DailyRange::maximum)[month], within(1.6));
        }
    }

    @Test
    void whatCannotBeIsNamed() {
        DailyRange cold = new DailyRange(-3, 3);
        DailyRange warm = new DailyRange(12, 24);
        assertThat(ToldClimate.fault(warm, cold, Optional.empty(), true))
                .contains(ToldClimate.Fault.MONTHS_TURNED_ROUND);
        assertThat(fault("11-10", "11-25", "04-02", "03-20", true)).contains(ToldClimate.Fault.OTHER_HALF_OF_THE_EARTH);
        assertThat(fault("11-10", "11-25", "04-02", "03-20", false)).isEmpty();
        assertThat(fault("05-10", "05-01", "10-02", "09-20", true)).contains(ToldClimate.Fault.LAST_SOONER_AT_WORST);
        assertThat(fault("05-10", "05-20", "10-02", "10-20", true)).contains(ToldClimate.Fault.FIRST_LATER_AT_WORST);
        assertThat(fault("06-20", "07-20", "08-02", "07-10", true)).contains(ToldClimate.Fault.FROST_ALL_SUMMER);
        assertThat(fault("02-28", "02-29", "11-02", "10-20", true)).isEmpty();
    }

    private static Optional<ToldClimate.Fault> fault(
            String last, String lastAtWorst, String first, String firstAtWorst, boolean northern) {
        return ToldClimate.fault(
                new DailyRange(-3, 3),
                new DailyRange(12, 24),
                Optional.of(new ToldClimate.Frosts(day(last), day(lastAtWorst), day(first), day(firstAtWorst))),
                northern);
    }

    @Test
    void whatDoesNotFitTogetherIsTold() {
        // Winters of ten degrees and frost until June.
        ToldClimate impossible = new ToldClimate(
                new DailyRange(10, 16),
                new DailyRange(18, 28),
                Optional.of(new ToldClimate.Frosts(day("06-01"), day("06-10"), day("09-10"), day("09-01"))),
                true);
        assertThat(ClimateFit.of(impossible).off()).isGreaterThan(20);
        assertThatThrownBy(() -> new ToldClimate(new DailyRange(10, 16), new DailyRange(-2, 5), Optional.empty(), true))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void withoutFrostsTheMonthsAloneAreHeld() {
        ToldClimate told = new ToldClimate(new DailyRange(14, 21), new DailyRange(22, 30), Optional.empty(), false);
        EstimatedClimate climate = ClimateFit.of(told).climate();
        assertThat(climate.usual(LocalDate.of(2027, 1, 20)).minimum()).isCloseTo(22, within(0.5));
        assertThat(climate.usual(LocalDate.of(2027, 7, 22)).minimum()).isCloseTo(14, within(0.5));
        StationRecord one = climate.draw(new SplittableRandom(3), LocalDate.of(2020, 1, 1), 800);
        assertThat(climate.draw(new SplittableRandom(3), LocalDate.of(2020, 1, 1), 800))
                .isEqualTo(one);
        assertThat(one.days()).allMatch(day -> day.maximum() > day.minimum());
    }

    @Test
    void aGuessFromLatitudeAndHeightIsAClimate() {
        ToldClimate valley = ClimateGuess.at(46, 600);
        assertThat(valley.warmest().minimum()).isBetween(10.0, 18.0);
        assertThat(valley.frosts().orElseThrow().last()).isBetween(day("04-01"), day("05-31"));
        assertThat(ClimateGuess.at(46, 1600).warmest().minimum())
                .isLessThan(valley.warmest().minimum());
        ToldClimate southern = ClimateGuess.at(-38, 30);
        assertThat(southern.northern()).isFalse();
        assertThat(ToldClimate.fault(southern.coldest(), southern.warmest(), southern.frosts(), false))
                .isEmpty();
        // The tropics know no frost, and the poles no summer; neither may fail.
        assertThat(ClimateGuess.at(0, 0).frosts()).isEmpty();
        for (double latitude = -90; latitude <= 90; latitude += 22.5) {
            for (int altitude = 0; altitude <= 3000; altitude += 1500) {
                assertThat(ClimateFit.of(ClimateGuess.at(latitude, altitude)).off())
                        .as(latitude + " " + altitude)
                        .isLessThan(6);
            }
        }
    }
}
