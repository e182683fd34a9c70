package kiver.core.today;

import java.time.LocalDate;
import java.util.Optional;

/** How long work may wait. */
public final class Patience {

    /** Seedlings found two days later are found; later than that a failing tray is told too late. */
    private static final int DAYS_A_COUNT_WAITS = 2;

    /** Seedlings that are up draw thin where it is warm and dark. */
    private static final int DAYS_SEEDLINGS_WAIT = 1;

    /** Roots at the edge of a cell begin to circle within days. */
    private static final int DAYS_ROOTS_WAIT = 3;

    /** Hardening that begins later ends later. */
    private static final int DAYS_HARDENING_WAITS = 2;

    /** What is only looked at, or in the way. */
    private static final int DAYS_A_LOOK_WAITS = 7;

    /** Hunger is slow. */
    private static final int DAYS_FEED_WAITS = 3;

    /** Side shoots and flowers come a little later then. */
    private static final int DAYS_TENDING_WAITS = 4;

    private Patience() {}

    /**
     * The last day on which a piece of work still serves; empty for what cannot wait.
     *
     * @param kind of work
     * @param day on which it is called for
     * @param lastUsefulSowDay of a sowing, where there is one
     */
    public static Optional<LocalDate> lastDay(TaskKind kind, LocalDate day, Optional<LocalDate> lastUsefulSowDay) {
        return switch (kind) {
            case SOW -> lastUsefulSowDay.filter(last -> last.isAfter(day));
            case COUNT -> Optional.of(day.plusDays(DAYS_A_COUNT_WAITS));
            case UNCOVER, MOVE_TO_GROW_ON -> Optional.of(day.plusDays(DAYS_SEEDLINGS_WAIT));
            case POT_ON -> Optional.of(day.plusDays(DAYS_ROOTS_WAIT));
            case START_HARDENING -> Optional.of(day.plusDays(DAYS_HARDENING_WAITS));
            case CLEAR_SPARES, WATCH_DATE -> Optional.of(day.plusDays(DAYS_A_LOOK_WAITS));
            case PINCH, TAKE_FLOWERS -> Optional.of(day.plusDays(DAYS_TENDING_WAITS));
            case FEED -> Optional.of(day.plusDays(DAYS_FEED_WAITS));
            case SOAK, TAKE_IN, HARDEN, END_HARDENING, RELEASE, DECIDE_ON_FAILING, LOOK_FOR_FROST, BRUSH ->
                Optional.empty();
        };
    }
}
