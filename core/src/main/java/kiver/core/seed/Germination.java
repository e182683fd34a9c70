package kiver.core.seed;

import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * What is known of the share of a lot's seeds that come up: a Beta distribution, as if that many seeds had been seen
 * to come up and to fail.
 *
 * @param up seeds seen to come up, positive, for example 90
 * @param failed seeds seen to fail, positive, for example 10
 */
public record Germination(double up, double failed) {

    /** What a label is worth falls by half in about 17 months of storage. */
    private static final double YEARS_TO_KEEP_A_THIRD = 2.0;

    private static final double LEAST_WEIGHT = 10;

    public Germination {
        if (!(up > 0) || !(failed > 0)) {
            throw new IllegalArgumentException(
                    "Seeds seen to come up and to fail must both be above 0: " + up + " and " + failed + ".");
        }
    }

    /**
     * From a label: 90 % tested on 100 seeds is Beta(90, 10). The older the test, the fewer seeds it is worth, down
     * to a tenth of a hundred; its mean is kept, since how fast seed ages depends on how it was kept.
     *
     * @param share on the label, 0 to 1
     * @param testedSeeds seeds that the test was made on, at least 1
     * @param yearsSinceTest 0 or more
     */
    public static Germination ofLabel(double share, int testedSeeds, double yearsSinceTest) {
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("Germination must be from 0 to 100 %, not " + share * 100 + " %.");
        }
        if (testedSeeds < 1 || yearsSinceTest < 0) {
            throw new IllegalArgumentException("A test needs at least one seed and cannot lie in the future.");
        }
        double fresh = testedSeeds * Math.exp(-yearsSinceTest / YEARS_TO_KEEP_A_THIRD);
        double weight = Math.max(Math.min(LEAST_WEIGHT, testedSeeds), fresh);
        double inside = Math.min(Math.max(share, 0.005), 0.995);
        return new Germination(weight * inside, weight * (1 - inside));
    }

    /**
     * After a count of this lot.
     *
     * @param seedsUp seeds that came up, 0 or more
     * @param seedsFailed seeds that did not, 0 or more
     */
    public Germination after(double seedsUp, double seedsFailed) {
        if (seedsUp < 0 || seedsFailed < 0) {
            throw new IllegalArgumentException("A count cannot be negative.");
        }
        return new Germination(up + seedsUp, failed + seedsFailed);
    }

    /** The expected share that comes up, 0 to 1. */
    public double mean() {
        return up / (up + failed);
    }

    /** The number of seeds that this knowledge is worth. */
    public double weight() {
        return up + failed;
    }

    /**
     * The share that the truth is below with that probability.
     *
     * @param probability above 0, below 1
     */
    public double quantile(double probability) {
        return BetaDistribution.of(up, failed).inverseCumulativeProbability(probability);
    }
}
