package kiver.core.place;

import java.util.Objects;
import java.util.Set;

/**
 * A stop on the round: one mat, bench, house or frame with one climate.
 *
 * @param id the nursery's number for it
 * @param name what people call it, for example "Warm shelf"
 * @param walkingOrder the position on the daily round, 1 first
 * @param slots how many trays of 540 × 280 mm it holds, at least 1
 * @param climate what makes its temperature
 * @param daylightShare share of the light outdoors that reaches the plants, 0 to 1
 * @param lampLight light added by lamps, mol m⁻² d⁻¹, 0 or more
 * @param keepsMiceOut whether no mouse comes in
 * @param suits the stages of the work that are done here; not empty
 */
public record Place(
        PlaceId id,
        String name,
        int walkingOrder,
        int slots,
        PlaceClimate climate,
        double daylightShare,
        double lampLight,
        boolean keepsMiceOut,
        Set<PlaceUse> suits) {

    public Place {
        Objects.requireNonNull(id);
        Objects.requireNonNull(climate);
        suits = Set.copyOf(suits);
        if (slots < 1) {
            throw new IllegalArgumentException(name + " must hold at least one tray, not " + slots + ".");
        }
        if (daylightShare < 0 || daylightShare > 1) {
            throw new IllegalArgumentException(
                    "The daylight share of " + name + " must be from 0 to 1, not " + daylightShare + ".");
        }
        if (lampLight < 0) {
            throw new IllegalArgumentException("The lamp light of " + name + " cannot be negative.");
        }
        if (suits.isEmpty()) {
            throw new IllegalArgumentException(name + " must suit at least one stage of the work.");
        }
    }

    /** A place that mice come into. */
    public Place(
            PlaceId id,
            String name,
            int walkingOrder,
            int slots,
            PlaceClimate climate,
            double daylightShare,
            double lampLight,
            Set<PlaceUse> suits) {
        this(id, name, walkingOrder, slots, climate, daylightShare, lampLight, false, suits);
    }

    /** Whether that stage of the work is done here. */
    public boolean suits(PlaceUse use) {
        return suits.contains(use);
    }
}
