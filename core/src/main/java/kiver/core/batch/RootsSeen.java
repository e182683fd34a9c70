package kiver.core.batch;

/** What the hand saw of the roots of a plug or pot that was taken out. */
public enum RootsSeen {
    /** None at the side of the plug. */
    NONE,
    /** They just reach its edge: the moment for a larger pot. */
    AT_EDGE,
    /** They come out below. */
    OUT,
    /** They run round and round. */
    CIRCLING;

    /** Whether the plants have outgrown what they stand in. */
    public boolean isOutgrown() {
        return this == OUT || this == CIRCLING;
    }
}
