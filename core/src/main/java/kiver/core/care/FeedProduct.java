package kiver.core.care;

/**
 * A feed as its label tells it.
 *
 * @param form liquid is measured in mL, powder in g
 * @param nitrogen % of its mass, 0 to 60; urea has 46
 * @param phosphorus % of its mass, as the label counts it
 * @param potassium % of its mass, as the label counts it
 * @param density kg/L of a liquid, 0.5 to 2; 1 for a powder
 */
public record FeedProduct(Form form, double nitrogen, double phosphorus, double potassium, double density) {

    /** No feed holds more of one thing. */
    public static final double MOST = 60;

    /** How it is measured. */
    public enum Form {
        LIQUID,
        POWDER
    }

    public FeedProduct {
        require(nitrogen);
        require(phosphorus);
        require(potassium);
        if (nitrogen + phosphorus + potassium > 100) {
            throw new IllegalArgumentException("A feed cannot hold more than 100 % of anything.");
        }
        if (!(density >= 0.5 && density <= 2)) {
            throw new IllegalArgumentException("A feed of " + density + " kg/L cannot be.");
        }
    }

    private static void require(double share) {
        if (!(share >= 0 && share <= MOST)) {
            throw new IllegalArgumentException("A feed cannot hold " + share + " % of one thing.");
        }
    }
}
