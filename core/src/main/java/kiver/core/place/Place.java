package kiver.core.place;

import java.time.LocalDate;
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
 * @param light what makes its light
 * @param keepsMiceOut whether no mouse comes in
 * @param suits the stages of the work that are done here; not empty
 * @param exists from when until when it is there
 */
public record Place(
        PlaceId id,
        String name,
        int walkingOrder,
        int slots,
        PlaceClimate climate,
        PlaceLight light,
        boolean keepsMiceOut,
        Set<PlaceUse> suits,
        PlaceSpan exists) {

    public Place {
        Objects.requireNonNull(exists);
        Objects.requireNonNull(id);
        Objects.requireNonNull(climate);
        Objects.requireNonNull(light);
        suits = Set.copyOf(suits);
        if (slots < 1) {
            throw new IllegalArgumentException(name + " must hold at least one tray, not " + slots + ".");
        }
        if (suits.isEmpty()) {
            throw new IllegalArgumentException(name + " must suit at least one stage of the work.");
        }
    }

    /** A place that is there and stays. */
    public Place(
            PlaceId id,
            String name,
            int walkingOrder,
            int slots,
            PlaceClimate climate,
            PlaceLight light,
            boolean keepsMiceOut,
            Set<PlaceUse> suits) {
        this(id, name, walkingOrder, slots, climate, light, keepsMiceOut, suits, PlaceSpan.ALWAYS);
    }

    /** A place that mice come into, lit from above and by lamps for the usual hours: so many mol m⁻² d⁻¹. */
    public Place(
            PlaceId id,
            String name,
            int walkingOrder,
            int slots,
            PlaceClimate climate,
            double daylightShare,
            double lampLight,
            Set<PlaceUse> suits) {
        this(
                id,
                name,
                walkingOrder,
                slots,
                climate,
                new PlaceLight(daylightShare, Lamps.giving(lampLight)),
                false,
                suits);
    }

    /** How many trays it holds on a day: none while it is not there. */
    public int slotsOn(LocalDate day) {
        return exists.holds(day) ? slots : 0;
    }

    /** Whether that stage of the work is done here. */
    public boolean suits(PlaceUse use) {
        return suits.contains(use);
    }
}
