package kiver.core.crop;

import java.util.Objects;
import kiver.core.place.PlaceId;

/**
 * What the last count of a batch's leaves tells of how fast its crop makes them at a place.
 *
 * @param batch number
 * @param crop it is of
 * @param place where it made most of them
 * @param log logarithm of the leaves that were to be expected by those that were seen; positive is slower
 * @param deviation of that, standard, above 0
 */
public record LeafTelling(int batch, CropCode crop, PlaceId place, double log, double deviation) {

    public LeafTelling {
        Objects.requireNonNull(crop);
        Objects.requireNonNull(place);
        if (!Double.isFinite(log) || !(deviation > 0)) {
            throw new IllegalArgumentException("A count tells a pace with some deviation above 0.");
        }
    }
}
