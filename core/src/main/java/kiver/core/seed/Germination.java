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

    /**
     * How much batches of one lot differ beyond chance, as a correlation between their seeds: 0.02 puts two batches in
     * three within 4 points at 90 %. Reference: Williams (1975), "The analysis of binary responses from toxicological
     * experiments involving reproduction and teratogenicity", Biometrics 31.
     */
    private static final double BETWEEN_BATCHES = 0.02;

    private static final int NODES = 4000;

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

    /**
     * After the counts of one batch, by the likelihood of its cells; the Beta distribution with the mean and variance
     * of what is then known. Batches of one lot differ, so one batch never tells all: what it teaches is worth at most
     * 1 / 0.02 = 50 seeds.
     */
    public Germination afterBatch(CountLesson lesson) {
        Germination taught = after(lesson);
        double gained = taught.weight() - weight();
        double moreUp = taught.up() - up;
        double moreFailed = taught.failed() - failed;
        if (moreUp < 0 || moreFailed < 0 || gained <= 0) {
            return taught;
        }
        double worth = 1 / (1 / gained + BETWEEN_BATCHES) / gained;
        return new Germination(up + worth * moreUp, failed + worth * moreFailed);
    }

    /** After counts, taken at their full weight. */
    public Germination after(CountLesson lesson) {
        if (lesson.cellsSeenUp().isEmpty()) {
            return after(lesson.seedsUp(), lesson.seedsFailed());
        }
        double[] shares = new double[NODES];
        double[] logs = new double[NODES];
        double most = Double.NEGATIVE_INFINITY;
        for (int node = 0; node < NODES; node++) {
            double theta = Math.PI / 2 * (node + 0.5) / NODES;
            shares[node] = Math.pow(Math.sin(theta), 2);
            logs[node] = (2 * up - 1) * Math.log(Math.sin(theta))
                    + (2 * failed - 1) * Math.log(Math.cos(theta))
                    + lesson.logLikelihood(shares[node]);
            most = Math.max(most, logs[node]);
        }
        double sum = 0;
        double first = 0;
        double second = 0;
        for (int node = 0; node < NODES; node++) {
            double weight = Math.exp(logs[node] - most);
            sum += weight;
            first += weight * shares[node];
            second += weight * shares[node] * shares[node];
        }
        double mean = first / sum;
        double variance = second / sum - mean * mean;
        double weight = mean * (1 - mean) / variance - 1;
        return new Germination(mean * weight, (1 - mean) * weight);
    }

    /** What is to be expected of the lot's next batch: the lot's mean, less surely, since batches differ. */
    public Germination ofNextBatch() {
        double wider = 1 / (1 / (weight() + 1) + BETWEEN_BATCHES) - 1;
        return new Germination(mean() * wider, (1 - mean()) * wider);
    }

    /** Its standard deviation. */
    public double deviation() {
        return Math.sqrt(mean() * (1 - mean()) / (weight() + 1));
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
