package kiver.core.harden;

import kiver.core.crop.Hardiness;

/**
 * A night that plants stand through.
 *
 * @param hardiness of the crop
 * @param soft whether they are not hardened yet
 * @param minimum °C where they stand
 */
public record NightOut(Hardiness hardiness, boolean soft, double minimum) {

    /** Over so many K below the floor the share that is lost goes from few to nearly all. */
    private static final double STEEPNESS = 1.0;

    /** The lowest night that such plants stand, °C. */
    public double floor() {
        return hardiness.floor() + (soft ? Hardiness.STILL_SOFT : 0);
    }

    /** Whether they must come in or be covered. */
    public boolean isTooCold() {
        return minimum < floor();
    }

    /**
     * The share of plants that is likely lost, 0 to 1: none above the floor, half of them one K below it, nearly all
     * four K below it. An estimate: what is published for field crops ranges widely with the length of the night.
     */
    public double likelyLoss() {
        return isTooCold() ? 1 / (1 + Math.exp(-(floor() - 1 - minimum) / STEEPNESS)) : 0;
    }
}
