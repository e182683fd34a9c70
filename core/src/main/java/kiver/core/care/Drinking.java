package kiver.core.care;

import java.time.LocalDateTime;

/**
 * How fast a tray dries before anybody has learnt it: what its leaves and its open surface give off.
 *
 * <p>Reference: Baille, Baille and Laury (1994), "A simplified model for predicting evapotranspiration rate of nine ornamental
 * species vs. climate factors and leaf area", Scientia Horticulturae 59: one part for radiation, which the canopy takes up, and
 * one for the dryness of the air. The
 * coefficients are of the size that is published for young pot plants and fitted to nothing here; what is true of a container,
 * crop and place is learnt from weighing ({@link DryingPace}).
 *
 * @param area m² of the tray, above 0
 * @param held g of water that it holds for plants, above 0
 * @param leafArea m² of leaves over each m² of tray, 0 or more
 * @param open whether its surface lies open; under a cover it hardly dries
 */
public record Drinking(double area, double held, double leafArea, boolean open) {

    private static final double RADIATION_USED = 0.6;
    private static final double EXTINCTION = 0.6;

    /** W m⁻² kPa⁻¹ of each m² of leaves on a m². */
    private static final double DRYNESS_USED = 25;

    private static final double JOULES_PER_GRAM = 2450;
    private static final double SECONDS_IN_HOUR = 3600;

    /** Wet mix gives off about as much as so many leaves. */
    private static final double OPEN_SURFACE = 0.5;

    private static final double COVERED_SURFACE = 0.05;

    /** m² of a seedling before its first true leaf. */
    private static final double SEED_LEAVES = 0.0003;

    /** More leaves than these over a tray shade each other. */
    private static final double MOST_LEAVES = 3;

    /** m² of leaves over each m² of tray that so many plants have; at most 3, since more shade each other. */
    public static double leafArea(int plants, double trueLeaves, double area) {
        return Math.min(MOST_LEAVES, plants * SEED_LEAVES * Math.pow(1 + trueLeaves, 1.6) / area);
    }

    /** The share of what it holds that goes between two moments; above 1 where it would go twice. */
    public double between(AirDemand air, LocalDateTime from, LocalDateTime until) {
        double surface = open ? OPEN_SURFACE * Math.exp(-EXTINCTION * leafArea) : COVERED_SURFACE;
        double leaves = leafArea + surface;
        double joules = RADIATION_USED * (1 - Math.exp(-EXTINCTION * leaves)) * air.radiation(from, until) * 1e6
                + DRYNESS_USED * leaves * air.dryness(from, until) * SECONDS_IN_HOUR;
        return joules / JOULES_PER_GRAM * area / held;
    }
}
