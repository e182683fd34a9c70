package kiver.server.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.RecordedChange;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchTrouble;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Reads records of batches from their stored form and folds them into states. */
@Component
class RecordReader {

    static final Folded NOTHING_RECORDED = new Folded(BatchState.after(List.of()), 0, Optional.empty());
    private static final Logger LOG = LoggerFactory.getLogger(RecordReader.class);

    private final BatchMapper mapper;
    private final ChangeJson json;
    private volatile Map<Long, LineId> linesOfEarlierReleases;

    RecordReader(BatchMapper mapper, ChangeJson json) {
        this.mapper = mapper;
        this.json = json;
    }

    /** A record as far as it can be folded, how many changes it holds, and what is wrong with the rest. */
    record Folded(BatchState state, int changes, Optional<BatchTrouble> trouble) {}

    /**
     * The state of a batch.
     *
     * @throws RuntimeException when its record is damaged
     */
    BatchState state(long batchId) {
        return BatchState.after(
                mapper.changes(batchId).stream().map(this::change).toList());
    }

    /** Folds a record; one that was damaged is folded up to there, so that it stops no page of others. */
    Folded folded(List<BatchMapper.ChangeRow> rows) {
        try {
            return new Folded(
                    BatchState.after(rows.stream().map(this::change).toList()), rows.size(), Optional.empty());
        } catch (RuntimeException damaged) {
            BatchState state = NOTHING_RECORDED.state();
            List<RecordedChange> whole = new ArrayList<>();
            for (BatchMapper.ChangeRow row : rows) {
                try {
                    whole.add(change(row));
                    state = BatchState.after(whole);
                } catch (RuntimeException here) {
                    LOG.error(
                            "Entry {} of the record of batch id {} cannot be read",
                            row.sequence(),
                            row.batchId(),
                            here);
                    return new Folded(
                            state, rows.size(), Optional.of(new BatchTrouble.EntryUnreadable(row.sequence())));
                }
            }
            throw damaged;
        }
    }

    private RecordedChange change(BatchMapper.ChangeRow row) {
        BatchChange change = json.read(row.kind(), row.version(), row.detail());
        if (change instanceof BatchChange.Released released
                && released.line().equals(BatchChange.Released.BEFORE_LINES)) {
            change = released.forLine(lineOf(released.release()));
        }
        return new RecordedChange(row.sequence(), row.day(), Optional.ofNullable(row.time()), change);
    }

    /** Another database has other releases. */
    void forget() {
        linesOfEarlierReleases = null;
    }

    /** Releases made before orders had lines name none; theirs was written down when lines came. */
    private LineId lineOf(long release) {
        Map<Long, LineId> lines = linesOfEarlierReleases;
        if (lines == null) {
            lines = mapper.releasedBeforeLines().stream()
                    .collect(Collectors.toMap(each -> (long) each.release(), BatchMapper.ReleasedBeforeLines::lineId));
            linesOfEarlierReleases = lines;
        }
        return lines.getOrDefault(release, BatchChange.Released.BEFORE_LINES);
    }
}
