package kiver.core.growth;

import java.util.function.DoubleUnaryOperator;

/**
 * A rate curve looked up instead of computed, for forecasts that ask for millions of hours.
 *
 * <p>Steps of 0.1 K from −20 to 60 °C with straight lines between them: off the true curve by less than 0.001 of
 * the best rate, except in the first tenth of a degree above the base. Rates outside that span count as 0.
 */
final class RateTable implements DoubleUnaryOperator {

    private static final double LOWEST = -20;
    private static final double HIGHEST = 60;
    private static final double STEPS_PER_DEGREE = 10;

    private final double[] rates;

    RateTable(CardinalTemperatures temperatures) {
        rates = new double[(int) ((HIGHEST - LOWEST) * STEPS_PER_DEGREE) + 2];
        for (int step = 0; step < rates.length; step++) {
            rates[step] = temperatures.rate(LOWEST + step / STEPS_PER_DEGREE);
        }
    }

    @Override
    public double applyAsDouble(double temperature) {
        if (!(temperature > LOWEST && temperature < HIGHEST)) {
            return 0;
        }
        double position = (temperature - LOWEST) * STEPS_PER_DEGREE;
        int step = (int) position;
        return rates[step] + (position - step) * (rates[step + 1] - rates[step]);
    }
}
