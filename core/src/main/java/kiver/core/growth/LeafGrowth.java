package kiver.core.growth;

/**
 * How fast true leaves unfold after emergence.
 *
 * @param temperatures of leaf growth
 * @param leavesPerDayAtBest true leaves a day at the optimum and in full light, for example 0.25; positive
 * @param lightNeed light above which more makes no difference, mol m⁻² d⁻¹, for example 12; positive
 */
public record LeafGrowth(CardinalTemperatures temperatures, double leavesPerDayAtBest, double lightNeed) {

    /** Leaf number answers to light far less than weight does; in the dark it would still make this share. */
    private static final double SHARE_WITHOUT_LIGHT = 0.4;

    /** Below this share of the light need stems stretch. */
    private static final double LEGGY_BELOW = 0.5;

    public LeafGrowth {
        if (!(leavesPerDayAtBest > 0) || !(lightNeed > 0)) {
            throw new IllegalArgumentException("Leaves per day and light need must be positive.");
        }
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

    /** Whether seedlings stretch in that light, mol m⁻² d⁻¹. */
    public boolean isLeggyIn(double light) {
        return light < leggyBelow();
    }

    /** The light below which seedlings stretch, mol m⁻² d⁻¹. */
    public double leggyBelow() {
        return LEGGY_BELOW * lightNeed;
    }
}
