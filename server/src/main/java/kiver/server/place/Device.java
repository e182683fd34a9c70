package kiver.server.place;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * Something that sends readings.
 *
 * @param name that people gave it
 * @param feeds what its word is taken for
 * @param placeId where it hangs; null when it feeds no place
 * @param withdrawnOn day from which its token is not taken any more; null while it is
 * @param simulated whether the demonstration makes up what it reads
 * @param lastHeard the latest moment of which it sent anything, the nursery's own time; null before
 */
public record Device(
        long id,
        String name,
        Feeds feeds,
        @Nullable Long placeId,
        LocalDate addedOn,
        @Nullable LocalDate withdrawnOn,
        boolean simulated,
        @Nullable LocalDateTime lastHeard) {

    /** What a device's word is taken for. */
    public enum Feeds {
        /** The climate of the place where it hangs. */
        PLACE,
        /** The weather outdoors. */
        STATION,
        /** The weather to come. */
        FORECAST
    }

    /** Where it hangs; only for one that feeds a place. */
    long hangsAt() {
        if (placeId == null) {
            throw new IllegalStateException(name);
        }
        return placeId;
    }
}
