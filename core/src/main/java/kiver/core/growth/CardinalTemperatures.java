package kiver.core.growth;

/**
 * The temperatures between which a stage develops, and how sharply its rate peaks.
 *
 * <p>Reference: Yin, Kropff, McLaren and Visperas (1995), Agricultural and Forest Meteorology 77, equation 5 (beta
 * function); the curvature exponent as in Yin and van Laar (2005), "Crop Systems Dynamics", where 1 gives back the
 * form of 1995.
 *
 * @param base °C at and below which nothing develops, for example 6.1
 * @param optimum °C at which development is fastest, between base and ceiling
 * @param ceiling °C at and above which nothing develops, for example 41.0
 * @param curvature 1 for the plain beta function; above 1 a narrower peak; positive
 */
public record CardinalTemperatures(double base, double optimum, double ceiling, double curvature) {

    public CardinalTemperatures {
        if (!(base < optimum && optimum < ceiling)) {
            throw new IllegalArgumentException("Cardinal temperatures must rise from base to optimum to ceiling: "
                    + base + ", " + optimum + ", " + ceiling + " °C.");
        }
        if (!(curvature > 0)) {
            throw new IllegalArgumentException("The curvature must be positive, not " + curvature + ".");
        }
    }

    /** Cardinal temperatures with the plain beta function. */
    public static CardinalTemperatures of(double base, double optimum, double ceiling) {
        return new CardinalTemperatures(base, optimum, ceiling, 1);
    }

    /**
     * The rate at a temperature, relative to the rate at the optimum: 0 to 1.
     *
     * @param temperature °C, any
     */
    public double rate(double temperature) {
        if (temperature <= base || temperature >= ceiling) {
            return 0;
        }
        double falling = (ceiling - temperature) / (ceiling - optimum);
        double rising = (temperature - base) / (optimum - base);
        double beta = falling * Math.pow(rising, (optimum - base) / (ceiling - optimum));
        return curvature == 1 ? beta : Math.pow(beta, curvature);
    }
}
