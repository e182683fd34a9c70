package kiver.core.growth;

/**
 * How plants of a late-summer sowing stand over winter.
 *
 * @param mostLeaves true leaves with which they may go into it: larger ones would take notice of the cold and run to seed in
 *     spring; infinite for crops that do not
 */
public record OverWinter(double mostLeaves) {

    public OverWinter {
        if (!(mostLeaves > 0)) {
            throw new IllegalArgumentException("Plants go into winter with leaves.");
        }
    }
}
