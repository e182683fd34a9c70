package kiver.core.batch;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Checks on lists of cells that people picked. */
final class CellNumbers {

    private CellNumbers() {}

    /** The cells, where there is at least one and none is named twice. */
    static List<Integer> eachOnce(List<Integer> cells) {
        if (cells.isEmpty()) {
            throw new ChangeRefused("cells", new ChangeFault.NoCellPicked());
        }
        Set<Integer> seen = new HashSet<>();
        for (Integer cell : cells) {
            if (!seen.add(cell)) {
                throw new ChangeRefused("cells", new ChangeFault.CellNamedTwice(cell));
            }
        }
        return List.copyOf(cells);
    }

    /** The goals, where there is one for each cell. */
    static List<Integer> asMany(List<Integer> cells, List<Integer> goals) {
        if (cells.size() != goals.size()) {
            throw new ChangeRefused("goals", new ChangeFault.PlacesDoNotFit(cells.size(), goals.size()));
        }
        return goals;
    }
}
