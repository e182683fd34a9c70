package kiver.server.batch;

import java.util.List;
import kiver.core.batch.BatchChange;

/** Something was recorded of a batch, in the transaction that is going on. */
public record BatchRecorded(int number, List<BatchChange> changes) {}
