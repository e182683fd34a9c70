package kiver.server.place;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * Something that sends readings.
 *
 * @param name that people gave it
 * @param placeId where it hangs
 * @param withdrawnOn day from which its token is not taken any more; null while it is
 * @param simulated whether the demonstration makes up what it reads
 * @param lastHeard the latest moment of which it sent anything, the nursery's own time; null before
 */
public record Device(
        long id,
        String name,
        long placeId,
        LocalDate addedOn,
        @Nullable LocalDate withdrawnOn,
        boolean simulated,
        @Nullable LocalDateTime lastHeard) {}
