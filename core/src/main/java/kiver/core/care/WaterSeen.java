package kiver.core.care;

/** What was done or seen of the water in a tray. */
public sealed interface WaterSeen {

    /** It was weighed: the share of available water, 0 to 1. */
    record Weighed(double share) implements WaterSeen {}

    /** It was lifted. */
    record Lifted(Heft heft) implements WaterSeen {}

    /** Its surface was looked at. */
    record Surface(boolean dark) implements WaterSeen {}

    /** It was watered. */
    record Watered(How how) implements WaterSeen {}

    /** How heavy a tray feels in the hand. */
    enum Heft {
        LIGHT(0.25, 0.12),
        SOME(0.5, 0.12),
        HEAVY(0.85, 0.1);

        private final double share;
        private final double deviation;

        Heft(double share, double deviation) {
            this.share = share;
            this.deviation = deviation;
        }

        /** The share of available water at which a tray usually feels so. */
        public double share() {
            return share;
        }

        /** How far hands are off, of what a tray holds. */
        public double deviation() {
            return deviation;
        }
    }

    /** Where the water came from. */
    enum How {
        /** Stood in water until it had drawn itself full. */
        BELOW,
        /** With a can or a hose, until it ran through. */
        ABOVE,
        /** A fine spray that wets the surface. */
        SPRAY
    }
}
