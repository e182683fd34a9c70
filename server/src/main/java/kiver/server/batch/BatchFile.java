package kiver.server.batch;

import java.util.List;
import kiver.core.batch.BatchState;
import kiver.core.tray.CellRun;

/**
 * A batch with everything recorded of it.
 *
 * @param batch as planned
 * @param runs of cells set aside for it
 * @param state after all that was recorded
 */
public record BatchFile(Batch batch, List<CellRun> runs, BatchState state) {
    public BatchFile {
        runs = List.copyOf(runs);
    }
}
