package kiver.core.today;

/** How pressing a piece of work is. */
public enum Urgency {
    /** Should have been done. */
    LATE,
    /** Something is likely to go wrong. */
    AT_RISK,
    /** For today. */
    TODAY
}
