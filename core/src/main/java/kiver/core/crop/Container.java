package kiver.core.crop;

import java.util.Locale;
import java.util.Objects;

/**
 * A tray as it lies on the bench, with its cells in rows and columns.
 *
 * @param code what it is known by
 * @param name as people say it, for example "Module tray of 60"
 * @param kind cells, pressed blocks, pots, or an open tray whose seedlings are pricked out
 * @param rows cells from front to back, at least 1
 * @param columns cells from left to right, at least 1
 * @param cellVolume mL in one cell, positive
 * @param cellDepth mm, positive
 * @param slots bench room in trays of 540 × 280 mm, positive, for example 1 or 0.5
 * @param cellWidth mm across one cell at its rim, positive; of pots, which taper, more than their volume tells
 */
public record Container(
        ContainerCode code,
        String name,
        Kind kind,
        int rows,
        int columns,
        double cellVolume,
        double cellDepth,
        double slots,
        double cellWidth) {

    private static final double CUBIC_MILLIMETRES = 1000;

    /** m² of a tray of 540 × 280 mm. */
    private static final double SLOT_AREA = 0.54 * 0.28;

    /** What a container is. */
    public enum Kind {
        CELLS,
        BLOCKS,
        POTS,
        OPEN;

        /** As a sheet says it. */
        public String words() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** One whose cells are square and as wide above as below. */
    public Container(
            ContainerCode code,
            String name,
            Kind kind,
            int rows,
            int columns,
            double cellVolume,
            double cellDepth,
            double slots) {
        this(
                code,
                name,
                kind,
                rows,
                columns,
                cellVolume,
                cellDepth,
                slots,
                Math.sqrt(cellVolume * CUBIC_MILLIMETRES / cellDepth));
    }

    /** A tray of such cells. */
    public Container(
            ContainerCode code, String name, int rows, int columns, double cellVolume, double cellDepth, double slots) {
        this(code, name, Kind.CELLS, rows, columns, cellVolume, cellDepth, slots);
    }

    public Container {
        Objects.requireNonNull(kind);
        if (rows < 1 || columns < 1) {
            throw new IllegalArgumentException(name + " must have at least one row and one column.");
        }
        if (!(cellVolume > 0) || !(cellDepth > 0) || !(slots > 0) || !(cellWidth > 0)) {
            throw new IllegalArgumentException(name + " must have a volume, a depth, a width and a footprint above 0.");
        }
    }

    /**
     * The same cut off behind a row.
     *
     * @param left rows that are left, 1 or more and not more than there are
     */
    public Container cutTo(int left) {
        if (left < 1 || left > rows) {
            throw new IllegalArgumentException(name + " has " + rows + " rows, so " + left + " cannot be left.");
        }
        return new Container(code, name, kind, left, columns, cellVolume, cellDepth, slots * left / rows, cellWidth);
    }

    /** The same with cells of another width at their rim, mm. */
    public Container wide(double width) {
        return new Container(code, name, kind, rows, columns, cellVolume, cellDepth, slots, width);
    }

    /** Cells in one tray. */
    public int cells() {
        return rows * columns;
    }

    /** How many pieces of it so many plants take: single pots, or whole trays of cells. */
    public int pieces(int plants) {
        return kind == Kind.POTS ? plants : (int) Math.ceil(plants / (double) cells());
    }

    /** mL of mix in one full tray. */
    public double mixVolume() {
        return cells() * cellVolume;
    }

    /** m² that it takes on the bench and is open above. */
    public double area() {
        return slots * SLOT_AREA;
    }
}
