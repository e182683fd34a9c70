package kiver.core.batch;

/** Why nobody is sure any more what some plants are. */
public enum NameDoubt {
    /** Their label is gone, or one stood for several rows. */
    LABEL_LOST,
    /** Seed of a neighbour fell among theirs. */
    SEED_SPILLED,
    /** They were potted or carried together with others. */
    MIXED_UP
}
