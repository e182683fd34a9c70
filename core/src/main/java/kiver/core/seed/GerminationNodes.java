package kiver.core.seed;

import java.util.Arrays;
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

    /** One batch in twenty meets with a mishap that no label foresees: too wet, too hot, dead seed. */
    public static final double CHANCE_OF_MISHAP = 0.05;

    private static final int MISHAPS = 12;
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

    /** Shares that a mishap may leave of a germination, equally likely, rising. */
    public static double[] afterMishap(double germination) {
        double[] shares = new double[MISHAPS];
        for (int index = 0; index < MISHAPS; index++) {
            shares[index] = germination * (index + 0.5) / MISHAPS;
        }
        return shares;
    }

    /** The same where of each share only so large a part comes up, 0 to 1. */
    public GerminationNodes times(double part) {
        return new GerminationNodes(
                Arrays.stream(shares).map(share -> share * part).toArray(), weights);
    }

    /** The same with the mishap that one batch in twenty meets. */
    public GerminationNodes withMishaps() {
        double mean = 0;
        for (int node = 0; node < shares.length; node++) {
            mean += weights[node] * shares[node];
        }
        double[] after = afterMishap(mean);
        double[] allShares = Arrays.copyOf(after, after.length + shares.length);
        double[] allWeights = new double[allShares.length];
        Arrays.fill(allWeights, 0, after.length, CHANCE_OF_MISHAP / after.length);
        for (int node = 0; node < shares.length; node++) {
            allShares[after.length + node] = shares[node];
            allWeights[after.length + node] = (1 - CHANCE_OF_MISHAP) * weights[node];
        }
        return new GerminationNodes(allShares, allWeights);
    }

    /** Fewer nodes with the same mean, each standing for so many that lay beside each other. */
    public GerminationNodes merged(int together) {
        int count = (shares.length + together - 1) / together;
        double[] fewerShares = new double[count];
        double[] fewerWeights = new double[count];
        for (int node = 0; node < shares.length; node++) {
            fewerWeights[node / together] += weights[node];
            fewerShares[node / together] += weights[node] * shares[node];
        }
        for (int node = 0; node < count; node++) {
            fewerShares[node] = fewerWeights[node] > 0 ? fewerShares[node] / fewerWeights[node] : 0;
        }
        return new GerminationNodes(fewerShares, fewerWeights);
    }

    /** A share that is known for certain. */
    public static GerminationNodes certain(double share) {
        return new GerminationNodes(new double[] {share}, new double[] {1});
    }

    private static double angle(double share) {
        return Math.asin(Math.sqrt(Math.min(Math.max(share, 0), 1)));
    }
}
