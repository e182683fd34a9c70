package kiver.core.emerge;

/** What to make of the counts of a batch. */
public enum EmergenceVerdict {
    /** Nothing was to be seen yet, and nothing was counted. */
    TOO_SOON_TO_TELL,
    /** More is up than in nine batches of ten. */
    EARLY,
    /** Within what four batches of five show. */
    ON_COURSE,
    /** Less is up than in nine batches of ten, but the number may still be reached. */
    LATE,
    /** More likely than not it will stay short of the number needed. */
    FAILING
}
