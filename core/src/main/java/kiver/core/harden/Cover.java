package kiver.core.harden;

/** What is laid over plants for a night. Estimates: what a cover is worth ranges with wind and with what the day stored. */
public enum Cover {
    /** Nothing. */
    NONE(0),
    /** One layer of fleece. */
    FLEECE(2),
    /** A frost blanket, or fleece doubled over hoops. */
    FROST_BLANKET(4);

    private final double worth;

    Cover(double worth) {
        this.worth = worth;
    }

    /** K by which it is warmer beneath. */
    public double worth() {
        return worth;
    }
}
