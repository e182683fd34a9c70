package kiver.core.tray;

import java.util.Comparator;

/**
 * One cell of one tray.
 *
 * @param tray the tray it is in
 * @param number counted from 1 at the back left, along the rows as a page is read
 */
public record Cell(TrayId tray, int number) implements Comparable<Cell> {

    private static final Comparator<Cell> ORDER =
            Comparator.comparingLong((Cell cell) -> cell.tray().number()).thenComparingInt(Cell::number);

    public Cell {
        if (number < 1) {
            throw new IllegalArgumentException("Cells are counted from 1, not " + number + ".");
        }
    }

    @Override
    public int compareTo(Cell other) {
        return ORDER.compare(this, other);
    }
}
