package kiver.core.place;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * When a place exists: a hotbed is made in February, a greenhouse is not glazed yet, a tunnel is taken down in autumn.
 *
 * @param firstDay on which something can stand there; empty where it has always been there
 * @param lastDay on which something can stand there; empty where it stays
 */
public record PlaceSpan(Optional<LocalDate> firstDay, Optional<LocalDate> lastDay) {

    /** Of a place that is there and stays. */
    public static final PlaceSpan ALWAYS = new PlaceSpan(Optional.empty(), Optional.empty());

    public PlaceSpan {
        Objects.requireNonNull(firstDay);
        Objects.requireNonNull(lastDay);
        if (firstDay.isPresent() && lastDay.isPresent() && lastDay.get().isBefore(firstDay.get())) {
            throw new IllegalArgumentException("A place must not end before it begins.");
        }
    }

    /** Whether the place is there on a day. */
    public boolean holds(LocalDate day) {
        return firstDay.map(first -> !day.isBefore(first)).orElse(true) && !isOverOn(day);
    }

    /** Whether the place is gone on a day, for good. */
    public boolean isOverOn(LocalDate day) {
        return lastDay.map(day::isAfter).orElse(false);
    }
}
