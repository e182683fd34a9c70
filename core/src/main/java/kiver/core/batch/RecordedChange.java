package kiver.core.batch;

import java.time.LocalDate;
import java.util.Objects;

/**
 * A change as it stands in the batch's record.
 *
 * @param sequence place in the record, from 1 without gaps
 * @param day on which it happened
 * @param change what happened
 */
public record RecordedChange(int sequence, LocalDate day, BatchChange change) {
    public RecordedChange {
        Objects.requireNonNull(day);
        Objects.requireNonNull(change);
    }
}
