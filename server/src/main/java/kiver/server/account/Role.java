package kiver.server.account;

/** What a person does at the nursery. */
public enum Role {
    /** Takes orders, plans, decides and releases. */
    PROPAGATOR,
    /** Sows, counts, moves and hardens. */
    BENCH_HAND,
    /** Orders plants and sees only their own. */
    GROWER
}
