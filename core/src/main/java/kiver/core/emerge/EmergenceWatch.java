package kiver.core.emerge;

import java.util.Arrays;
import java.util.List;
import kiver.core.growth.Emergence;
import kiver.core.growth.PaceSpread;
import kiver.core.seed.Germination;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Holds the counts of one batch against what its seed, its places and their temperatures let one expect.
 *
 * <p>Two things are unknown: how fast this batch is (its pace) and how good its lot is (its germination). Both are
 * laid out on a grid of equally likely quantiles; beside them stands a small chance that something went wrong which
 * no label foresees (too wet, too hot, dead seed), with any lower germination. The counts weigh each point of the grid by the multinomial
 * likelihood of as many cells coming up between one count and the next; what is left over is the posterior, from
 * which all answers are read. A cell of k seeds shows something with probability 1 − (1 − p·F)^k, F the share of
 * seedlings up at the pace's progress.
 */
public final class EmergenceWatch {

    private static final int PACES = 31;
    private static final int GERMINATIONS = 25;
    private static final int MISHAPS = 12;

    /** One batch in twenty meets with a mishap; with less, poor counts would long be taken for a slow batch. */
    private static final double CHANCE_OF_MISHAP = 0.05;
    private static final double[] CHANCE_LEVELS = {0.05, 0.2, 0.35, 0.5, 0.65, 0.8, 0.95};

    private final Emergence emergence;
    private final int cells;
    private final int seedsPerCell;
    private final List<CountSoFar> counts;
    private final double[] paces;
    /** First what the lot lets expect, then what mishaps leave of it. */
    private final double[] germinations;

    private final double[] weights;

    /**
     * Watches a batch.
     *
     * @param emergence of the crop
     * @param germination what was known of the lot before this batch
     * @param pace what was known of the batch's pace before any count
     * @param cells sown, 1 or more
     * @param seedsPerCell 1 or more
     * @param counts in order of time; may be empty
     */
    public EmergenceWatch(
            Emergence emergence,
            Germination germination,
            PaceSpread pace,
            int cells,
            int seedsPerCell,
            List<CountSoFar> counts) {
        this.emergence = emergence;
        this.cells = cells;
        this.seedsPerCell = seedsPerCell;
        this.counts = List.copyOf(counts);
        NormalDistribution normal = NormalDistribution.of(0, 1);
        paces = new double[PACES];
        germinations = new double[GERMINATIONS + MISHAPS];
        for (int index = 0; index < PACES; index++) {
            double quantile = normal.inverseCumulativeProbability((index + 0.5) / PACES);
            // Half as wide again as expected, with tails, so that a batch far off can still be recognised.
            paces[index] = Math.exp(pace.logMean() + 1.5 * pace.logDeviation() * quantile);
        }
        for (int index = 0; index < GERMINATIONS; index++) {
            germinations[index] = germination.quantile((index + 0.5) / GERMINATIONS);
        }
        for (int index = 0; index < MISHAPS; index++) {
            germinations[GERMINATIONS + index] = germination.mean() * (index + 0.5) / MISHAPS;
        }
        weights = posterior();
    }

    /** The expectation before any count, at some progress. */
    public ExpectedShare expectedAt(double progress) {
        double[] outcomes = new double[PACES * GERMINATIONS * CHANCE_LEVELS.length];
        int next = 0;
        NormalDistribution normal = NormalDistribution.of(0, 1);
        for (double pace : paces) {
            for (int index = 0; index < GERMINATIONS; index++) {
                double share = cellShare(progress / pace, germinations[index]);
                double deviation = Math.sqrt(cells * share * (1 - share));
                for (double level : CHANCE_LEVELS) {
                    double up = cells * share + deviation * normal.inverseCumulativeProbability(level);
                    outcomes[next++] = Math.min(Math.max(up, 0), cells);
                }
            }
        }
        Arrays.sort(outcomes);
        return new ExpectedShare(quantile(outcomes, 0.1), quantile(outcomes, 0.5), quantile(outcomes, 0.9));
    }

