package kiver.core.growth;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/**
 * A predicted date as what it is, a spread.
 *
 * @param early the date that one scenario in ten beats
 * @param middle the date that half of them reach
 * @param late the date that nine in ten reach; the last day looked at where they do not reach it by then
 */
public record DateSpread(LocalDate early, LocalDate middle, LocalDate late) {

    public DateSpread {
        if (early.isAfter(middle) || middle.isAfter(late)) {
            throw new IllegalArgumentException(
                    "A spread must run from early to late: " + early + ", " + middle + ", " + late + ".");
        }
    }

    /**
     * The spread of times over scenarios of equal weight.
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
        return Optional.of(new DateSpread(
                day(firstDay, lastDay, quantile(sorted, 0.1)),
                day(firstDay, lastDay, quantile(sorted, 0.5)),
                day(firstDay, lastDay, quantile(sorted, 0.9))));
    }

    /** Whether all of the spread is one day, as for something that has happened. */
    public boolean isCertain() {
        return early.equals(late);
    }

    private static LocalDate day(LocalDate firstDay, LocalDate lastDay, double time) {
        return time == ProgressSeries.NEVER ? lastDay : firstDay.plusDays((long) Math.floor(time));
    }

    private static double quantile(double[] sorted, double probability) {
        int rank = (int) Math.ceil(probability * sorted.length) - 1;
        return sorted[Math.max(rank, 0)];
    }
}
