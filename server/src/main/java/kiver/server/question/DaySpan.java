package kiver.server.question;

import java.time.LocalDate;

/**
 * The day, or the days, for which something is asked.
 *
 * @param first day
 * @param last day, not before the first
 */
record DaySpan(LocalDate first, LocalDate last) {

    DaySpan {
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("A span ends on or after the day on which it begins.");
        }
    }

    static DaySpan of(LocalDate day) {
        return new DaySpan(day, day);
    }

    /** Seven days from one on. */
    static DaySpan week(LocalDate first) {
        return new DaySpan(first, first.plusDays(6));
    }

    /** The same days, so many later; earlier when negative. */
    DaySpan later(int days) {
        return new DaySpan(first.plusDays(days), last.plusDays(days));
    }
}
