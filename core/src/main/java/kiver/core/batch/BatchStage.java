package kiver.core.batch;

/** Where a batch is on its path. */
public enum BatchStage {
    PLANNED,
    SOWN,
    EMERGING,
    GROWING_ON,
    HARDENING_OFF,
    READY,
    RELEASED,
    FAILED
}
