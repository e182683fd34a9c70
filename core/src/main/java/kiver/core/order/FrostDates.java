package kiver.core.order;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import kiver.core.growth.DateSpread;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;

/**
 * When frost ends in spring and begins in autumn, from a station's daily minima: for each year on record the last day
 * before midsummer and the first after it on which the minimum is at or below a threshold.
 *
 * <p>Dates are kept as days from midsummer, 22 July in the north and 21 January in the south, so that a southern
 * season, which runs over New Year, is one season.
 *
 * @param northern whether the site lies north of the equator
 * @param lastInSpring days from midsummer, negative; one for each season; {@link #NONE} where there was no frost
 * @param firstInAutumn days from midsummer, positive; one for each season; {@link #NONE} where there was no frost
 */
public record FrostDates(boolean northern, List<Integer> lastInSpring, List<Integer> firstInAutumn) {

    /** A season half without frost. */
    public static final int NONE = Integer.MIN_VALUE;

    private static final int HALF_A_YEAR = 182;

    public FrostDates {
        lastInSpring = List.copyOf(lastInSpring);
        firstInAutumn = List.copyOf(firstInAutumn);
        if (lastInSpring.isEmpty() || lastInSpring.size() != firstInAutumn.size()) {
            throw new IllegalArgumentException("Frost dates need at least one whole season of minima.");
        }
    }

    /**
     * The frost dates of a place.
     *
     * @param record of the station
     * @param offset K by which nights at the place are warmer than at the station
     * @param threshold °C at or below which it counts as frost, for example 0 or −2
     * @param northern whether it lies north of the equator
     * @throws IllegalArgumentException when the record holds no whole season
     */
    public static FrostDates of(StationRecord record, double offset, double threshold, boolean northern) {
        List<Integer> springs = new ArrayList<>();
        List<Integer> autumns = new ArrayList<>();
        for (int year = record.firstDay().getYear(); year <= record.lastDay().getYear(); year++) {
            LocalDate midsummer = midsummer(year, northern);
            LocalDate first = midsummer.minusDays(HALF_A_YEAR);
            LocalDate last = midsummer.plusDays(HALF_A_YEAR);
            if (record.covers(first) && record.covers(last)) {
                List<DailyRange> season = record.between(first, last);
                springs.add(firstFrost(season, -1, threshold - offset));
                autumns.add(firstFrost(season, 1, threshold - offset));
            }
        }
        return new FrostDates(northern, springs, autumns);
    }

    /** The midsummer nearest to a day: that of its season. */
    public static LocalDate midsummerOf(LocalDate day, boolean northern) {
        LocalDate same = midsummer(day.getYear(), northern);
        if (day.isAfter(same.plusDays(HALF_A_YEAR))) {
            return midsummer(day.getYear() + 1, northern);
        }
        return day.isBefore(same.minusDays(HALF_A_YEAR)) ? midsummer(day.getYear() - 1, northern) : same;
    }

    /** The number of seasons looked at, 1 or more. */
    public int seasons() {
        return lastInSpring.size();
    }

    /**
     * The last spring frost of the season that a day belongs to: by {@code early} it is over in one year of ten, by
     * {@code late} in nine.
     *
     * @return nothing when fewer than half of the years have frost in spring
     */
    public Optional<DateSpread> spring(LocalDate day) {
        return spread(lastInSpring, midsummerOf(day, northern), -HALF_A_YEAR);
    }

    /**
     * The first autumn frost of the season that a day belongs to: by {@code early} it has come in one year of ten.
     *
     * @return nothing when fewer than half of the years have frost in autumn
     */
    public Optional<DateSpread> autumn(LocalDate day) {
        return spread(firstInAutumn, midsummerOf(day, northern), HALF_A_YEAR + 1);
    }

    /**
     * The share of years in which a plant put out on that day still meets frost in that spring, or in which, from
     * midsummer on, frost has come by that day; 0 to 1.
     */
    public double chanceOfFrost(LocalDate day) {
        long fromMidsummer = day.toEpochDay() - midsummerOf(day, northern).toEpochDay();
        long frosts = fromMidsummer < 0
                ? lastInSpring.stream()
                        .filter(last -> last != NONE && last >= fromMidsummer)
                        .count()
                : firstInAutumn.stream()
                        .filter(first -> first != NONE && first <= fromMidsummer)
                        .count();
        return frosts / (double) seasons();
    }

    /**
     * The first day of that spring from which frost still comes in at most so large a share of years.
     *
     * @param day any day of the season
     * @param share 0 to 1, for example 0.1
     */
    public LocalDate safeFrom(LocalDate day, double share) {
        LocalDate midsummer = midsummerOf(day, northern);
        LocalDate safe = midsummer;
        while (safe.isAfter(midsummer.minusDays(HALF_A_YEAR)) && chanceOfFrost(safe.minusDays(1)) <= share + 1e-9) {
            safe = safe.minusDays(1);
        }
        return safe;
    }

    /** The last day of that autumn by which frost has come in at most so large a share of years. */
    public LocalDate safeUntil(LocalDate day, double share) {
        LocalDate midsummer = midsummerOf(day, northern);
        LocalDate safe = midsummer;
        while (safe.isBefore(midsummer.plusDays(HALF_A_YEAR)) && chanceOfFrost(safe.plusDays(1)) <= share + 1e-9) {
            safe = safe.plusDays(1);
        }
        return safe;
    }

    private static Optional<DateSpread> spread(List<Integer> days, LocalDate midsummer, int whereNone) {
        int[] sorted = days.stream()
                .mapToInt(day -> day == NONE ? whereNone : day)
                .sorted()
                .toArray();
        if (Arrays.stream(sorted).filter(day -> day != whereNone).count() * 2 < sorted.length) {
            return Optional.empty();
        }
        return Optional.of(new DateSpread(
                midsummer.plusDays(ranked(sorted, 0.1)),
                midsummer.plusDays(ranked(sorted, 0.5)),
                midsummer.plusDays(ranked(sorted, 0.9))));
    }

    private static int ranked(int[] sorted, double share) {
        return sorted[Math.max(0, (int) Math.ceil(share * sorted.length - 1e-9) - 1)];
    }

    private static int firstFrost(List<DailyRange> season, int step, double threshold) {
        for (int away = 1; away <= HALF_A_YEAR; away++) {
            if (season.get(HALF_A_YEAR + step * away).minimum() <= threshold) {
                return step * away;
            }
        }
        return NONE;
    }

    /** The midsummer that belongs to a year. */
    static LocalDate midsummer(int year, boolean northern) {
        return northern ? LocalDate.of(year, 7, 22) : LocalDate.of(year, 1, 21);
    }
}
