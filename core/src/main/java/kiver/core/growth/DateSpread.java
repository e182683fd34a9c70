package kiver.core.growth;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/**
 * A predicted date as what it is, a spread: the run of whole days that it falls into eight times in ten. A moment that one scenario
 * in ten beats seldom falls at midnight, so the run begins at the midnight nearest to it, and ends likewise: taken whole, the
 * days at both ends would make a run of few days hold far more than it says.
 *
 * @param early the first day; about one scenario in ten is over before it
 * @param middle the day by which half of them get there
 * @param late the last day, after which about one in ten is still to come; the last day looked at where they do not get there
 */
public record DateSpread(LocalDate early, LocalDate middle, LocalDate late) {

    public DateSpread {
        if (early.isAfter(middle) || middle.isAfter(late)) {
            throw new IllegalArgumentException(
                    "A spread must run from early to late: " + early + ", " + middle + ", " + late + ".");
        }
    }

    /**
     * The spread of moments over scenarios of equal weight.
     *
     * @param firstDay the day on which time 0 begins
     * @param lastDay the last day looked at
     * @param times days since the first day, at least one; {@link ProgressSeries#NEVER} allowed
     * @return nothing when fewer than half of the scenarios get there
     */
    public static Optional<DateSpread> of(LocalDate firstDay, LocalDate lastDay, double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        if (quantile(sorted, 0.5) == ProgressSeries.NEVER) {
            return Optional.empty();
        }
        LocalDate middle = day(firstDay, lastDay, Math.floor(quantile(sorted, 0.5)));
        LocalDate early = day(firstDay, lastDay, Math.rint(quantile(sorted, 0.1)));
        LocalDate late = day(firstDay, lastDay, Math.rint(quantile(sorted, 0.9)) - 1);
        return Optional.of(
                new DateSpread(early.isAfter(middle) ? middle : early, middle, late.isBefore(middle) ? middle : late));
    }

    /** Whether all of the spread is one day, as for something that has happened. */
    public boolean isCertain() {
        return early.equals(late);
    }

    /**
     * The spread of something that falls on whole days, such as a first frost, over years of equal weight.
     *
     * @param firstDay day 0
     * @param lastDay the last day looked at
     * @param days since the first day, at least one; {@link ProgressSeries#NEVER} allowed
     * @return nothing when it happens in fewer than half of the years
     */
    public static Optional<DateSpread> ofDays(LocalDate firstDay, LocalDate lastDay, double[] days) {
        double[] sorted = days.clone();
        Arrays.sort(sorted);
        return ranked(sorted, 0.5) == ProgressSeries.NEVER
                ? Optional.empty()
                : Optional.of(new DateSpread(
                        day(firstDay, lastDay, ranked(sorted, 0.1)),
                        day(firstDay, lastDay, ranked(sorted, 0.5)),
                        day(firstDay, lastDay, ranked(sorted, 0.9))));
    }

    private static LocalDate day(LocalDate firstDay, LocalDate lastDay, double time) {
        return time == ProgressSeries.NEVER ? lastDay : firstDay.plusDays((long) time);
    }

    private static double ranked(double[] sorted, double share) {
        return sorted[Math.max(0, (int) Math.ceil(share * sorted.length - 1e-9) - 1)];
    }

    /** Between the two nearest of n, by p (n + 1). Reference: Hyndman and Fan (1996), definition 6. */
    private static double quantile(double[] sorted, double share) {
        double rank = Math.min(Math.max(share * (sorted.length + 1), 1), sorted.length);
        double below = sorted[(int) Math.floor(rank) - 1];
        double above = sorted[(int) Math.ceil(rank) - 1];
        return above == below || above == ProgressSeries.NEVER ? above : below + rank % 1 * (above - below);
    }
}
