package kiver.core.growth;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How far single batches run ahead of or behind their crop's mean: the logarithm of pace is normal.
 *
 * @param logMean 0 for a batch like its crop
 * @param logDeviation 0 or more; 0.15 puts two batches in three within 15 %
 */
public record PaceSpread(double logMean, double logDeviation) {

    /** Before anything is known of a batch. */
    public static final PaceSpread BEFORE_ANY_COUNT = new PaceSpread(0, 0.15);

    /**
     * How far the crop's own figures may be off, as a standard deviation of the logarithm of pace: what no count of a
     * batch has told yet.
     */
    private static final double OF_THE_CROP = 0.08;

    /**
     * Steps whose multiples fill a square most evenly: powers of 1/g, g the real root of g³ = g + 1. Reference: Roberts
     * (2018), "The unreasonable effectiveness of quasirandom sequences", the generalized golden ratio.
     */
    private static final double[] STEPS = {0.7548776662466927, 0.5698402909980532};

    /** Keeps the strata of both stages from rising together within a year. */
    private static final int STRIDE = 3;

    public PaceSpread {
        if (logDeviation < 0) {
            throw new IllegalArgumentException("A deviation cannot be negative.");
        }
    }

    /**
     * Pairs of standard normal quantiles for the pace of emergence and of leaves: every weather year gets the same
     * number of them, spread evenly over both, so that pace knows nothing of the year nor one stage of the other.
     * Forecasts need no random numbers and do not jitter from one computation to the next.
     *
     * @param years of weather, at least 1
     * @param drawsAYear at least 1
     * @param shift of the whole pattern, 0 to 1; patterns shifted otherwise do not know each other's draws
     * @return years × drawsAYear pairs; the year of a pair is its index modulo years
     */
    public static double[][] scatter(int years, int drawsAYear, double shift) {
        NormalDistribution normal = NormalDistribution.of(0, 1);
        double[][] pairs = new double[years * drawsAYear][];
        for (int draw = 0; draw < pairs.length; draw++) {
            int year = draw % years;
            int stratum = draw / years;
            int other = Math.floorMod(STRIDE * stratum + year, drawsAYear);
            double emergence = (stratum + (shift + (year + 1) * STEPS[0]) % 1) / drawsAYear;
            double leaves = (other + (shift + (year + 1) * STEPS[1]) % 1) / drawsAYear;
            pairs[draw] = new double[] {
                normal.inverseCumulativeProbability(inside(emergence)),
                normal.inverseCumulativeProbability(inside(leaves))
            };
        }
        return pairs;
    }

    private static double inside(double share) {
        return Math.min(Math.max(share, 1e-4), 1 - 1e-4);
    }

    /**
     * The same with something told of the pace: two normal tellings of its logarithm, each by its precision.
     *
     * @param log of the pace as told
     * @param deviation of that, above 0
     */
    public PaceSpread told(double log, double deviation) {
        double own = 1 / (logDeviation * logDeviation);
        double other = 1 / (deviation * deviation);
        return new PaceSpread((logMean * own + log * other) / (own + other), Math.sqrt(1 / (own + other)));
    }

    /** The same, less sure by what the crop's own figures may be off. */
    public PaceSpread withFiguresUncertain() {
        return new PaceSpread(logMean, Math.hypot(logDeviation, OF_THE_CROP));
    }

    /**
     * The pace that lies so many standard deviations from the mean.
     *
     * @param quantile standard normal, for example 1.28 for the slowest batch of ten
     */
    public double paceAt(double quantile) {
        return Math.exp(logMean + logDeviation * quantile);
    }
}
