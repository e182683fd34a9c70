package kiver.core.release;

/** What is looked at on a sample before plants go: ready means all of it. */
public enum ReadyCheck {
    /** Enough true leaves, and not too many. */
    LEAVES,
    /** Roots white and not circling. */
    ROOTS,
    /** The plug holds together when it is drawn. */
    PLUG_HOLDS,
    /** Hardened. */
    HARDENED,
    /** Clean: no pest, no weed, no yellow leaf. */
    CLEAN,
    /** A label in each tray. */
    LABELLED,
    /** Stood in 2 to 3 cm of water for at least 20 minutes. */
    SOAKED
}
