package kiver.core.sow;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.batch.CellsFollowed;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;

/**
 * What became of the cells that one way of a trial got, wherever their plants stand by now.
 *
 * @param cells sown so far, 0 or more
 * @param waiting of them in which something may yet come up
 * @param emerged of them in which something of their own seed came up
 * @param grown of them whose plant lives, or has gone to a grower
 */
public record TrialCount(int cells, int waiting, int emerged, int grown) {

    /** The cells of some runs of a batch, by where they were sown. */
    public static TrialCount of(BatchState state, Collection<CellRun> runs) {
        Map<Cell, Cell> followed = CellsFollowed.of(state);
        List<CellState> cells = runs.stream()
                .flatMap(run -> run.cells().stream())
                .map(followed::get)
                .filter(Objects::nonNull)
                .map(cell -> state.cells().get(cell))
                .filter(Objects::nonNull)
                .toList();
        return new TrialCount(
                cells.size(),
                (int) cells.stream()
                        .filter(cell -> cell.condition() == CellCondition.WAITING)
                        .count(),
                (int) cells.stream().filter(cell -> cell.cameUp() > 0).count(),
                (int) cells.stream()
                        .filter(cell -> cell.cameUp() > 0
                                && (cell.condition() == CellCondition.ALIVE
                                        || cell.condition() == CellCondition.RELEASED))
                        .count());
    }

    /** Both together. */
    public TrialCount plus(TrialCount other) {
        return new TrialCount(
                cells + other.cells, waiting + other.waiting, emerged + other.emerged, grown + other.grown);
    }
}