    /**
     * The chance that at least so many cells come up in the end, given the counts: 0 to 1.
     *
     * @param cellsNeeded 0 or more
     */
    public double chanceOfReaching(int cellsNeeded) {
        int up = counts.isEmpty() ? 0 : counts.get(counts.size() - 1).cellsUp();
        if (cellsNeeded <= up) {
            return 1;
        }
        if (cellsNeeded > cells) {
            return 0;
        }
        double progress = counts.isEmpty() ? 0 : counts.get(counts.size() - 1).progress();
        double chance = 0;
        for (int point = 0; point < weights.length; point++) {
            if (weights[point] > 1e-12) {
                double germination = germinations[point % germinations.length];
                double now = cellShare(progress / paces[point / germinations.length], germination);
                double inTheEnd = 1 - Math.pow(1 - germination, seedsPerCell);
                double still = now >= 1 ? 0 : Math.min(1, Math.max(0, (inTheEnd - now) / (1 - now)));
                chance += weights[point]
                        * BinomialDistribution.of(cells - up, still).survivalProbability(cellsNeeded - up - 1);
            }
        }
        return Math.min(1, chance);
    }

    /** What is known of the batch's pace after the counts. */
    public PaceSpread pace() {
        double mean = 0;
        double square = 0;
        for (int point = 0; point < weights.length; point++) {
            double log = Math.log(paces[point / germinations.length]);
            mean += weights[point] * log;
            square += weights[point] * log * log;
        }
        return new PaceSpread(mean, Math.sqrt(Math.max(0, square - mean * mean)));
    }

    /**
     * What to make of the counts.
     *
     * @param progressNow made by today, 0 or more
     * @param cellsNeeded that must come up for the order
     */
    public EmergenceVerdict verdict(double progressNow, int cellsNeeded) {
        if (counts.isEmpty()) {
            return EmergenceVerdict.TOO_SOON_TO_TELL;
        }
        CountSoFar last = counts.get(counts.size() - 1);
        ExpectedShare expected = expectedAt(last.progress());
        if (last.cellsUp() == 0 && expected.middle() < 1) {
            return EmergenceVerdict.TOO_SOON_TO_TELL;
        }
        if (chanceOfReaching(cellsNeeded) < 0.5 && progressNow >= 1) {
            return EmergenceVerdict.FAILING;
        }
        if (last.cellsUp() < expected.low()) {
            return EmergenceVerdict.LATE;
        }
        return last.cellsUp() > expected.high() ? EmergenceVerdict.EARLY : EmergenceVerdict.ON_COURSE;
    }

    private double[] posterior() {
        double[] logLikelihood = new double[PACES * germinations.length];
        for (int point = 0; point < logLikelihood.length; point++) {
            int germination = point % germinations.length;
            double prior = germination < GERMINATIONS
                    ? (1 - CHANCE_OF_MISHAP) / GERMINATIONS
                    : CHANCE_OF_MISHAP / MISHAPS;
            logLikelihood[point] = Math.log(prior)
                    + logLikelihood(paces[point / germinations.length], germinations[germination]);
        }
        double best = Arrays.stream(logLikelihood).max().orElse(0);
        double[] posterior = Arrays.stream(logLikelihood).map(value -> Math.exp(value - best)).toArray();
        double sum = Arrays.stream(posterior).sum();
        return Arrays.stream(posterior).map(value -> value / sum).toArray();
    }

    private double logLikelihood(double pace, double germination) {
        double sum = 0;
        double shareBefore = 0;
        int upBefore = 0;
        for (CountSoFar count : counts) {
            double share = cellShare(count.progress() / pace, germination);
            sum += (count.cellsUp() - upBefore) * Math.log(Math.max(share - shareBefore, 1e-9));
            shareBefore = share;
            upBefore = count.cellsUp();
        }
        return sum + (cells - upBefore) * Math.log(Math.max(1 - shareBefore, 1e-9));
    }

    /** The share of cells with something up when the median seedling needs {@code progress} 1. */
    private double cellShare(double progress, double germination) {
        return 1 - Math.pow(1 - germination * emergence.shareUp(progress), seedsPerCell);
    }

    private static double quantile(double[] sorted, double probability) {
        return sorted[(int) Math.floor(probability * (sorted.length - 1))];
    }
}
