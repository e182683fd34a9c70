package kiver.core.sow;

/**
 * How much to grow beyond the wish.
 *
 * @param confidence of enough plants, above 0 and below 1; 0.95 is "19 times in 20"
 * @param spareShare plants kept back for replacements, as a share of the wish, 0 or more
 */
public record Allowances(double confidence, double spareShare) {

    /** Kept unless the nursery sets others: 19 times in 20, 3 % spare. */
    public static final Allowances USUAL = new Allowances(0.95, 0.03);

    public Allowances {
        if (!(confidence > 0 && confidence < 1) || spareShare < 0) {
            throw new IllegalArgumentException("Confidence and spare share are out of range.");
        }
    }

    /** Plants to aim for when so many are wanted. */
    public int plantsToAimFor(int plants) {
        return plants + (int) Math.ceil(plants * spareShare);
    }
}
