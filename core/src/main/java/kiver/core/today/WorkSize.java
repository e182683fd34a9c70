package kiver.core.today;

/**
 * How much there is to be done.
 *
 * @param cells to be sown or counted, 0 or more
 * @param plants to be potted, 0 or more
 * @param trays to be carried, 0 or more
 */
public record WorkSize(int cells, int plants, int trays) {

    public WorkSize {
        if (cells < 0 || plants < 0 || trays < 0) {
            throw new IllegalArgumentException("There is no less work than none.");
        }
    }
}
