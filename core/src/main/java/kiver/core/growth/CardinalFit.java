package kiver.core.growth;

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
 * <p>Few crops were tested at more than five temperatures, fewer than the curve has parameters to spare. So the fit
 * is the most probable curve given the observations and weak expectations of where cardinal temperatures lie for
 * garden crops: base 4 °C plus 0.3 of the lowest temperature at which anything came up, optimum 29, ceiling 42, each
 * with a standard deviation of 5 K; the logarithm of the curvature 0 with 0.2. Errors are relative (normal in the
 * logarithm of days, standard deviation 0.03). With these, a column left out and predicted from the others is off by
 * 7 % in the median and by less than 25 % nine times in ten; see {@code CardinalFitTest}.
 *
 * <p>Base and ceiling are searched as distances outside the observed temperatures, because something did emerge at
 * each of those. The search is the simplex of Nelder and Mead (1965) from a fixed set of starts, so the same
 * observations always give the same fit.
 */
public final class CardinalFit {

    private static final double OBSERVATION_DEVIATION = 0.03;
    private static final double TEMPERATURE_DEVIATION = 5;
    private static final double CURVATURE_DEVIATION = 0.2;
    private static final double EXPECTED_OPTIMUM = 29;
    private static final double EXPECTED_CEILING = 42;
    private static final double[] START_BELOW = {0, 1, 2};
    private static final double[] START_OPTIMUM = {20, 25, 30, 34};
    private static final double[] START_ABOVE = {0, 1.5, 2.5};

    private final List<ObservedDays> observations;
    private final double lowest;
    private final double highest;

    private CardinalFit(List<ObservedDays> observations) {
        this.observations = observations;
        lowest = observations.stream().mapToDouble(ObservedDays::temperature).min().orElseThrow();
        highest = observations.stream().mapToDouble(ObservedDays::temperature).max().orElseThrow();
    }

    /**
     * The fitted emergence of a crop.
     *
     * @param observations at two temperatures or more
     * @param spread of single seedlings, passed through to the result
     */
    public static Emergence fit(List<ObservedDays> observations, double spread) {
        if (observations.stream().mapToDouble(ObservedDays::temperature).distinct().count() < 2) {
            throw new IllegalArgumentException("A fit needs observations at two temperatures or more.");
        }
        return new CardinalFit(List.copyOf(observations)).mostProbable(spread);
    }

    private Emergence mostProbable(double spread) {
        PointValuePair best = null;
        double fewestDays = observations.stream().mapToDouble(ObservedDays::days).min().orElseThrow();
        for (double below : START_BELOW) {
            for (double optimum : START_OPTIMUM) {
                for (double above : START_ABOVE) {
                    PointValuePair found = searchFrom(new double[] {below, optimum, above, Math.log(fewestDays), 0});
                    if (best == null || found.getValue() < best.getValue()) {
                        best = found;
                    }
                }
            }
        }
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
        double sum = squared((base(point) - (4 + 0.3 * lowest)) / TEMPERATURE_DEVIATION)
                + squared((point[1] - EXPECTED_OPTIMUM) / TEMPERATURE_DEVIATION)
                + squared((ceiling(point) - EXPECTED_CEILING) / TEMPERATURE_DEVIATION)
                + squared(point[4] / CURVATURE_DEVIATION);
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
