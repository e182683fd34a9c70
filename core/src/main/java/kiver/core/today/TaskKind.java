package kiver.core.today;

/** The kinds of work on the round, in the order in which they are done at a stop. */
public enum TaskKind {
    SOAK,
    SOW,
    TAKE_IN,
    LOOK_FOR_FROST,
    COUNT,
    DECIDE_ON_FAILING,
    UNCOVER,
    MOVE_TO_GROW_ON,
    POT_ON,
    START_HARDENING,
    HARDEN,
    END_HARDENING,
    RELEASE,
    CLEAR_SPARES,
    WATCH_DATE,
    FEED,
    BRUSH,
    PINCH,
    TAKE_FLOWERS
}
