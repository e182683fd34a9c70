package kiver.core.batch;

/** How plants are parted by size while they are potted; what is no good is thrown out and counted as lost. */
public enum Grade {
    /** As they are wanted. */
    STANDARD,
    /** Behind the others; they go last. */
    SMALL,
    /** Good, and kept for replacements: they go once the others have gone. */
    SPARE
}
