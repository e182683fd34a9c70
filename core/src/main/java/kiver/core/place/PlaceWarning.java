package kiver.core.place;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * Something that the thermometers of a place show and somebody should see to.
 *
 * @param kind what it is
 * @param celsius °C that was read: the lowest, the highest, or the latest
 * @param limit °C that it should not have passed; the same as {@code celsius} where a probe is silent
 * @param since when it began, or for a silent probe when it was last heard of
 * @param until for cold, when it is expected to be as cold again: until then there is time to move or cover; for heat, when
 *     it is expected to be over today; empty where neither is expected, or it is the place itself
 * @param batches that it harms, by number, rising; empty where it is the place itself
 */
public record PlaceWarning(
        Kind kind,
        double celsius,
        double limit,
        LocalDateTime since,
        Optional<LocalDateTime> until,
        List<Integer> batches) {

    /** What it is. */
    public enum Kind {
        /** Nothing was heard of the probe for hours. */
        SILENT,
        /** The place is far colder than it is heated to. */
        HEAT_OFF,
        /** Colder than what stands there bears. */
        TOO_COLD,
        /** So hot that what stands there stops growing and scorches. */
        TOO_HOT
    }

    public PlaceWarning {
        batches = batches.stream().sorted().toList();
    }
}
