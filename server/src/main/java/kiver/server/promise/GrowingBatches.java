package kiver.server.promise;

import java.util.List;
import kiver.core.outlook.BatchFile;

/** Tells how batches stand and would stand; filled by whoever forecasts them. */
public interface GrowingBatches {

    /** The batches of a variety that are not over and can be worked out. */
    List<GrowingBatch> ofVariety(long varietyId);

    /** A batch as it would stand, were it planned or promised otherwise; nothing of this is kept. */
    GrowingBatch otherwise(BatchFile file);
}
