package kiver.core.batch;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A change as it stands in the batch's record.
 *
 * @param sequence place in the record, from 1 without gaps
 * @param day on which it happened
 * @param time of that day at which it happened, where it is known
 * @param change what happened
 */
public record RecordedChange(int sequence, LocalDate day, Optional<LocalTime> time, BatchChange change) {

    /** A change of which only the day is known. */
    public RecordedChange(int sequence, LocalDate day, BatchChange change) {
        this(sequence, day, Optional.empty(), change);
    }

    public RecordedChange {
        Objects.requireNonNull(day);
        Objects.requireNonNull(time);
        Objects.requireNonNull(change);
    }

    /**
     * A record in the order in which things happened: by day, then by time, then as they were recorded. Of what has no time
     * it is taken that it happened after all that was recorded of the same day before it.
     */
    static List<RecordedChange> asTheyHappened(List<RecordedChange> record) {
        Map<LocalDate, LocalTime> latest = new HashMap<>();
        Map<Integer, LocalTime> times = new HashMap<>();
        for (RecordedChange entry : record) {
            LocalTime before = latest.getOrDefault(entry.day(), LocalTime.MIN);
            LocalTime time = entry.time().orElse(before);
            times.put(entry.sequence(), time);
            latest.put(entry.day(), time.isAfter(before) ? time : before);
        }
        return record.stream()
                .sorted(Comparator.comparing(RecordedChange::day)
                        .thenComparing(entry -> times.get(entry.sequence()))
                        .thenComparing(RecordedChange::sequence))
                .toList();
    }
}
