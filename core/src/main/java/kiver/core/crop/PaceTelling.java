package kiver.core.crop;

import java.util.Objects;
import kiver.core.place.PlaceId;

/**
 * What counts of a batch tell of how fast its crop goes through a stage at a place.
 *
 * @param batch number
 * @param descent what it is of
 * @param place where it went through most of the stage
 * @param log logarithm of the time it took by the time that was to be expected; positive is slower
 * @param deviation of that, standard, above 0
 */
public record PaceTelling(int batch, Descent descent, PlaceId place, double log, double deviation) {

    public PaceTelling {
        Objects.requireNonNull(descent);
        Objects.requireNonNull(place);
        if (!Double.isFinite(log) || !(deviation > 0)) {
            throw new IllegalArgumentException("A count tells a pace with some deviation above 0.");
        }
    }
}
