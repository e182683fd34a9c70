package kiver.core.growth;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Effects that are normal before anything is seen, of which only sums are seen, each with an error: what is known of any
 * other sum of them, exactly.
 *
 * <p>Reference: a hierarchical linear model with known variances (Gelman et al. 2013, Bayesian Data Analysis, chapter 15),
 * solved by its precision matrix; what is known without one of the seen sums follows by the formula of Sherman and Morrison
 * (1950).
 *
 * @param <E> what names an effect
 */
public final class NormalHierarchy<E> {

    private final Map<E, Integer> index = new HashMap<>();
    private final List<Seen<E>> seen;
    private final RealMatrix covariance;
    private final RealVector mean;

    /**
     * Something normal.
     *
     * @param mean of it
     * @param variance 0 or more
     */
    public record Normal(double mean, double variance) {

        /** Deviations to either side of the mean between which eight of ten lie. */
        public static final double EIGHT_OF_TEN = 1.2816;

        public Normal {
            if (!Double.isFinite(mean) || !(variance >= 0)) {
                throw new IllegalArgumentException("A mean is a number, and a variance is not below 0.");
            }
        }

        /** The sum with another that has nothing to do with it. */
        public Normal plus(Normal other) {
            return new Normal(mean + other.mean, variance + other.variance);
        }

        /** Standard deviation. */
        public double deviation() {
            return Math.sqrt(variance);
        }
    }

    /**
     * A sum of effects that was seen.
     *
     * @param effects in it, each once
     * @param value as it was seen
     * @param variance of the error, above 0
     */
    public record Seen<E>(List<E> effects, double value, double variance) {

        public Seen {
            effects = List.copyOf(effects);
            if (!Double.isFinite(value) || !(variance > 0)) {
                throw new IllegalArgumentException("What was seen is a number with an error above 0.");
            }
        }
    }

    /**
     * Works out what is known.
     *
     * @param before what each effect is before anything is seen; its variance above 0. All effects that were seen are in it
     * @param seen sums
     */
    public NormalHierarchy(Map<E, Normal> before, List<Seen<E>> seen) {
        this.seen = List.copyOf(seen);
        int size = before.size();
        RealMatrix precision = new Array2DRowRealMatrix(Math.max(size, 1), Math.max(size, 1));
        RealVector pull = new ArrayRealVector(Math.max(size, 1));
        for (Map.Entry<E, Normal> effect : before.entrySet()) {
            int at = index.size();
            index.put(effect.getKey(), at);
            precision.setEntry(at, at, 1 / effect.getValue().variance());
            pull.setEntry(at, effect.getValue().mean() / effect.getValue().variance());
        }
        for (Seen<E> sum : seen) {
            int[] at = places(sum.effects());
            for (int row : at) {
                pull.addToEntry(row, sum.value() / sum.variance());
                for (int column : at) {
                    precision.addToEntry(row, column, 1 / sum.variance());
                }
            }
        }
        if (size == 0) {
            precision.setEntry(0, 0, 1);
        }
        covariance = new CholeskyDecomposition(precision).getSolver().getInverse();
        mean = covariance.operate(pull);
    }

    /** What is known of a sum of effects. */
    public Normal of(Collection<E> effects) {
        int[] at = places(effects);
        return new Normal(sum(at), covariance(at, at));
    }

    /** What would be known of it, were one of the seen sums not there. */
    public Normal without(int which, Collection<E> effects) {
        int[] at = places(effects);
        Seen<E> left = seen.get(which);
        int[] of = places(left.effects());
        double freed = left.variance() - covariance(of, of);
        double shared = covariance(at, of);
        return new Normal(
                sum(at) - shared * (left.value() - sum(of)) / freed, covariance(at, at) + shared * shared / freed);
    }

    private double sum(int[] at) {
        double sum = 0;
        for (int each : at) {
            sum += mean.getEntry(each);
        }
        return sum;
    }

    private double covariance(int[] rows, int[] columns) {
        double sum = 0;
        for (int row : rows) {
            for (int column : columns) {
                sum += covariance.getEntry(row, column);
            }
        }
        return sum;
    }

    private int[] places(Collection<E> effects) {
        List<Integer> at = new ArrayList<>(effects.size());
        for (E effect : effects) {
            Integer place = index.get(effect);
            if (place == null) {
                throw new IllegalArgumentException("Nothing is known of " + effect + " before anything is seen.");
            }
            at.add(place);
        }
        return at.stream().mapToInt(Integer::intValue).toArray();
    }
}
