package kiver.core.pot;

import kiver.core.batch.RootsSeen;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How far a batch's roots run ahead of what its leaves tell, as a factor of its {@link RootFill}; log-normal.
 *
 * @param logMean of the factor; 0 for a batch like any other, above 0 for one whose roots are ahead
 * @param logDeviation of the factor, above 0
 */
public record RootPace(double logMean, double logDeviation) {

    /** What is known before anybody looked: leaves tell the fill within about a half. */
    public static final RootPace BEFORE_ANY_LOOK = new RootPace(0, 0.45);

    /** Plugs of one tray differ, and a hand takes out a few. */
    private static final double LOOK = 0.2;

    private static final int STEPS = 121;
    private static final double WIDEST = 3;

    public RootPace {
        if (!(logDeviation > 0)) {
            throw new IllegalArgumentException("Roots are never known without any doubt.");
        }
    }

    /**
     * What a look at the roots tells: the prior weighed by how likely each factor would have shown what was seen, summed
     * over a grid of three standard deviations to both sides.
     *
     * @param worked fill as worked out for the day of the look, above 0
     * @param seen by the hand
     */
    public RootPace told(double worked, RootsSeen seen) {
        double weights = 0;
        double mean = 0;
        double square = 0;
        for (int step = 0; step < STEPS; step++) {
            double from = WIDEST * (2.0 * step / (STEPS - 1) - 1);
            double log = logMean + from * logDeviation;
            double weight = Math.exp(-from * from / 2) * likelihood(Math.log(worked) + log, seen);
            weights += weight;
            mean += weight * log;
            square += weight * log * log;
        }
        if (weights < 1e-12) {
            // Further off than any batch should be: what was seen is believed as far as the grid goes.
            boolean ahead = seen != RootsSeen.NONE && worked < RootFill.from(seen);
            return new RootPace(logMean + (ahead ? WIDEST : -WIDEST) * logDeviation, LOOK);
        }
        mean /= weights;
        return new RootPace(mean, Math.sqrt(Math.max(square / weights - mean * mean, 1e-4)));
    }

    private static double likelihood(double logFill, RootsSeen seen) {
        NormalDistribution look = NormalDistribution.of(logFill, LOOK);
        double from = RootFill.from(seen);
        double until = RootFill.until(seen);
        double below = from <= 0 ? 0 : look.cumulativeProbability(Math.log(from));
        double above = Double.isInfinite(until) ? 1 : look.cumulativeProbability(Math.log(until));
        return above - below;
    }

    /** Leaves at which its roots are as far as those of a usual batch at one: below 1 where roots are ahead. */
    public double leavesForOne() {
        return Math.exp(-logMean / RootFill.LEAVES_TO_ROOTS);
    }
}
