package kiver.server.space;

import java.util.List;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;

/** Port: every batch as it stands, takes up room, or would under another plan; filled by who knows how far batches are. */
public interface BatchesInSpace {

    /** The batches that take up room, by number. */
    List<BatchInSpace> inSpace();

    /** All batches as they stand today, by number. */
    List<BatchOutlook> all();

    /** A batch as it would stand, were it planned otherwise; nothing of this is kept. */
    BatchOutlook trial(BatchOutlook standing, Batch otherwise);
}
