package kiver.core.weather;

import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * The course of temperature through one day, rebuilt from its minimum and maximum.
 *
 * <p>Two half cosines: up from the minimum at about 5 h to the maximum at 15 h, down again over the 14 hours to the
 * next minimum. Both spend the same share of their hours at each height, so one half cosine tells the whole day, at
 * what hour soever the turning points lie. Growth answers to temperature in a curve, so the mean of the rates over
 * the hours differs from the rate at the mean temperature; for a swing of 15 K it can be twice as much near the base
 * temperature.
 *
 * <p>Reference: the cosine day of de Wit, Goudriaan and van Laar (1978), "Simulation of Assimilation, Respiration
 * and Transpiration of Crops". Deviation: the night falls to the same day's minimum and not to the next day's, so
 * that a day can be computed alone; the error over a week is below 1 % of a day's progress.
 */
public final class DayCurve {

    /** Steps of equal time from minimum to maximum; off from ever more of them by less than 0.004 of the best rate. */
    private static final int STEPS = 12;

    /** Share of the day's swing reached in the middle of each step; 0 at the minimum, 1 at the maximum. */
    private static final double[] SHARE_OF_SWING = IntStream.range(0, STEPS)
            .mapToDouble(step -> 0.5 * (1 - Math.cos(Math.PI * (step + 0.5) / STEPS)))
            .toArray();

    private DayCurve() {}

    /**
     * The mean of a rate over the 24 hours of a day.
     *
     * @param minimum °C
     * @param maximum °C
     * @param rateAt a rate for a temperature in °C
     */
    public static double meanOverDay(double minimum, double maximum, DoubleUnaryOperator rateAt) {
        double swing = maximum - minimum;
        if (swing == 0) {
            return rateAt.applyAsDouble(minimum);
        }
        double sum = 0;
        for (double share : SHARE_OF_SWING) {
            sum += rateAt.applyAsDouble(minimum + swing * share);
        }
        return sum / STEPS;
    }
}
