package kiver.core.order;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;
import kiver.core.growth.DateSpread;
import kiver.core.growth.ProgressSeries;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;

/**
 * When the soil, a hand deep, has warmed to a wanted temperature.
 *
 * <p>The soil follows the daily mean of the air with a lag: an exponential mean with a time constant of eight days,
 * and, bare and in the sun, 3 K warmer. Reference: Zheng, Hunt and Running (1993), Climate Research 2, who average
 * eleven days of air; the exponential weights are a deviation, so that it can be carried on from day to day.
 */
public final class SoilWarmth {

    private static final double TIME_CONSTANT = 8;
    private static final double SUN_GAIN = 3;
    private static final int DAYS_IN_A_ROW = 5;
    private static final int HALF_A_YEAR = 182;

    private SoilWarmth() {}

    /**
     * The first day of the season on which the soil has been at least so warm for five days in a row.
     *
     * @param record of the station
     * @param offset K by which the soil of the site is warmer than open ground at the station
     * @param wanted °C
     * @param day any day of the season
     * @param northern whether the site lies north of the equator
     * @return nothing when it gets there before midsummer is 60 days past in fewer than half of the years
     */
    public static Optional<DateSpread> reached(
            StationRecord record, double offset, double wanted, LocalDate day, boolean northern) {
        LocalDate midsummer = FrostDates.midsummerOf(day, northern);
        double[] days = IntStream.rangeClosed(
                        record.firstDay().getYear(), record.lastDay().getYear())
                .mapToObj(year -> FrostDates.midsummer(year, northern))
                .filter(each -> record.covers(each.minusDays(HALF_A_YEAR)) && record.covers(each.plusDays(60)))
                .map(each -> record.between(each.minusDays(HALF_A_YEAR), each.plusDays(60)))
                .mapToDouble(season -> firstWarm(season, wanted - offset))
                .toArray();
        if (days.length == 0 || Arrays.stream(days).allMatch(each -> each == ProgressSeries.NEVER)) {
            return Optional.empty();
        }
        return DateSpread.ofDays(midsummer.minusDays(HALF_A_YEAR), midsummer.plusDays(60), days);
    }

    /**
     * The first day after midsummer on which the soil has been colder than that for five days in a row.
     *
     * @param record of the station
     * @param offset K by which the soil of the site is warmer than open ground at the station
     * @param wanted °C
     * @param day any day of the season that ends so
     * @param northern whether the site lies north of the equator
     * @return nothing when it does not get so cold before midwinter is 60 days past in half of the years
     */
    public static Optional<DateSpread> cooled(
            StationRecord record, double offset, double wanted, LocalDate day, boolean northern) {
        LocalDate midsummer = FrostDates.midsummerOf(day, northern);
        double[] days = IntStream.rangeClosed(
                        record.firstDay().getYear(), record.lastDay().getYear())
                .mapToObj(year -> FrostDates.midsummer(year, northern))
                .filter(each -> record.covers(each) && record.covers(each.plusDays(HALF_A_YEAR + 60L)))
                .map(each -> record.between(each, each.plusDays(HALF_A_YEAR + 60L)))
                .mapToDouble(season -> firstCold(season, wanted - offset))
                .toArray();
        return days.length == 0
                ? Optional.empty()
                : DateSpread.ofDays(midsummer, midsummer.plusDays(HALF_A_YEAR + 60L), days);
    }

    /**
     * The soil day by day, °C.
     *
     * @param record of the station; the first weeks of it serve to settle
     * @param offset K by which the soil of the site is warmer than open ground at the station
     */
    public static List<Double> daily(StationRecord record, double offset) {
        return Arrays.stream(daily(record.days()))
                .map(soil -> soil + offset)
                .boxed()
                .toList();
    }

    private static double[] daily(List<DailyRange> days) {
        double[] soils = new double[days.size()];
        double soil = days.get(0).middle();
        for (int index = 0; index < soils.length; index++) {
            soil += (days.get(index).middle() - soil) / TIME_CONSTANT;
            soils[index] = soil + SUN_GAIN;
        }
        return soils;
    }

    private static double firstWarm(List<DailyRange> season, double wanted) {
        return firstOfARow(season, soil -> soil >= wanted);
    }

    private static double firstCold(List<DailyRange> season, double wanted) {
        return firstOfARow(season, soil -> soil < wanted);
    }

    /** Days after the beginning of the season. */
    private static double firstOfARow(List<DailyRange> season, DoublePredicate is) {
        double[] soils = daily(season);
        int inARow = 0;
        for (int index = 0; index < soils.length; index++) {
            inARow = is.test(soils[index]) ? inARow + 1 : 0;
            if (inARow == DAYS_IN_A_ROW) {
                return index;
            }
        }
        return ProgressSeries.NEVER;
    }
}
