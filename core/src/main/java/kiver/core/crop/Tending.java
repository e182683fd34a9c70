package kiver.core.crop;

/**
 * Steps of raising that some take and others do not; all are left out unless the nursery asks for them.
 *
 * @param brushed whether somebody brushes the tops with a hand each day, so that stems stay short
 * @param pinchedFrom true leaves at which the tip is taken out, once, for side shoots; 0 where it is left
 * @param flowersOffFrom true leaves from which early flowers are taken off; 0 where they are left
 */
public record Tending(boolean brushed, double pinchedFrom, double flowersOffFrom) {

    /** None of them. */
    public static final Tending NONE = new Tending(false, 0, 0);

    /** No seedling is kept until it has more. */
    public static final double MOST_LEAVES = 20;

    public Tending {
        if (!(pinchedFrom >= 0 && pinchedFrom <= MOST_LEAVES)
                || !(flowersOffFrom >= 0 && flowersOffFrom <= MOST_LEAVES)) {
            throw new IllegalArgumentException("Plants are pinched and their flowers taken off at 0 to 20 leaves.");
        }
    }
}
