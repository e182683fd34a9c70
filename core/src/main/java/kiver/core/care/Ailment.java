package kiver.core.care;

/** What is looked for on the round. */
public enum Ailment {
    DAMPING_OFF,
    SLUGS,
    MICE,
    FUNGUS_GNATS,
    APHIDS,
    FLEA_BEETLE,
    BIRDS
}
