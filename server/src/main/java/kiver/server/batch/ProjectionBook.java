package kiver.server.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchProjection;
import kiver.core.batch.CellState;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps what follows from records beside them: written in the transaction that adds to a record, brought up to date at the
 * start where an older Kiver left none, and held against the record whenever somebody asks.
 */
@Component
public class ProjectionBook implements SmartInitializingSingleton {

    private static final Logger LOG = LoggerFactory.getLogger(ProjectionBook.class);

    private final ProjectionMapper mapper;
    private final BatchMapper batches;
    private final RecordReader records;
    private final TransactionTemplate transaction;
    private final JsonMapper json = JsonMapper.builder().build();

    ProjectionBook(
            ProjectionMapper mapper, BatchMapper batches, RecordReader records, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.batches = batches;
        this.records = records;
        this.transaction = transaction;
    }

    /**
     * A batch of which something else was written down than follows from its record.
     *
     * @param batch number
     * @param written down; empty where nothing was
     * @param following from the record; empty where it has no entries or cannot be read
     */
    public record Difference(int batch, Optional<BatchProjection> written, Optional<BatchProjection> following) {}

    /** Before anybody asks: what an older Kiver recorded without writing down what follows. */
    @Override
    public void afterSingletonsInstantiated() {
        for (int number : mapper.behind()) {
            try {
                transaction.executeWithoutResult(status -> rewrite(number));
            } catch (RuntimeException damaged) {
                LOG.error("What follows from the record of batch {} cannot be worked out", number, damaged);
            }
        }
    }

    /** Writes down what follows from a record that has grown; in the transaction in which it grew. */
    void write(long batchId, Optional<BatchProjection> before, BatchProjection now) {
        Balance balance = now.balance();
        mapper.writeStanding(new ProjectionMapper.StandingRow(
                batchId,
                now.sequence(),
                now.stage(),
                now.beganOn().orElse(null),
                now.lastOn(),
                now.completelyCounted(),
                balance.sown(),
                balance.waiting(),
                balance.empty(),
                balance.alive(),
                balance.lost(),
                balance.released()));
        if (before.isEmpty() || !before.get().cells().equals(now.cells())) {
            String rows = json.writeValueAsString(
                    now.cells().stream().map(ProjectionBook::row).toList());
            mapper.dropOtherCells(batchId, rows);
            mapper.addCells(batchId, rows);
        }
        if (before.isEmpty() || !before.get().origins().equals(now.origins())) {
            mapper.dropOrigins(batchId);
            mapper.addOrigins(
                    batchId,
                    json.writeValueAsString(
                            now.origins().stream().map(ProjectionBook::row).toList()));
        }
        if (before.isEmpty() || !before.get().departures().equals(now.departures())) {
            mapper.dropDepartures(batchId);
            mapper.addDepartures(
                    batchId,
                    json.writeValueAsString(now.departures().stream()
                            .map(gone -> new ProjectionMapper.DepartureRow(
                                    gone.release(), gone.line().number(), gone.cells(), gone.seedlings()))
                            .toList()));
        }
    }

    /** What is written down of a batch; empty where nothing is. */
    public Optional<BatchProjection> written(long batchId) {
        return mapper.standing(batchId)
                .map(row -> new BatchProjection(
                        row.sequence(),
                        row.stage(),
                        Optional.ofNullable(row.beganOn()),
                        row.lastOn(),
                        row.completelyCounted(),
                        new Balance(row.sown(), row.waiting(), row.empty(), row.alive(), row.lost(), row.released()),
                        mapper.cells(batchId).stream()
                                .map(ProjectionBook::cells)
                                .toList(),
                        mapper.origins(batchId).stream()
                                .map(ProjectionBook::origin)
                                .toList(),
                        mapper.departures(batchId).stream()
                                .map(gone -> new BatchProjection.Departure(
                                        gone.release(), new LineId(gone.lineId()), gone.cells(), gone.seedlings()))
                                .toList()));
    }

    /** Goes through all records and tells of which batches something else is written down than follows from them. */
    public List<Difference> differences() {
        List<Difference> differences = new ArrayList<>();
        for (int number : mapper.batches()) {
            // Held while it is looked at, so that nobody adds to the record between the two looks.
            transaction.execute(status -> difference(number)).ifPresent(differences::add);
        }
        return differences;
    }

    private Optional<Difference> difference(int number) {
        long id = batches.lock(number);
        Optional<BatchProjection> written = written(id);
        Optional<BatchProjection> following;
        try {
            following = BatchProjection.of(records.state(id));
        } catch (RuntimeException damaged) {
            LOG.error("The record of batch {} cannot be read to its end", number, damaged);
            return Optional.of(new Difference(number, written, Optional.empty()));
        }
        return written.equals(following) ? Optional.empty() : Optional.of(new Difference(number, written, following));
    }

    /** Writes down anew what follows from the records of some batches; one whose record is damaged stays as it is. */
    public void rebuild(List<Difference> differences) {
        differences.stream()
                .filter(difference -> difference.following().isPresent()
                        || difference.written().isEmpty())
                .forEach(difference -> transaction.executeWithoutResult(status -> rewrite(difference.batch())));
    }

    private void rewrite(int number) {
        long id = batches.lock(number);
        BatchProjection.of(records.state(id))
                .ifPresentOrElse(now -> write(id, Optional.empty(), now), () -> mapper.drop(id));
    }

    private static ProjectionMapper.CellsRow row(BatchProjection.Cells cells) {
        CellState state = cells.state();
        return new ProjectionMapper.CellsRow(
                cells.run().tray().number(),
                cells.run().first(),
                cells.run().last(),
                state.condition(),
                state.seeds(),
                state.cameUp(),
                state.onlySeen(),
                state.seedlings(),
                state.sowing(),
                cells.lot().number(),
                state.mixed());
    }

    private static BatchProjection.Cells cells(ProjectionMapper.CellsRow row) {
        return new BatchProjection.Cells(
                new CellRun(new TrayId(row.trayId()), row.firstCell(), row.lastCell()),
                new CellState(
                        row.seeds(),
                        row.cameUp(),
                        row.onlySeen(),
                        row.seedlings(),
                        row.condition(),
                        row.origin(),
                        row.mixed()),
                new LotId(row.lotId()));
    }

    private static ProjectionMapper.OriginRow row(BatchProjection.Origin origin) {
        return new ProjectionMapper.OriginRow(
                origin.sequence(),
                origin.on(),
                origin.run().tray().number(),
                origin.run().first(),
                origin.run().last(),
                origin.lot().number(),
                origin.seeds(),
                origin.medium());
    }

    private static BatchProjection.Origin origin(ProjectionMapper.OriginRow row) {
        return new BatchProjection.Origin(
                row.sequence(),
                row.occurredOn(),
                new CellRun(new TrayId(row.trayId()), row.firstCell(), row.lastCell()),
                new LotId(row.lotId()),
                row.seeds(),
                row.medium());
    }
}
