package kiver.server.batch;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.order.OrderLine;
import kiver.core.plan.ContainerPath;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;

/**
 * A batch with everything recorded of it.
 *
 * @param batch as planned
 * @param runs of cells set aside for it
 * @param state after all that was recorded
 * @param problem why its record cannot be read to its end, in words; empty for a whole one
 */
public record BatchFile(Batch batch, List<CellRun> runs, BatchState state, Optional<String> problem) {

    /** A batch whose record is whole. */
    public BatchFile(Batch batch, List<CellRun> runs, BatchState state) {
        this(batch, runs, state, Optional.empty());
    }

    public BatchFile {
        runs = List.copyOf(runs);
    }

    /** Whether its order counts the seedlings of its clumps, not its cells. */
    public boolean countsSeedlings() {
        return batch.containerPath() == ContainerPath.Kind.CLUMPS && batch.countedIn() == Batch.CountedIn.PLANTS;
    }

    /** Plants on hand, counted as its order counts them. */
    public int plantsAlive() {
        return state.plants(Set.of(CellCondition.ALIVE), countsSeedlings());
    }

    /** Plants that have gone, counted as its order counts them. */
    public int plantsReleased() {
        return state.plants(Set.of(CellCondition.RELEASED), countsSeedlings());
    }

    /** Plants of one release, counted as its order counts them. */
    public int plantsOf(BatchChange.Released part) {
        List<CellState> cells =
                part.cells().stream().map(number -> state.cells().get(new Cell(part.tray(), number))).toList();
        return state.plants(cells, countsSeedlings());
    }

    /** What of the cells set aside still waits to be sown; nothing once the batch is over. */
    public List<CellRun> toSow() {
        boolean over = state.balance().released() > 0 && state.balance().alive() + state.balance().waiting() == 0;
        return over ? List.of() : state.toSow(runs);
    }

    /** The fewest plants that its grower takes as the whole order. */
    public int accepted() {
        return OrderLine.accepted(batch.plants(), batch.under());
    }
}
