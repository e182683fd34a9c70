package kiver.core.space;

import java.util.List;
import kiver.core.growth.Way;

/**
 * One way in which a batch might stand through the season.
 *
 * @param way the places
 * @param cost how little it suits the batch, 0 or more; see {@link Suitability}
 * @param stays the room it takes
 */
public record Candidate(Way way, double cost, List<Stay> stays) {
    public Candidate {
        stays = List.copyOf(stays);
        if (!(cost >= 0)) {
            throw new IllegalArgumentException("A candidate's cost must be 0 or more, not " + cost + ".");
        }
    }

    /** Whether both grow on at the same place on the same day. */
    public boolean growsBeside(Candidate other) {
        return way.growingOn().equals(other.way.growingOn())
                && stays.stream()
                        .filter(stay -> stay.place().equals(way.growingOn()))
                        .anyMatch(stay -> other.stays.stream()
                                .anyMatch(against -> against.place().equals(stay.place())
                                        && against.from().isBefore(stay.until())
                                        && stay.from().isBefore(against.until())));
    }
}
