package kiver.core.sow;

import kiver.core.seed.GerminationNodes;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.PoissonDistribution;

/**
 * How many seedlings stand together where several seeds are sown to a cell and never separated.
 *
 * <p>Of k seeds a binomial number comes up; a seed that comes up gives one seedling and, where it is a cluster, a
 * Poisson number more, so that their mean is right.
 *
 * @param nodes what is known of the lot's germination
 * @param seeds to a cell, 1 to 12
 * @param seedlingsPerSeed mean number of seedlings of a seed that comes up, 1 or more
 */
public record ClumpSizes(GerminationNodes nodes, int seeds, double seedlingsPerSeed) {

    private static final int LARGEST = 60;
    private static final int MOST_CELLS = 2_000_000;

    public ClumpSizes {
        if (seeds < 1 || seeds > 12 || !(seedlingsPerSeed >= 1)) {
            throw new IllegalArgumentException("A clump is of 1 to 12 seeds, each giving at least one seedling.");
        }
    }

    /** The chance of each clump size, from 0 seedlings up; adds up to 1. */
    public double[] distribution() {
        double[] sizes = new double[LARGEST + 1];
        for (int node = 0; node < nodes.shares().length; node++) {
            BinomialDistribution up = BinomialDistribution.of(seeds, nodes.shares()[node]);
            for (int count = 0; count <= seeds; count++) {
                double weight = nodes.weights()[node] * up.probability(count);
                if (weight > 1e-12) {
                    addSeedlings(sizes, count, weight);
                }
            }
        }
        return sizes;
    }

    private void addSeedlings(double[] sizes, int count, double weight) {
        double more = count * (seedlingsPerSeed - 1);
        if (more == 0) {
            sizes[count] += weight;
            return;
        }
        PoissonDistribution extra = PoissonDistribution.of(more);
        for (int seedlings = 0; count + seedlings <= LARGEST; seedlings++) {
            sizes[count + seedlings] += weight * extra.probability(seedlings);
        }
    }

    /** The share of cells whose clump is of a wanted size, 0 to 1; both ends inclusive. */
    public double share(int from, int to) {
        double[] sizes = distribution();
        double share = 0;
        for (int size = from; size <= Math.min(to, LARGEST); size++) {
            share += sizes[size];
        }
        return share;
    }

    /** The mean number of seedlings to a cell. */
    public double mean() {
        double mean = 0;
        for (int node = 0; node < nodes.shares().length; node++) {
            mean += nodes.weights()[node] * seeds * nodes.shares()[node] * seedlingsPerSeed;
        }
        return mean;
    }

    /**
     * The chance that so many cells give at least so many plants, 0 to 1: for each germination a normal
     * approximation of the sum over cells, averaged over what is known of the lot.
     */
    public double chanceOfAtLeast(int plants, int cells, double survival) {
        double chance = 0;
        double extra = seedlingsPerSeed - 1;
        for (int node = 0; node < nodes.shares().length; node++) {
            double share = nodes.shares()[node];
            double mean = cells * seeds * share * seedlingsPerSeed * survival;
            double variance = survival
                            * survival
                            * cells
                            * seeds
                            * (share * (1 - share) * seedlingsPerSeed * seedlingsPerSeed + share * extra)
                    + mean * (1 - survival);
            chance += nodes.weights()[node]
                    * (variance <= 0
                            ? (mean >= plants ? 1 : 0)
                            : NormalDistribution.of(mean, Math.sqrt(variance)).survivalProbability(plants - 0.5));
        }
        return Math.min(1, chance);
    }

    /**
     * The fewest cells that give at least so many plants with that confidence.
     *
     * @throws IllegalArgumentException when no number of cells is enough
     */
    public int cellsNeeded(int plants, double confidence, double survival) {
        int enough = 1;
        while (chanceOfAtLeast(plants, enough, survival) < confidence) {
            enough *= 2;
            if (enough > MOST_CELLS) {
                throw new IllegalArgumentException("This lot germinates too poorly to grow " + plants + " plants.");
            }
        }
        int low = 1;
        while (low < enough) {
            int middle = (low + enough) >>> 1;
            if (chanceOfAtLeast(plants, middle, survival) >= confidence) {
                enough = middle;
            } else {
                low = middle + 1;
            }
        }
        return enough;
    }
}
