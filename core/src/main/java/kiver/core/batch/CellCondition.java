package kiver.core.batch;

/** What is true of a sown cell. */
public enum CellCondition {
    /** Sown, nothing up, and not yet given up. */
    WAITING,
    /** Given up: nothing came. */
    EMPTY,
    /** Holds a living plant. */
    ALIVE,
    /** Held a plant that died or was thrown out. */
    LOST,
    /** Its plant has gone to a grower. */
    RELEASED
}
