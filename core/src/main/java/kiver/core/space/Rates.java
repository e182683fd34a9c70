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
 * @param seedWaste share of the seeds sown that is spilled or dropped twice besides
 * @param mixLoss share of the filled volume that is lost besides: mix shrinks when blended and wetted, and is spilled
 * @param labelWaste share of the labels used that is spoiled besides
 */
public record Rates(
        double mixPerLitre,
        double seedPerThousand,
        double label,
        double slotWeek,
        double hour,
        double secondsToSow,
        double secondsToPot,
        double seedWaste,
        double mixLoss,
        double labelWaste) {
    public Rates {
        if (mixPerLitre < 0
                || seedPerThousand < 0
                || label < 0
                || slotWeek < 0
                || hour < 0
                || secondsToSow < 0
                || secondsToPot < 0
                || seedWaste < 0
                || mixLoss < 0
                || labelWaste < 0) {
            throw new IllegalArgumentException("Rates cannot be negative.");
        }
    }
}
