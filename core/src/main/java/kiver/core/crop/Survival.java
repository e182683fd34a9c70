package kiver.core.crop;

import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * What is known of the share of living plants that reach their release: a Beta distribution.
 *
 * @param mean share, above 0 to 1
 * @param weight plants that this knowledge is worth, positive; infinite where the share is certain
 */
public record Survival(double mean, double weight) {

    /** Before a nursery has seen its own: one in twenty is lost, as sure of it as by three batches counted to the end. */
    public static final Survival USUAL = new Survival(0.95, 60);

    private static final int NODES = 25;

    public Survival {
        if (!(mean > 0 && mean <= 1) || !(weight > 0)) {
            throw new IllegalArgumentException("Survival must be above 0 and up to 100 %.");
        }
    }

    /** Standard deviation of the share. */
    public double deviation() {
        return isCertain() ? 0 : Math.sqrt(mean * (1 - mean) / (weight + 1));
    }

    /** A share that is known. */
    public static Survival certain(double share) {
        return new Survival(share, Double.POSITIVE_INFINITY);
    }

    /** Whether nothing is unknown about it. */
    public boolean isCertain() {
        return mean == 1 || Double.isInfinite(weight);
    }

    /**
     * What is left of the way: with deaths spread evenly over it, the share still to die falls with the days to go.
     *
     * @param share of the way that is still to come, 0 to 1
     */
    public Survival over(double share) {
        double left = Math.min(1, Math.max(0, share));
        return left == 0 ? certain(1) : new Survival(Math.pow(mean, left), weight);
    }

    /** Equally likely shares in whose middle the truth may lie, rising. */
    public double[] shares(int count) {
        if (isCertain()) {
            return new double[] {mean};
        }
        BetaDistribution beta = BetaDistribution.of(mean * weight, (1 - mean) * weight);
        double[] shares = new double[count];
        for (int node = 0; node < count; node++) {
            shares[node] = beta.inverseCumulativeProbability((node + 0.5) / count);
        }
        return shares;
    }

    /**
     * The chance that of so many alive at least so many reach their release, 0 to 1.
     *
     * @param alive 0 or more
     * @param wanted 0 or more
     */
    public double chanceOfAtLeast(int alive, int wanted) {
        if (wanted <= 0) {
            return 1;
        }
        if (alive < wanted) {
            return 0;
        }
        double[] shares = shares(NODES);
        double chance = 0;
        for (double share : shares) {
            chance += share >= 1 ? 1 : BinomialDistribution.of(alive, share).survivalProbability(wanted - 1);
        }
        return chance / shares.length;
    }
}
