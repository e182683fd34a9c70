package kiver.core.growth;

import java.util.Objects;

/**
 * How fast true leaves unfold after emergence.
 *
 * @param temperatures of leaf growth
 * @param leavesPerDayAtBest true leaves a day at the optimum and in full light, for example 0.25; positive
 * @param lightNeed light above which more makes no difference, mol m⁻² d⁻¹, for example 12; positive
 * @param taught what counts taught this nursery beside these figures
 */
public record LeafGrowth(
        CardinalTemperatures temperatures, double leavesPerDayAtBest, double lightNeed, TaughtPace taught) {

    /** Leaf number answers to light far less than weight does; in the dark it would still make this share. */
    private static final double SHARE_WITHOUT_LIGHT = 0.4;

    /** Share of the way from the base to the optimum at which seedlings are usually grown on. */
    private static final double USUAL_WARMTH = 0.65;

    /** Below this share of the light need stems stretch in usual warmth. */
    private static final double LEGGY_BELOW = 0.5;

    private static final double NEAR_THE_CEILING = 3;

    public LeafGrowth {
        if (!(leavesPerDayAtBest > 0) || !(lightNeed > 0)) {
            throw new IllegalArgumentException("Leaves per day and light need must be positive.");
        }
        Objects.requireNonNull(taught);
    }

    /** As the crop's figures say, with nothing taught. */
    public LeafGrowth(CardinalTemperatures temperatures, double leavesPerDayAtBest, double lightNeed) {
        this(temperatures, leavesPerDayAtBest, lightNeed, TaughtPace.NOTHING);
    }

    /** The same with what was taught. */
    public LeafGrowth with(TaughtPace pace) {
        return new LeafGrowth(temperatures, leavesPerDayAtBest, lightNeed, pace);
    }

    /**
     * How much light slows leaf growth: rises in a straight line and stays at 1 from the light need on.
     *
     * @param light mol m⁻² d⁻¹, 0 or more
     * @return 0.4 to 1
     */
    public double lightFactor(double light) {
        return SHARE_WITHOUT_LIGHT + (1 - SHARE_WITHOUT_LIGHT) * Math.min(1, light / lightNeed);
    }

    /** Whether seedlings stretch in that light, mol m⁻² d⁻¹, and that warmth, °C by day and night. */
    public boolean isLeggyIn(double light, double celsius) {
        return light < leggyBelow(celsius);
    }

    /**
     * The light below which seedlings stretch in some warmth, mol m⁻² d⁻¹: what they lack in light for each degree of growth
     * goes into length. The half of the light need where they grow at a usual pace, more where it is warmer.
     *
     * <p>Reference: the photothermal ratio, light by degrees above the base; Liu and Heins (2002), Journal of the American
     * Society for Horticultural Science 127: height and stem strength follow it, whichever of the two is changed.
     */
    public double leggyBelow(double celsius) {
        double growing = Math.max(0, celsius - temperatures.base()) / (usualWarmth() - temperatures.base());
        return leggyBelow() * growing;
    }

    /** The same at a usual pace of growth, by which plans go. */
    public double leggyBelow() {
        return LEGGY_BELOW * lightNeed;
    }

    /** °C from which a day harms seedlings: near the warmth at which no leaf unfolds any more. */
    public double tooHotFrom() {
        return temperatures.ceiling() - NEAR_THE_CEILING;
    }

    /** The warmth at which that light is just enough for stems that do not stretch, °C; never below the base. */
    public double warmthFor(double light) {
        return temperatures.base() + light / leggyBelow() * (usualWarmth() - temperatures.base());
    }

    /** True leaves a day where seedlings are usually grown on, in full light. */
    public double leavesPerDayInUsualWarmth() {
        return leavesPerDayAtBest * temperatures.rate(usualWarmth());
    }

    private double usualWarmth() {
        return temperatures.base() + USUAL_WARMTH * (temperatures.optimum() - temperatures.base());
    }
}
