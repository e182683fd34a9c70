package kiver.core.order;

/**
 * The stage at which plants are wanted, in true leaves.
 *
 * @param from fewest true leaves, at least 1
 * @param to most true leaves, not below {@code from}
 */
public record LeafStage(int from, int to) {

    public LeafStage {
        if (from < 1 || from > 20) {
            throw new IllegalArgumentException("The fewest true leaves must be from 1 to 20, not " + from + ".");
        }
        if (to < from) {
            throw new IllegalArgumentException(
                    "The most true leaves, " + to + ", are fewer than the fewest, " + from + ".");
        }
    }
}
