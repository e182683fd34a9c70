package kiver.core.growth;

import java.math.BigInteger;
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

    /** Near the golden section of the scenarios, a stride scatters paces evenly over weather years. */
    private static final double GOLDEN_SECTION = 0.618;

    public PaceSpread {
        if (logDeviation < 0) {
            throw new IllegalArgumentException("A deviation cannot be negative.");
        }
    }

    /**
     * Evenly spaced standard normal quantiles, one for each scenario, scattered in a fixed order: forecasts need no
     * random numbers and do not jitter from one computation to the next.
     *
     * @param scenarios number of them, at least 1
     * @param salt different numbers scatter in different orders, so that two stages do not run late together
     */
    public static double[] scatter(int scenarios, int salt) {
        NormalDistribution normal = NormalDistribution.of(0, 1);
        double[] quantiles = new double[scenarios];
        int stride = strideFor(scenarios);
        for (int scenario = 0; scenario < scenarios; scenario++) {
            int rank = Math.floorMod(scenario * stride + salt, scenarios);
            quantiles[scenario] = normal.inverseCumulativeProbability((rank + 0.5) / scenarios);
        }
        return quantiles;
    }

    /**
     * The pace that lies so many standard deviations from the mean.
     *
     * @param quantile standard normal, for example 1.28 for the slowest batch of ten
     */
    public double paceAt(double quantile) {
        return Math.exp(logMean + logDeviation * quantile);
    }

    /** A stride that shares no factor with the number of scenarios meets every quantile once. */
    private static int strideFor(int scenarios) {
        int stride = Math.max(1, (int) (GOLDEN_SECTION * scenarios));
        while (BigInteger.valueOf(stride).gcd(BigInteger.valueOf(scenarios)).intValue() != 1) {
            stride++;
        }
        return stride;
    }
}
