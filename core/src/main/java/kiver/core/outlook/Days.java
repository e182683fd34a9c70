package kiver.core.outlook;

import java.time.LocalDate;

/** Which of two days. */
final class Days {

    private Days() {}

    static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    static LocalDate earlier(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? one : other;
    }
}
