package kiver.server.crop;

import jakarta.annotation.Nullable;
import java.util.Optional;
import kiver.core.crop.CropCode;
import kiver.core.crop.Maturity;

/**
 * A variety that the nursery grows.
 *
 * @param id number
 * @param crop code of its crop
 * @param name unique
 * @param hybrid whether seed saved from it does not come true
 * @param maturityDays until it is ripe, as its packet says; null where the crop's own days count
 * @param maturityFrom the day from which they count; null where there are none
 */
public record Variety(
        long id,
        CropCode crop,
        String name,
        boolean hybrid,
        @Nullable Integer maturityDays,
        @Nullable Maturity.From maturityFrom) {

    /** When it is ripe, where that is known of the variety. */
    public Optional<Maturity> maturity() {
        return maturityDays == null || maturityFrom == null
                ? Optional.empty()
                : Optional.of(new Maturity(maturityDays, maturityFrom));
    }
}
