package kiver.core.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.tray.Cell;

/**
 * Follows what is known of each sown cell to where it stands now: plants go on into pots or over into other cells, and a gap
 * that is filled goes where the plant came from.
 */
public final class CellsFollowed {

    private CellsFollowed() {}

    /** From each cell that was sown, or in which a plant arrived, to the one where its account stands now. */
    public static Map<Cell, Cell> of(BatchState state) {
        Map<Cell, Cell> firstBy = new HashMap<>();
        RecordedChange.asTheyHappened(state.changes()).stream()
                .filter(recorded -> !state.isCorrected(recorded.sequence()))
                .map(RecordedChange::change)
                .forEach(change -> follow(change, firstBy));
        Map<Cell, Cell> now = new HashMap<>();
        firstBy.forEach((present, first) -> now.put(first, present));
        return now;
    }

    private static void follow(BatchChange change, Map<Cell, Cell> firstBy) {
        if (change instanceof BatchChange.Sown sown) {
            sown.run().cells().forEach(cell -> firstBy.put(cell, cell));
        } else if (change instanceof BatchChange.BroughtIn arrived) {
            arrived.run().cells().forEach(cell -> firstBy.put(cell, cell));
        } else if (change instanceof BatchChange.PottedOn potted) {
            List<Cell> from = potted.cells().stream()
                    .map(number -> new Cell(potted.from(), number))
                    .toList();
            move(from, potted.into().cells(), firstBy);
        } else if (change instanceof BatchChange.CellsMoved moved) {
            move(
                    moved.cells().stream()
                            .map(number -> new Cell(moved.from(), number))
                            .toList(),
                    moved.goals().stream()
                            .map(number -> new Cell(moved.into(), number))
                            .toList(),
                    firstBy);
        }
    }

    private static void move(List<Cell> from, List<Cell> into, Map<Cell, Cell> firstBy) {
        List<Cell> going = from.stream().map(firstBy::remove).toList();
        List<Cell> gaps = new ArrayList<>();
        for (int index = 0; index < into.size(); index++) {
            Cell filled = firstBy.put(into.get(index), going.get(index));
            if (filled != null) {
                gaps.add(filled);
            }
        }
        from.stream()
                .filter(cell -> !firstBy.containsKey(cell))
                .limit(gaps.size())
                .toList()
                .forEach(left -> firstBy.put(left, gaps.remove(0)));
    }
}
