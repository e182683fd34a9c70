package kiver.server.space;

import java.util.List;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;

/** Port: every batch as it stands, and as it would under another plan; filled by who knows how far batches are. */
public interface BatchOutlooks {

    /** All batches in hand as they stand today, by number. */
    List<BatchOutlook> all();

    /** A batch as it would stand, were it planned or promised otherwise; nothing of this is kept. */
    BatchOutlook trial(BatchFile otherwise);

    /** A batch as it would stand, were it planned otherwise; nothing of this is kept. */
    default BatchOutlook trial(BatchOutlook standing, Batch otherwise) {
        return trial(standing.file().with(otherwise));
    }
}
