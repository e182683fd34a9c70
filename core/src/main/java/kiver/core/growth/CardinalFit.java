package kiver.core.growth;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.analysis.MultivariateFunction;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Fits cardinal temperatures and days at the optimum to observed days to emergence.
 *
 * <p>Few crops were tested at more than five temperatures, fewer than the curve has parameters to spare. So the fit is the
 * most probable curve given the observations and what is expected of the crop's {@link Kin}; the logarithm of the curvature
 * is expected to be 0 with a standard deviation of 0.185. Errors are relative (normal in the logarithm of days, standard
 * deviation 0.029). A temperature at which nothing was seen to come up says that it would have taken longer than two months
 * at the least. The expectations were chosen so that left-out columns are predicted well: one left out and predicted from
 * the others is then off by 4 % in the median, and 38 of 43 by less than 20 %; see {@code CardinalFitTest}.
 *
 * <p>Base and ceiling are searched as distances outside the observed temperatures, because something did emerge at
 * each of those. The search is the simplex of Nelder and Mead (1965) from a fixed set of starts, so the same
 * observations always give the same fit.
 */
public final class CardinalFit {

    private static final double OBSERVATION_DEVIATION = 0.029;
    private static final double CURVATURE_DEVIATION = 0.185;
    private static final double[] START_BELOW = {0, 1, 2};
    private static final double[] START_OPTIMUM = {20, 25, 30, 34};
    private static final double[] START_ABOVE = {0, 1.5, 2.5};

    /** Where nothing was seen to come up, it would have taken longer than this at the least, in days. */
    private static final double LONGER_THAN = 60;

    /** An empty column may also not have been tested, so it says this much less than a number. */
    private static final double EMPTY_DEVIATION = 1.56;

    /** A crop that frost kills does not come up in frost. */
    private static final double LOWEST_BASE_OF_TENDER = -1;

    private final List<ObservedDays> observations;
    private final List<Double> nothingCameUp;
    private final Kin kin;
    private final double lowest;
    private final double highest;

    /**
     * What is expected of crops of a season class before anything is observed of the crop itself; °C. Reference: the
     * spread of base and optimum temperatures over species in Dürr et al. (2015), Agric. For. Meteorol. 200.
     */
    public enum Kin {
        /** Killed by frost, from warm countries. */
        WARM_SEASON(4.07, 2.25, 31.35, 1.54, 43, 4.42),
        /** Grow in the cool. */
        COOL_SEASON(-2.32, 2.71, 29.1, 1.69, 38.8, 4.14);

        private final double base;
        private final double baseDeviation;
        private final double optimum;
        private final double optimumDeviation;
        private final double ceiling;
        private final double ceilingDeviation;

        Kin(
                double base,
                double baseDeviation,
                double optimum,
                double optimumDeviation,
                double ceiling,
                double ceilingDeviation) {
            this.base = base;
            this.baseDeviation = baseDeviation;
            this.optimum = optimum;
            this.optimumDeviation = optimumDeviation;
            this.ceiling = ceiling;
            this.ceilingDeviation = ceilingDeviation;
        }
    }

    private CardinalFit(List<ObservedDays> observations, List<Double> nothingCameUp, Kin kin) {
        this.observations = observations;
        this.nothingCameUp = nothingCameUp;
        this.kin = kin;
        lowest = observations.stream()
                .mapToDouble(ObservedDays::temperature)
                .min()
                .orElseThrow();
        highest = observations.stream()
                .mapToDouble(ObservedDays::temperature)
                .max()
                .orElseThrow();
    }

    /**
     * The fitted emergence of a crop.
     *
     * @param observations at two temperatures or more
     * @param nothingCameUp temperatures at which nothing was seen to come up, °C; those between observations are left out
     * @param kin season class of the crop
     * @param spread of single seedlings, passed through to the result
     */
    public static Emergence fit(List<ObservedDays> observations, List<Double> nothingCameUp, Kin kin, double spread) {
        if (observations.stream()
                        .mapToDouble(ObservedDays::temperature)
                        .distinct()
                        .count()
                < 2) {
            throw new IllegalArgumentException("A fit needs observations at two temperatures or more.");
        }
        return new CardinalFit(List.copyOf(observations), List.copyOf(nothingCameUp), kin).mostProbable(spread);
    }

    private Emergence mostProbable(double spread) {
        List<PointValuePair> found = new ArrayList<>();
        double fewestDays =
                observations.stream().mapToDouble(ObservedDays::days).min().orElseThrow();
        for (double below : START_BELOW) {
            for (double optimum : START_OPTIMUM) {
                for (double above : START_ABOVE) {
                    found.add(searchFrom(new double[] {below, optimum, above, Math.log(fewestDays), 0}));
                }
            }
        }
        PointValuePair best = found.stream()
                .min(Comparator.comparingDouble(PointValuePair::getValue))
                .orElseThrow();
        return emergenceAt(best.getPoint(), spread);
    }

    private PointValuePair searchFrom(double[] start) {
        MultivariateFunction misfit = this::misfit;
        return new SimplexOptimizer(1e-9, 1e-7)
                .optimize(
                        new MaxEval(20_000),
                        new ObjectiveFunction(misfit),
                        GoalType.MINIMIZE,
                        new InitialGuess(start),
                        new NelderMeadSimplex(new double[] {0.5, 2, 0.5, 0.2, 0.1}));
    }

    /** Minus twice the logarithm of the posterior density, but for a constant. */
    private double misfit(double[] point) {
        if (base(point) + 1 > point[1] || point[1] + 0.5 > ceiling(point)) {
            return 1e9;
        }
        Emergence candidate = emergenceAt(point, 1);
        if (kin == Kin.WARM_SEASON && base(point) < LOWEST_BASE_OF_TENDER) {
            return 1e9;
        }
        double sum = squared((base(point) - kin.base) / kin.baseDeviation)
                + squared((point[1] - kin.optimum) / kin.optimumDeviation)
                + squared((ceiling(point) - kin.ceiling) / kin.ceilingDeviation)
                + squared(point[4] / CURVATURE_DEVIATION);
        for (double temperature : nothingCameUp) {
            if (temperature < lowest || temperature > highest) {
                double tooSoon = Math.log(LONGER_THAN / candidate.daysAt(temperature));
                sum += tooSoon > 0 ? squared(tooSoon / EMPTY_DEVIATION) : 0;
            }
        }
        for (ObservedDays observed : observations) {
            double error = Math.log(candidate.daysAt(observed.temperature()) / observed.days());
            sum += squared(Math.min(error, 100) / OBSERVATION_DEVIATION);
        }
        return sum;
    }

    private Emergence emergenceAt(double[] point, double spread) {
        CardinalTemperatures temperatures =
                new CardinalTemperatures(base(point), point[1], ceiling(point), Math.exp(point[4]));
        return new Emergence(temperatures, Math.exp(point[3]), spread);
    }

    private double base(double[] point) {
        return lowest - Math.exp(point[0]);
    }

    private double ceiling(double[] point) {
        return Math.max(highest, point[1]) + Math.exp(point[2]);
    }

    private static double squared(double value) {
        return value * value;
    }
}
