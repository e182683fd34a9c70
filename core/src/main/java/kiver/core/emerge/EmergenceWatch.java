package kiver.core.emerge;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import kiver.core.crop.Survival;
import kiver.core.growth.Emergence;
import kiver.core.growth.PaceSpread;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
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
    private static final int SURVIVALS = 9;

    /** Steps from none to all cells in which an expectation is told. */
    private static final int STEPS = 10_000;

    /**
     * The grid of paces is half as wide again as what is expected, so that a batch far off can still be recognised; the
     * expectation itself is not.
     */
    private static final double WIDER_GRID = 1.5;

    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    /** How far chance alone takes a count from what is expected, in standard deviations at seven levels. */
    private static final double[] CHANCES = DoubleStream.of(0.05, 0.2, 0.35, 0.5, 0.65, 0.8, 0.95)
            .map(NORMAL::inverseCumulativeProbability)
            .toArray();

    private final Emergence emergence;
    private final int cells;
    private final int seedsPerCell;
    private final List<CountSoFar> counts;
    private final double[] paces;
    private final double[] expectedPaces;
    private final int mishaps;
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
        paces = new double[PACES];
        expectedPaces = new double[PACES];
        double[] afterMishap = GerminationNodes.afterMishap(germination.mean());
        mishaps = afterMishap.length;
        germinations = new double[GERMINATIONS + mishaps];
        for (int index = 0; index < PACES; index++) {
            double quantile = NORMAL.inverseCumulativeProbability((index + 0.5) / PACES);
            paces[index] = pace.paceAt(WIDER_GRID * quantile);
            expectedPaces[index] = pace.paceAt(quantile);
        }
        for (int index = 0; index < GERMINATIONS; index++) {
            germinations[index] = germination.quantile((index + 0.5) / GERMINATIONS);
        }
        System.arraycopy(afterMishap, 0, germinations, GERMINATIONS, mishaps);
        weights = posterior();
    }

    /** The expectation before any count, at some progress. */
    public ExpectedShare expectedAt(double progress) {
        int[] outcomes = new int[STEPS + 1];
        for (double pace : expectedPaces) {
            double shareUp = emergence.shareUp(progress / pace);
            for (int index = 0; index < GERMINATIONS; index++) {
                double share = cellShare(shareUp, germinations[index]);
                double deviation = Math.sqrt(share * (1 - share) / cells);
                for (double chance : CHANCES) {
                    double up = Math.min(Math.max(share + deviation * chance, 0), 1);
                    outcomes[(int) Math.round(up * STEPS)]++;
                }
            }
        }
        return new ExpectedShare(quantile(outcomes, 0.1), quantile(outcomes, 0.5), quantile(outcomes, 0.9));
    }

    /** The cells that are up in so large a share of equally likely outcomes, which are told in steps. */
    private double quantile(int[] outcomes, double probability) {
        int rank = (int) Math.floor(probability * (PACES * GERMINATIONS * CHANCES.length - 1));
        int step = 0;
        for (int below = outcomes[0]; below <= rank; below += outcomes[step]) {
            step++;
        }
        return cells * (double) step / STEPS;
    }

    /**
     * The chance that at least so many cells come up in the end, given the counts: 0 to 1.
     *
     * @param cellsNeeded 0 or more
     */
    public double chanceOfReaching(int cellsNeeded) {
        return chanceOfLiving(cellsNeeded, cellsUp(), Survival.certain(1));
    }

    /**
     * The chance that at least so many plants live to their release, given the counts: 0 to 1. Deaths are still to come
     * among those that are up as among those that are not.
     *
     * @param wanted plants, 0 or more
     * @param alive cells with a living plant now, not more than have come up
     * @param survival from now to release
     */
    public double chanceOfLiving(int wanted, int alive, Survival survival) {
        if (wanted <= 0) {
            return 1;
        }
        double[] stillToCome = stillToCome();
        double[] shares = survival.shares(SURVIVALS);
        double chance = 0;
        for (int more = 0; more < stillToCome.length; more++) {
            int upInTheEnd = alive + more;
            if (stillToCome[more] > 1e-9 && upInTheEnd >= wanted) {
                for (double share : shares) {
                    chance += stillToCome[more]
                            / shares.length
                            * (share >= 1
                                    ? 1
                                    : BinomialDistribution.of(upInTheEnd, share).survivalProbability(wanted - 1));
                }
            }
        }
        return chance > 1 - 1e-9 ? 1 : chance;
    }

    /** The chance of each number of cells that still come up, from none to all that wait. */
    private double[] stillToCome() {
        int up = cellsUp();
        double progress = counts.isEmpty() ? 0 : counts.get(counts.size() - 1).progress();
        int waiting = Math.max(0, cells - up);
        double[] shareUp = Arrays.stream(paces)
                .map(pace -> emergence.shareUp(progress / pace))
                .toArray();
        double[] chances = new double[waiting + 1];
        for (int point = 0; point < weights.length; point++) {
            if (weights[point] > 1e-7) {
                double germination = germinations[point % germinations.length];
                double now = cellShare(shareUp[point / germinations.length], germination);
                double inTheEnd = 1 - Math.pow(1 - germination, seedsPerCell);
                double still = now >= 1 ? 0 : Math.min(1, Math.max(0, (inTheEnd - now) / (1 - now)));
                addBinomial(chances, weights[point], still);
            }
        }
        double sum = Arrays.stream(chances).sum();
        return Arrays.stream(chances).map(chance -> chance / sum).toArray();
    }

    /**
     * Adds the weighed binomial chances of each number of so many as there is room for. Each follows from the one
     * before it; what lies beyond eight standard deviations is left out.
     */
    private static void addBinomial(double[] chances, double weight, double share) {
        int trials = chances.length - 1;
        if (share >= 1) {
            chances[trials] += weight;
            return;
        }
        double spread = 8 * Math.sqrt(trials * share * (1 - share)) + 1;
        int least = (int) Math.max(0, trials * share - spread);
        int most = (int) Math.min(trials, Math.ceil(trials * share + spread));
        double odds = share / (1 - share);
        double chance = BinomialDistribution.of(trials, share).probability(least);
        for (int count = least; count <= most; count++) {
            chances[count] += weight * chance;
            chance *= odds * (trials - count) / (count + 1);
        }
    }

    private int cellsUp() {
        return counts.isEmpty() ? 0 : counts.get(counts.size() - 1).cellsUp();
    }

    /** What was to be expected on the day of the last count, if there was one. */
    public Optional<ExpectedShare> expectedAtLastCount() {
        return counts.isEmpty()
                ? Optional.empty()
                : Optional.of(expectedAt(counts.get(counts.size() - 1).progress()));
    }

    /** Standard deviation of the grid of paces before any count, of the logarithm. */
    public static double beforeAnyCount(PaceSpread pace) {
        return WIDER_GRID * pace.logDeviation();
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
     * What to make of the counts, held against what was to be expected on the day of the last of them.
     *
     * @param progressNow made by today, 0 or more
     * @param chanceEnough that enough plants reach their release, 0 to 1
     */
    public EmergenceVerdict verdict(double progressNow, double chanceEnough) {
        if (counts.isEmpty()) {
            return EmergenceVerdict.TOO_SOON_TO_TELL;
        }
        CountSoFar last = counts.get(counts.size() - 1);
        ExpectedShare expected = expectedAt(last.progress());
        if (last.cellsUp() == 0 && expected.middle() < 1) {
            return EmergenceVerdict.TOO_SOON_TO_TELL;
        }
        if (chanceEnough < 0.5 && progressNow >= 1) {
            return EmergenceVerdict.FAILING;
        }
        if (last.cellsUp() < expected.low()) {
            return EmergenceVerdict.LATE;
        }
        return last.cellsUp() > expected.high() ? EmergenceVerdict.EARLY : EmergenceVerdict.ON_COURSE;
    }

    private double[] posterior() {
        double[] logLikelihood = new double[PACES * germinations.length];
        for (int pace = 0; pace < PACES; pace++) {
            double[] sharesUp = sharesUpAtCounts(paces[pace]);
            for (int germination = 0; germination < germinations.length; germination++) {
                double prior = germination < GERMINATIONS
                        ? (1 - GerminationNodes.CHANCE_OF_MISHAP) / GERMINATIONS
                        : GerminationNodes.CHANCE_OF_MISHAP / mishaps;
                logLikelihood[pace * germinations.length + germination] =
                        Math.log(prior) + logLikelihood(sharesUp, germinations[germination]);
            }
        }
        double best = Arrays.stream(logLikelihood).max().orElse(0);
        double[] posterior = Arrays.stream(logLikelihood)
                .map(value -> Math.exp(value - best))
                .toArray();
        double sum = Arrays.stream(posterior).sum();
        return Arrays.stream(posterior).map(value -> value / sum).toArray();
    }

    private double[] sharesUpAtCounts(double pace) {
        return counts.stream()
                .mapToDouble(count -> emergence.shareUp(count.progress() / pace))
                .toArray();
    }

    private double logLikelihood(double[] sharesUp, double germination) {
        double sum = 0;
        double shareBefore = 0;
        int upBefore = 0;
        for (int index = 0; index < sharesUp.length; index++) {
            double share = cellShare(sharesUp[index], germination);
            int up = counts.get(index).cellsUp();
            sum += (up - upBefore) * Math.log(Math.max(share - shareBefore, 1e-9));
            shareBefore = share;
            upBefore = up;
        }
        return sum + (cells - upBefore) * Math.log(Math.max(1 - shareBefore, 1e-9));
    }

    /** The share of cells with something up when so large a share of those that ever come up is up. */
    private double cellShare(double shareUp, double germination) {
        double none = 1 - germination * shareUp;
        return 1 - (seedsPerCell == 1 ? none : Math.pow(none, seedsPerCell));
    }
}
