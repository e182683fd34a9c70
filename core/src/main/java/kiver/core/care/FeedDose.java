package kiver.core.care;

/**
 * How much of a feed goes into the water.
 *
 * <p>Reference: conservation of mass. A litre with c mg of nitrogen takes c / (10 · N %) grams of the feed, and of a liquid that
 * many grams by its density in mL. Example: 100 mg/L of a liquid with 5 % N and 1.1 kg/L takes 1.82 mL/L, 150 mg/L of a powder
 * with 20 % N 0.75 g/L.
 *
 * @param form of the feed
 * @param perLitre mL or g for a litre of water
 * @param forCan mL or g for the can
 * @param isStrong whether seedlings are burnt by it
 */
public record FeedDose(FeedProduct.Form form, double perLitre, double forCan, boolean isStrong) {

    /** mg of nitrogen in a litre from which on young roots suffer. */
    public static final double STRONG_FROM = 200;

    private static final double MILLIGRAMS_PER_GRAM_AND_PERCENT = 10;

    /**
     * The dose for a wanted strength.
     *
     * @param feed with some nitrogen in it
     * @param strength mg of nitrogen in a litre, above 0
     * @param can litres of water, above 0
     * @throws IllegalArgumentException for a feed without nitrogen, no strength or no water
     */
    public static FeedDose of(FeedProduct feed, double strength, double can) {
        if (!(feed.nitrogen() > 0) || !(strength > 0) || !(can > 0)) {
            throw new IllegalArgumentException("A dose needs nitrogen in the feed, a strength and water.");
        }
        double grams = strength / (MILLIGRAMS_PER_GRAM_AND_PERCENT * feed.nitrogen());
        double perLitre = feed.form() == FeedProduct.Form.LIQUID ? grams / feed.density() : grams;
        return new FeedDose(feed.form(), perLitre, perLitre * can, strength >= STRONG_FROM);
    }
}
