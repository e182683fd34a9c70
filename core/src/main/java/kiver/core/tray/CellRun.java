package kiver.core.tray;

import java.util.Collection;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

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

    /** What is left of it without some runs, which may lie in other trays and over one another. */
    public List<CellRun> without(Collection<CellRun> taken) {
        List<CellRun> left = List.of(this);
        for (CellRun each : taken) {
            if (overlaps(each)) {
                left = left.stream().flatMap(part -> part.without(each)).toList();
            }
        }
        return left;
    }

    private Stream<CellRun> without(CellRun taken) {
        if (!overlaps(taken)) {
            return Stream.of(this);
        }
        Stream<CellRun> before =
                first < taken.first ? Stream.of(new CellRun(tray, first, taken.first - 1)) : Stream.empty();
        Stream<CellRun> after = taken.last < last ? Stream.of(new CellRun(tray, taken.last + 1, last)) : Stream.empty();
        return Stream.concat(before, after);
    }
}
