package kiver.core.sow;

import kiver.core.crop.Survival;
import kiver.core.seed.GerminationNodes;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * How many cells to sow so that enough of them give a plant.
 *
 * <p>A cell with k seeds of germination p yields a plant with probability (1 − (1 − p)^k) · s. Cells share the lot's
 * germination, so the number of good cells is a binomial averaged over what is known of p: a bad lot is bad in every
 * cell at once, which asks for more cells than an average lot would. Reference: beta-binomial mixture, Johnson, Kemp
 * and Kotz (2005), "Univariate Discrete Distributions", section 6.2.2; for k above 1 averaged numerically.
 */
public final class SowQuantity {

    /** Above this many cells the wish is refused rather than computed. */
    public static final int MOST_CELLS = 2_000_000;

    private static final int SURVIVALS = 5;
    private static final int NODES_TOGETHER = 4;

    /** Chances of a cell to give a plant, and how likely each is. */
    private final double[] goodShares;

    private final double[] goodWeights;

    /** A quantity where the share that lives to release is known. */
    public SowQuantity(GerminationNodes nodes, int seedsPerCell, double survival) {
        this(nodes, seedsPerCell, Survival.certain(survival));
    }

    /**
     * A quantity.
     *
     * @param nodes what is known of the lot's germination
     * @param seedsPerCell 1 to 10
     * @param survival share of emerged cells that live to release
     */
    public SowQuantity(GerminationNodes nodes, int seedsPerCell, Survival survival) {
        if (seedsPerCell < 1 || seedsPerCell > 10) {
            throw new IllegalArgumentException("Seeds per cell must be from 1 to 10, not " + seedsPerCell + ".");
        }
        double[] survivals = survival.shares(SURVIVALS);
        GerminationNodes used = survivals.length == 1 ? nodes : nodes.merged(NODES_TOGETHER);
        int count = used.shares().length;
        goodShares = new double[count * survivals.length];
        goodWeights = new double[goodShares.length];
        for (int node = 0; node < count; node++) {
            double up = 1 - Math.pow(1 - used.shares()[node], seedsPerCell);
            for (int index = 0; index < survivals.length; index++) {
                goodShares[node * survivals.length + index] = up * survivals[index];
                goodWeights[node * survivals.length + index] = used.weights()[node] / survivals.length;
            }
        }
    }

    /**
     * The fewest cells that give at least so many good ones with that confidence.
     *
     * @param plants wanted, 1 or more
     * @param confidence above 0, below 1; 0.95 is "19 times in 20"
     * @throws IllegalArgumentException when no number of cells up to {@link #MOST_CELLS} is enough
     */
    public int cellsNeeded(int plants, double confidence) {
        if (plants < 1) {
            throw new IllegalArgumentException("Plants must be 1 or more, not " + plants + ".");
        }
        int enough = plants;
        while (chanceOfAtLeast(plants, enough) < confidence) {
            enough *= 2;
            if (enough > MOST_CELLS) {
                throw new IllegalArgumentException("This lot germinates too poorly to grow " + plants + " plants.");
            }
        }
        int low = plants;
        while (low < enough) {
            int middle = (low + enough) >>> 1;
            if (chanceOfAtLeast(plants, middle) >= confidence) {
                enough = middle;
            } else {
                low = middle + 1;
            }
        }
        return enough;
    }

    /**
     * The chance that so many cells give at least so many plants, 0 to 1.
     *
     * @param plants wanted, 0 or more
     * @param cells sown, 0 or more
     */
    public double chanceOfAtLeast(int plants, int cells) {
        if (plants == 0) {
            return 1;
        }
        if (cells < plants) {
            return 0;
        }
        double chance = 0;
        for (int node = 0; node < goodShares.length; node++) {
            if (goodWeights[node] > 1e-14) {
                chance += goodWeights[node]
                        * BinomialDistribution.of(cells, goodShares[node]).survivalProbability(plants - 1);
            }
        }
        return Math.min(chance, 1);
    }

    /** The expected share of cells that give a plant, 0 to 1. */
    public double expectedShare() {
        double share = 0;
        for (int node = 0; node < goodShares.length; node++) {
            share += goodWeights[node] * goodShares[node];
        }
        return share;
    }
}
