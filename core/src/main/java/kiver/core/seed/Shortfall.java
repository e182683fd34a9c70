package kiver.core.seed;

import java.util.List;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * How often so few would come up if seed were what one takes it to be: the exact lower tail of a binomial whose share is
 * itself uncertain (beta-binomial for counted seeds), averaged over {@link GerminationNodes}.
 */
public final class Shortfall {

    private Shortfall() {}

    /**
     * Trials of one seed lot that end in up or not up.
     *
     * @param seeds to each trial: 1 where seeds were counted, as many as were sown to a cell where it was only seen
     *     whether something came up
     * @param tried how many, 0 or more
     * @param up of them, 0 to {@code tried}
     */
    public record Trials(int seeds, int tried, int up) {
        public Trials {
            if (seeds < 1 || tried < 0 || up < 0 || up > tried) {
                throw new IllegalArgumentException(
                        "Of " + tried + " trials of " + seeds + " seeds " + up + " came up.");
            }
        }
    }

    /**
     * The chance that no more came up than did.
     *
     * @param expected of the seed before it was counted
     * @param trials all of the same seed
     * @return 0 to 1; 1 where nothing was tried
     */
    public static double tail(Germination expected, List<Trials> trials) {
        return tail(distribution(expected, trials), up(trials));
    }

    /** The chance of so many or fewer; of a distribution as {@link #distribution} gives it. */
    public static double tail(double[] distribution, int up) {
        double sum = 0;
        for (int count = 0; count <= Math.min(up, distribution.length - 1); count++) {
            sum += distribution[count];
        }
        return Math.min(sum, 1);
    }

    /** The chance of each number that comes up, from 0 to all that were tried. */
    public static double[] distribution(Germination expected, List<Trials> trials) {
        GerminationNodes nodes = GerminationNodes.of(expected);
        int all = trials.stream().mapToInt(Trials::tried).sum();
        double[] mixed = new double[all + 1];
        for (int node = 0; node < nodes.shares().length; node++) {
            double[] given = {1};
            for (Trials each : trials) {
                given = sum(given, binomial(each.tried(), shareUp(nodes.shares()[node], each.seeds())));
            }
            for (int count = 0; count < given.length; count++) {
                mixed[count] += nodes.weights()[node] * given[count];
            }
        }
        return mixed;
    }

    /** The distribution of two independent numbers together. */
    public static double[] sum(double[] one, double[] other) {
        double[] both = new double[one.length + other.length - 1];
        for (int first = 0; first < one.length; first++) {
            for (int second = 0; second < other.length; second++) {
                both[first + second] += one[first] * other[second];
            }
        }
        return both;
    }

    /** All that came up. */
    public static int up(List<Trials> trials) {
        return trials.stream().mapToInt(Trials::up).sum();
    }

    private static double shareUp(double share, int seeds) {
        return -Math.expm1(seeds * Math.log1p(-Math.min(share, 1 - 1e-12)));
    }

    private static double[] binomial(int tried, double share) {
        double[] chances = new double[tried + 1];
        BinomialDistribution distribution = BinomialDistribution.of(tried, Math.min(share, 1));
        for (int count = 0; count <= tried; count++) {
            chances[count] = distribution.probability(count);
        }
        return chances;
    }
}
