package kiver.core.care;

/**
 * What is known of the water in a tray at a moment.
 *
 * @param share of available water, 0 to 1, as most likely
 * @param deviation of that, of what the tray holds; 0.02 after weighing
 */
public record TrayWater(double share, double deviation) {

    /** Nobody has seen or watered it. */
    public static final TrayWater UNKNOWN = new TrayWater(0.5, 0.5);

    private static final double SCALE = 0.02;
    private static final double DARK = 0.8;
    private static final double DARK_DEVIATION = 0.15;
    private static final double PALE = 0.45;
    private static final double PALE_DEVIATION = 0.2;
    private static final double DRAWN_FULL_DEVIATION = 0.03;
    private static final double RUN_THROUGH = 0.92;
    private static final double RUN_THROUGH_DEVIATION = 0.07;
    private static final double SPRAYED = 0.06;

    public TrayWater {
        share = Math.max(0, Math.min(1, share));
    }

    /**
     * The same after some has gone.
     *
     * @param gone share of what it holds that goes at the usual pace
     * @param pace at which this tray dries
     */
    public TrayWater after(double gone, DryingPace pace) {
        double drunk = gone * pace.factor();
        return new TrayWater(share - drunk, Math.hypot(deviation, Math.min(1, drunk) * pace.deviation()));
    }

    /** What is known with something done or seen as well. */
    public TrayWater with(WaterSeen seen) {
        if (seen instanceof WaterSeen.Weighed weighed) {
            return new TrayWater(weighed.share(), SCALE);
        }
        if (seen instanceof WaterSeen.Lifted lifted) {
            return told(lifted.heft().share(), lifted.heft().deviation());
        }
        if (seen instanceof WaterSeen.Surface surface) {
            return surface.dark() ? told(DARK, DARK_DEVIATION) : told(PALE, PALE_DEVIATION);
        }
        return switch (((WaterSeen.Watered) seen).how()) {
            case BELOW -> new TrayWater(1, DRAWN_FULL_DEVIATION);
            case ABOVE -> new TrayWater(Math.max(share, RUN_THROUGH), RUN_THROUGH_DEVIATION);
            case SPRAY -> new TrayWater(share + SPRAYED, deviation);
        };
    }

    /** Two normal tellings of one figure, each by its precision. */
    private TrayWater told(double other, double otherDeviation) {
        double own = 1 / (deviation * deviation);
        double told = 1 / (otherDeviation * otherDeviation);
        return new TrayWater((share * own + other * told) / (own + told), 1 / Math.sqrt(own + told));
    }
}
