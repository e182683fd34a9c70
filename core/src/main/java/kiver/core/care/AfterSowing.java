package kiver.core.care;

import kiver.core.crop.Container;

/** How a sown tray is watered until something shows. */
public enum AfterSowing {
    /** Soaked once, covered, and left: its surface is looked at each day. */
    LEFT_UNTIL_UP,
    /** Blocks, open trays and seed that lies open: a fine spray each day. */
    SPRAYED_DAILY,
    /** On heat: water stands in the tray beneath. */
    STOOD_IN_WATER;

    /** A place so warm has heat from below, °C. */
    private static final double HEAT = 22;

    /**
     * The way that goes with a container, a cover and a place.
     *
     * @param needsLight whether the seed is pressed in and not covered
     * @param warmth °C of the place by day and night
     */
    public static AfterSowing of(Container container, boolean needsLight, double warmth) {
        if (container.kind() == Container.Kind.BLOCKS || container.kind() == Container.Kind.OPEN || needsLight) {
            return SPRAYED_DAILY;
        }
        return warmth >= HEAT ? STOOD_IN_WATER : LEFT_UNTIL_UP;
    }
}
