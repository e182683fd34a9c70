package kiver.core.order;

/** What the number of an order counts. */
public enum CountedIn {
    /** Plants, each by itself. */
    PLANTS,
    /** Clumps that are never parted. */
    CLUMPS
}
