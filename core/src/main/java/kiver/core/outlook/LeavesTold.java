package kiver.core.outlook;

import java.util.List;
import java.util.Optional;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Standing;

/**
 * What leaves that somebody counted tell of a batch: how far it is, and how fast it makes them.
 *
 * <p>How far it is follows what was seen: what is worked out may be off by the batch's pace and by the day on which it came up,
 * five plants in the hand by less. How fast it goes on is told by the same count, less surely, since a late start looks like a
 * slow pace.
 *
 * @param leaves true leaves on the day of the look, 0 or more
 * @param pace of its leaves from then on
 */
record LeavesTold(double leaves, PaceSpread pace) {

    /** Between plants of a batch, as a share of their leaves. */
    private static final double PLANTS = 0.15;

    /** A leaf that is just unfolding counts for some and not for others: so many leaves, on one plant. */
    private static final double UNFOLDING = 0.4;

    /** A batch is not known better than this share from one look: light and warmth differ over a bench. */
    private static final double BENCH = 0.06;

    /** Leaves by which a batch is off that came up a day or two before or after it was taken to. */
    private static final double STARTED = 0.3;

    /** Where none has a leaf yet, or none is expected, a look tells no more than this. */
    private static final double LEAST = 0.3;

    /**
     * What a look tells.
     *
     * @param seen true leaves of each plant that was counted; not empty
     * @param expected leaves at the crop's mean pace on that day, 0 or more
     * @param known of the pace before
     */
    static LeavesTold of(List<Integer> seen, double expected, PaceSpread known) {
        double mean = mean(seen);
        double look = look(seen);
        double model = square(known.logDeviation() * expected) + square(STARTED);
        double leaves = (mean / look + expected / model) / (1 / look + 1 / model);
        return new LeavesTold(
                leaves,
                pace(seen, expected)
                        .map(told -> known.told(told.logMean(), told.logDeviation()))
                        .orElse(known));
    }

    /** What a look alone tells of a pace; nothing where there is no leaf yet and none was to be expected. */
    static Optional<PaceSpread> pace(List<Integer> seen, double expected) {
        double mean = mean(seen);
        if (expected < LEAST && mean < LEAST) {
            return Optional.empty();
        }
        double counted = Math.max(LEAST, mean);
        return Optional.of(new PaceSpread(
                Math.log(Math.max(LEAST, expected) / counted), Math.sqrt(look(seen) + square(STARTED)) / counted));
    }

    private static double mean(List<Integer> seen) {
        return seen.stream().mapToInt(Integer::intValue).average().orElseThrow();
    }

    /** Variance of the leaves of the batch around those seen. */
    private static double look(List<Integer> seen) {
        double mean = mean(seen);
        return square(BENCH * mean) + (square(PLANTS * mean) + square(UNFOLDING)) / seen.size();
    }

    /** A standing on a later day, with what was seen in place of what was worked out until the look. */
    Standing truing(Standing atTheLook, Standing now) {
        double since = now.leafProgress() - atTheLook.leafProgress();
        return now.withLeaves(Math.max(0, leaves * Math.exp(pace.logMean()) + since));
    }

    private static double square(double value) {
        return value * value;
    }
}
