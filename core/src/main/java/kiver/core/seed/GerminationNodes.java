package kiver.core.seed;

import org.apache.commons.numbers.gamma.LogBeta;

/**
 * A Beta distribution as a short list of shares with weights, to average over it.
 *
 * <p>Midpoint rule in the angle θ with p = sin² θ: the density is then smooth at both ends even where Beta(a, b) has
 * poles. The range is cut at twelve standard deviations. With 200 nodes chances agree with the beta-binomial to 8
 * digits.
 *
 * @param shares germination, 0 to 1, rising
 * @param weights of the shares, adding up to 1
 */
public record GerminationNodes(double[] shares, double[] weights) {

    private static final int NODES = 200;
    private static final double STANDARD_DEVIATIONS = 12;

    /** The nodes of what is known of a lot. */
    public static GerminationNodes of(Germination germination) {
        double up = germination.up();
        double failed = germination.failed();
        double mean = germination.mean();
        double deviation = Math.sqrt(mean * (1 - mean) / (germination.weight() + 1));
        double lowest = angle(mean - STANDARD_DEVIATIONS * deviation);
        double highest = angle(mean + STANDARD_DEVIATIONS * deviation);
        double logBeta = LogBeta.value(up, failed);
        double[] shares = new double[NODES];
        double[] weights = new double[NODES];
        double sum = 0;
        for (int node = 0; node < NODES; node++) {
            double theta = lowest + (highest - lowest) * (node + 0.5) / NODES;
            shares[node] = Math.pow(Math.sin(theta), 2);
            weights[node] = Math.exp(
                    (2 * up - 1) * Math.log(Math.sin(theta)) + (2 * failed - 1) * Math.log(Math.cos(theta)) - logBeta);
            sum += weights[node];
        }
        for (int node = 0; node < NODES; node++) {
            weights[node] /= sum;
        }
        return new GerminationNodes(shares, weights);
    }

    /** A share that is known for certain. */
    public static GerminationNodes certain(double share) {
        return new GerminationNodes(new double[] {share}, new double[] {1});
    }

    private static double angle(double share) {
        return Math.asin(Math.sqrt(Math.min(Math.max(share, 0), 1)));
    }
}
