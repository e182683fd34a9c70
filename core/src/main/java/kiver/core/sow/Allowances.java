package kiver.core.sow;

import kiver.core.seed.Survival;

/**
 * How much to grow beyond the wish.
 *
 * @param confidence of enough plants, above 0 and below 1; 0.95 is "19 times in 20"
 * @param survival share of emerged cells that live to release, above 0 to 1; 0.95 loses one in twenty
 * @param spareShare plants kept back for replacements, as a share of the wish, 0 or more
 */
public record Allowances(double confidence, double survival, double spareShare) {

    /** Kept unless the nursery sets others: 19 times in 20, one in twenty lost, 3 % spare. */
    public static final Allowances USUAL = new Allowances(0.95, 0.95, 0.03);

    public Allowances {
        if (!(confidence > 0 && confidence < 1) || !(survival > 0 && survival <= 1) || spareShare < 0) {
            throw new IllegalArgumentException("Confidence, survival and spare share are out of range.");
        }
    }

    /** Plants that what is known of survival is worth: about three batches counted to the end. */
    private static final double WEIGHT_OF_SURVIVAL = 60;

    /** What is known of survival. */
    public Survival living() {
        return new Survival(survival, WEIGHT_OF_SURVIVAL);
    }

    /** Plants to aim for when so many are wanted. */
    public int plantsToAimFor(int plants) {
        return plants + (int) Math.ceil(plants * spareShare);
    }
}
