package kiver.core.order;

import java.util.Objects;

/**
 * A bed, and how many plants stand in it: growers think in beds and ask how many plants that is.
 *
 * @param length m, positive
 * @param breadth m, positive
 * @param spacing cm between plants, in the row and between rows, positive
 * @param rows how the plants of one row stand to those of the next
 * @param edge cm kept free all round, 0 or more
 */
public record Bed(double length, double breadth, double spacing, Rows rows, double edge) {

    private static final double CENTIMETRES_IN_METRE = 100;

    /** Rows of plants that stand in the gaps of the next lie closer by the height of an equilateral triangle. */
    private static final double OFFSET_ROWS = Math.sqrt(3) / 2;

    /** Rounding of what was measured with a tape, cm. */
    private static final double TAPE = 1e-6;

    /** How rows stand to one another. */
    public enum Rows {
        /** Plant beside plant. */
        SQUARE,
        /** Each plant before the gap of the next row; up to 15 % more fit. */
        OFFSET
    }

    public Bed {
        Objects.requireNonNull(rows);
        if (!(length > 0 && breadth > 0 && spacing > 0 && edge >= 0)) {
            throw new IllegalArgumentException(length + " × " + breadth + ", " + spacing + ", " + edge);
        }
    }

    /** How many plants stand in it; 0 where it is all edge. */
    public int plants() {
        double along = length * CENTIMETRES_IN_METRE - 2 * edge;
        double across = breadth * CENTIMETRES_IN_METRE - 2 * edge;
        if (along < 0 || across < 0) {
            return 0;
        }
        double apart = rows == Rows.SQUARE ? spacing : spacing * OFFSET_ROWS;
        int count = fitting(across, apart);
        int full = fitting(along, spacing);
        int between = rows == Rows.SQUARE ? full : fitting(along - spacing / 2, spacing);
        return (count + 1) / 2 * full + count / 2 * between;
    }

    /** How many fit on a line, the first on its beginning. */
    private static int fitting(double line, double apart) {
        return line < 0 ? 0 : (int) Math.floor(line / apart + TAPE) + 1;
    }

    /** Whether anything can stand in it, however long it is. */
    public boolean holdsAny() {
        return breadth * CENTIMETRES_IN_METRE >= 2 * edge;
    }

    /**
     * How long a bed of this breadth must be for so many plants.
     *
     * @param plants 1 or more
     * @return m
     * @throws IllegalStateException when it is so narrow that it is all edge
     */
    public double lengthFor(int plants) {
        if (!holdsAny()) {
            throw new IllegalStateException(breadth + " m");
        }
        double step = spacing / 2 / CENTIMETRES_IN_METRE;
        double metres = 2 * edge / CENTIMETRES_IN_METRE;
        while (new Bed(Math.max(metres, step), breadth, spacing, rows, edge).plants() < plants) {
            metres += step;
        }
        return metres;
    }
}
