package kiver.core.emerge;

/** A photograph as its colours, whoever decoded it. */
public interface Pixels {

    /** Columns, 1 or more. */
    int width();

    /** Rows, 1 or more. */
    int height();

    /**
     * A colour, red in bits 16 to 23, green in 8 to 15, blue in 0 to 7.
     *
     * @param x column from the left, 0 to {@code width() - 1}
     * @param y row from above, 0 to {@code height() - 1}
     */
    int rgb(int x, int y);
}
