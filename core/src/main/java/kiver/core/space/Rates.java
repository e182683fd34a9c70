package kiver.core.space;

/**
 * What things cost, in the nursery's own money; 0 for what is not counted.
 *
 * @param mixPerLitre of mix
 * @param seedPerThousand of seeds
 * @param label each
 * @param slotWeek one tray's bench room, lit or heated as it may be, for a week
 * @param hour of work
 * @param secondsToSow a cell, filling and labelling included
 * @param secondsToPot a plant
 */
public record Rates(
        double mixPerLitre, double seedPerThousand, double label, double slotWeek, double hour, double secondsToSow,
        double secondsToPot) {
    public Rates {
        if (mixPerLitre < 0 || seedPerThousand < 0 || label < 0 || slotWeek < 0 || hour < 0 || secondsToSow < 0
                || secondsToPot < 0) {
            throw new IllegalArgumentException("Rates cannot be negative.");
        }
    }
}
