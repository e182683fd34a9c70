package kiver.core.space;

import java.time.LocalDate;
import java.util.Objects;
import kiver.core.place.PlaceId;

/**
 * Trays standing at a place for a while.
 *
 * @param place where
 * @param from first day
 * @param until day on which they are gone, exclusive; after {@code from}
 * @param slots bench room in trays of 540 × 280 mm, positive
 */
public record Stay(PlaceId place, LocalDate from, LocalDate until, double slots) {

    public Stay {
        Objects.requireNonNull(place);
        if (!from.isBefore(until) || !(slots > 0)) {
            throw new IllegalArgumentException("A stay needs a day and some room: " + from + " to " + until + ".");
        }
    }

    /** Whether it stands there on that day. */
    public boolean covers(LocalDate day) {
        return !day.isBefore(from) && day.isBefore(until);
    }

    /** Days of the stay, 1 or more. */
    public int days() {
        return (int) (until.toEpochDay() - from.toEpochDay());
    }
}
