package kiver.core.growth;

import java.util.Objects;

/**
 * How a crop gets from seed to the field.
 *
 * @param emergence how it comes up
 * @param leaves how its leaves unfold
 * @param daysOut days on which it may go out while it hardens
 */
public record Development(Emergence emergence, LeafGrowth leaves, DaysOut daysOut) {

    public Development {
        Objects.requireNonNull(emergence);
        Objects.requireNonNull(leaves);
        Objects.requireNonNull(daysOut);
    }

    /** One that goes out on any day. */
    public Development(Emergence emergence, LeafGrowth leaves) {
        this(emergence, leaves, DaysOut.ANY);
    }
}
