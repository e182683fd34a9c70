package kiver.core.order;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.crop.LongDays;
import kiver.core.weather.Daylight;
import kiver.core.weather.StationRecord;

/**
 * The part of the year at a site in which days are both long and hot for a crop: sown into it, it runs to seed.
 *
 * @param habit of the crop
 * @param firstOfYear first of those days, as a day of a year without 29 February, 1 to 365; 0 where there are none
 * @param lastOfYear last of them; before {@code firstOfYear} where they run over New Year, as in the south
 */
public record LongHotDays(LongDays habit, int firstOfYear, int lastOfYear) {

    /** None. */
    public static final LongHotDays NONE = new LongHotDays(LongDays.HARMLESS, 0, 0);

    /** Seedlings take no notice of the day for about three weeks. */
    private static final int DAYS_YOUNG = 21;

    /** So many such days are stood. */
    private static final int DAYS_STOOD = 7;

    private static final int DAYS_OF_YEAR = 365;

    /** A week to each side, so that one hot day of few years counts for little. */
    private static final int DAYS_BESIDE = 7;

    /**
     * Those of a site.
     *
     * @param habit of the crop
     * @param offset K by which the site is warmer than the station
     * @param record of the station
     * @param latitude degrees, north positive
     */
    public static LongHotDays of(LongDays habit, double offset, StationRecord record, double latitude) {
        if (!habit.bolts()) {
            return NONE;
        }
        double[] mean = meanByDay(record);
        boolean[] both = new boolean[DAYS_OF_YEAR];
        int many = 0;
        for (int day = 0; day < DAYS_OF_YEAR; day++) {
            double sum = 0;
            for (int beside = -DAYS_BESIDE; beside <= DAYS_BESIDE; beside++) {
                sum += mean[Math.floorMod(day + beside, DAYS_OF_YEAR)];
            }
            both[day] = sum / (2 * DAYS_BESIDE + 1) + offset >= habit.warmth()
                    && Daylight.dayLength(latitude, LocalDate.ofYearDay(2027, day + 1)) >= habit.hours();
            many += both[day] ? 1 : 0;
        }
        if (many == 0 || many == DAYS_OF_YEAR) {
            return many == 0 ? new LongHotDays(habit, 0, 0) : new LongHotDays(habit, 1, DAYS_OF_YEAR);
        }
        int first = 0;
        int last = 0;
        for (int day = 0; day < DAYS_OF_YEAR; day++) {
            boolean before = both[Math.floorMod(day - 1, DAYS_OF_YEAR)];
            first = both[day] && !before ? day + 1 : first;
            last = !both[day] && before ? Math.floorMod(day - 1, DAYS_OF_YEAR) + 1 : last;
        }
        return new LongHotDays(habit, first, last);
    }

    private static double[] meanByDay(StationRecord record) {
        double[] sums = new double[DAYS_OF_YEAR];
        int[] counts = new int[DAYS_OF_YEAR];
        LocalDate day = record.firstDay();
        for (var range : record.days()) {
            int of = ofYear(day) - 1;
            sums[of] += range.middle();
            counts[of]++;
            day = day.plusDays(1);
        }
        for (int of = 0; of < DAYS_OF_YEAR; of++) {
            sums[of] = counts[of] == 0 ? Double.NEGATIVE_INFINITY : sums[of] / counts[of];
        }
        return sums;
    }

    /** The day in a year without 29 February, which counts as the 28th. */
    private static int ofYear(LocalDate day) {
        return day.isLeapYear() && day.getDayOfYear() > 59 ? day.getDayOfYear() - 1 : day.getDayOfYear();
    }

    /** Whether a day is long and hot. */
    public boolean isOne(LocalDate day) {
        if (firstOfYear == 0) {
            return false;
        }
        int of = ofYear(day);
        return firstOfYear <= lastOfYear
                ? of >= firstOfYear && of <= lastOfYear
                : of >= firstOfYear || of <= lastOfYear;
    }

    /**
     * Whether plants run to seed before they are harvested.
     *
     * @param sown day
     * @param harvested day, not before it
     */
    public boolean bolts(LocalDate sown, LocalDate harvested) {
        LocalDate from = sown.plusDays(DAYS_YOUNG);
        return from.isBefore(harvested)
                && from.datesUntil(harvested.plusDays(1)).filter(this::isOne).count() > DAYS_STOOD;
    }

    /**
     * The first day from one on after which plants sown stand long enough; empty where there is none within a year.
     *
     * @param from first day asked about
     * @param days from sowing to harvest
     */
    public Optional<LocalDate> sowAgainFrom(LocalDate from, long days) {
        return from.datesUntil(from.plusDays(DAYS_OF_YEAR))
                .filter(day -> !bolts(day, day.plusDays(days)))
                .findFirst();
    }
}
