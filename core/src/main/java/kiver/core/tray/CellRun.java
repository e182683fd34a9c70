package kiver.core.tray;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Cells that follow each other in one tray, as sown from one label to the next.
 *
 * @param tray the tray
 * @param first cell, counted from 1
 * @param last cell, inclusive, not before {@code first}
 */
public record CellRun(TrayId tray, int first, int last) {

    public CellRun {
        if (first < 1) {
            throw new IllegalArgumentException("Cells are counted from 1; the run begins at " + first + ".");
        }
        if (last < first) {
            throw new IllegalArgumentException(
                    "The run of cells ends at " + last + ", before it begins at " + first + ".");
        }
    }

    /** The number of cells, 1 or more. */
    public int length() {
        return last - first + 1;
    }

    /** Whether both runs hold one cell or more in common. */
    public boolean overlaps(CellRun other) {
        return tray.equals(other.tray) && first <= other.last && other.first <= last;
    }

    /** The cells in order. */
    public List<Cell> cells() {
        return IntStream.rangeClosed(first, last)
                .mapToObj(number -> new Cell(tray, number))
                .toList();
    }

    /** What is left of it without some cells, run by run. */
    public List<CellRun> without(Set<Cell> taken) {
        List<CellRun> left = new ArrayList<>();
        int begins = first;
        for (int number = first; number <= last; number++) {
            if (taken.contains(new Cell(tray, number))) {
                if (begins < number) {
                    left.add(new CellRun(tray, begins, number - 1));
                }
                begins = number + 1;
            }
        }
        if (begins <= last) {
            left.add(new CellRun(tray, begins, last));
        }
        return List.copyOf(left);
    }
}
