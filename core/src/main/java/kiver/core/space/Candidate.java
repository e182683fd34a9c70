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
}
