package kiver.core.today;

/**
 * How fast one pair of hands works. An estimate of this nursery's own, to be set right by its watch.
 *
 * @param sowing seconds to sow a cell, 0 or more
 * @param potting seconds to pot a plant, 0 or more
 * @param counting seconds to look at a cell, 0 or more
 * @param carrying seconds to carry a tray from one place to another, 0 or more
 * @param looking seconds to look at a batch and decide, 0 or more
 */
public record WorkPace(double sowing, double potting, double counting, double carrying, double looking) {

    private static final double SECONDS_IN_MINUTE = 60;

    public WorkPace {
        if (!(sowing >= 0 && potting >= 0 && counting >= 0 && carrying >= 0 && looking >= 0)) {
            throw new IllegalArgumentException("No work takes less than no time.");
        }
    }

    /** Minutes of one pair of hands for a piece of work; what is taken out for the day is carried twice. */
    public double minutes(TaskKind kind, WorkSize size) {
        double seconds = switch (kind) {
            case SOW -> size.cells() * sowing + size.trays() * carrying;
            case TAKE_IN, CLEAR_SPARES, RELEASE -> looking + size.trays() * carrying;
            case COUNT -> size.cells() * counting;
            case MOVE_TO_GROW_ON -> size.trays() * carrying;
            case POT_ON -> size.plants() * potting + size.trays() * carrying;
            case START_HARDENING, HARDEN -> 2 * size.trays() * carrying;
            case PINCH, TAKE_FLOWERS -> looking + size.plants() * counting;
            case BRUSH -> size.trays() * counting;
            case FEED, SOAK, UNCOVER, END_HARDENING, DECIDE_ON_FAILING, WATCH_DATE, LOOK_FOR_FROST -> looking;
        };
        return seconds / SECONDS_IN_MINUTE;
    }
}
