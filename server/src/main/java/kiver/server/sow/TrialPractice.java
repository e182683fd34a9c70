package kiver.server.sow;

/** What a trial compares, and whether whole trays are needed for it: what is done to a tray cannot be done to a row. */
public enum TrialPractice {
    MIX(false),
    DEPTH(false),
    SEEDS_PER_CELL(false),
    SOAKED(false),
    PLACE(true),
    SOWN_LATER(true),
    PINCHED(false),
    HARDENED(true),
    IN_PLACE(true),
    WATER(true),
    OTHER(false);

    private final boolean wholeTrays;

    TrialPractice(boolean wholeTrays) {
        this.wholeTrays = wholeTrays;
    }

    /** Whether each way gets whole trays, and not rows. */
    public boolean wholeTrays() {
        return wholeTrays;
    }
}
