package kiver.core.batch;

/** Why plants were lost. */
public enum LossReason {
    DAMPING_OFF,
    DRIED_OUT,
    SLUGS,
    MICE,
    OTHER_PESTS,
    FROST,
    TOO_WEAK,
    ACCIDENT,
    /** Spares that nobody came for. */
    NOT_NEEDED
}
