package kiver.server.batch;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchProjection;
import kiver.core.batch.BatchState;
import kiver.core.batch.ChangeFault;
import kiver.core.batch.ChangeRefused;
import kiver.core.batch.RecordedChange;
import kiver.core.growth.GrowingYear;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchSize;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.account.Occasion;
import kiver.server.kept.Revisions;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps batches and adds to their record. */
@Component
public class BatchBook {

    private final BatchFiles files;
    private final BatchMapper mapper;
    private final RecordReader records;
    private final ProjectionBook projections;
    private final ChangeJson json;
    private final Revisions revisions;
    private final ApplicationEventPublisher listeners;

    BatchBook(
            BatchFiles files,
            BatchMapper mapper,
            RecordReader records,
            ProjectionBook projections,
            ChangeJson json,
            Revisions revisions,
            ApplicationEventPublisher listeners) {
        this.files = files;
        this.mapper = mapper;
        this.records = records;
        this.projections = projections;
        this.json = json;
        this.revisions = revisions;
        this.listeners = listeners;
    }

    /** The batch of that number, put away or not. */
    public BatchFile file(int number) {
        return files.file(number);
    }

    /** A mark that differs whenever anything has changed from which the state of batches follows. */
    public String mark() {
        return revisions.mark();
    }

    /** The batches in hand by number: all but those that are put away. */
    public List<BatchFile> files() {
        return files.inHand();
    }

    /** The batches that are promised to any of these lines, put away or not, by number. */
    public List<BatchFile> filesOf(Collection<LineId> lines) {
        return files.of(lines);
    }

    /** The batches of which plants left with a delivery note, put away or not, by number. */
    public List<BatchFile> filesOnNote(int release) {
        return files.onNote(release);
    }

    /** The batches that were sown from a lot, or came with it, put away or not, by number. */
    public List<BatchFile> filesFrom(LotId lot) {
        return files.from(lot);
    }

    /** The batches of which anything was sown in a mix, put away or not, by number. */
    public List<BatchFile> filesSownIn(String medium) {
        return files.sownIn(medium);
    }

    /** The mixes that anything was sown in, by their words, each with its number of batches. */
    public Map<String, Integer> mixes() {
        Map<String, Integer> mixes = new TreeMap<>();
        mapper.mixes().forEach(mix -> mixes.put(mix.medium(), mix.batches()));
        return mixes;
    }

    /** The batches of a growing year that are put away, by number. */
    public List<BatchFile> filesPutAway(GrowingYear year) {
        return files.putAway(year);
    }

    /** Who sowed the batches that were sown from a day until another, by their number. */
    public Map<Integer, String> sowers(LocalDate from, LocalDate until) {
        return mapper.sowers(from, until).stream()
                .collect(Collectors.toMap(BatchMapper.SowerRow::number, BatchMapper.SowerRow::name));
    }

    /** A note that was made of a batch. */
    public record NoteOfDay(int batch, String variety, LocalDate day, String text, String by) {}

    /** What was noted of days that lie between two days, both included, the newest first; without what was taken back. */
    public List<NoteOfDay> notes(LocalDate from, LocalDate until) {
        return mapper.notes(from, until).stream()
                .filter(row -> !file(row.batch()).state().isCorrected(row.sequence()))
                .map(row -> new NoteOfDay(row.batch(), row.variety(), row.day(), row.text(), row.by()))
                .toList();
    }

    /** The batches that lie in a tray or are planned into it. */
    public List<BatchFile> filesIn(TrayId tray) {
        return files.in(tray);
    }

    /** The day for which the first batch was grown, if there is any. */
    public Optional<LocalDate> firstTarget() {
        return Optional.ofNullable(mapper.firstTarget());
    }

    /** Locks a batch against others who record for it or change its plan, until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(int number) {
        if (mapper.lock(number) == null) {
            throw new NotFound(Said.of("There is no batch {number}.").with("number", number));
        }
    }

    /**
     * Who recorded a change.
     *
     * @param name of the person
     * @param device on which, where that is known
     */
    public record Author(String name, Optional<String> device) {}

    /** Who recorded which change, by its sequence. */
    public Map<Integer, Author> authors(Batch batch) {
        return mapper.authors(batch.id().number()).stream()
                .collect(Collectors.toMap(
                        BatchMapper.ChangeAuthor::sequence,
                        each -> new Author(each.name(), Optional.ofNullable(each.device()))));
    }

    /** Plans a batch into runs of cells and answers its number. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int add(NewBatch batch, List<CellRun> runs) {
        int number = mapper.insert(batch);
        layOut(number, runs);
        return number;
    }

    /** Promises so many plants of a batch for a line, beside what it was promised already. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void promise(LineId lineId, int number, int plants) {
        mapper.promise(lineId, number, plants);
    }

    /** Leaves so many plants promised of a batch for a line; none when it is 0. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setPromise(LineId lineId, int number, int plants) {
        int changed = plants == 0 ? mapper.forgetPromise(lineId, number) : mapper.setPromise(lineId, number, plants);
        if (changed != 1) {
            throw new NotFound(Said.of("There is no promise of batch {number}.").with("number", number));
        }
    }

    /** Another amount for a batch that is not sown yet; its cells are laid out anew. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void resize(int number, BatchSize size, List<CellRun> runs) {
        mapper.resize(number, size);
        layOutAnew(number, runs);
    }

    /** Sets other cells aside for a batch than before. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void layOutAnew(int number, List<CellRun> runs) {
        mapper.forgetRuns(number);
        layOut(number, runs);
    }

    /** Hardens it by a programme that need not be the one planned. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void harden(int number, HardeningProgramme programme) {
        mapper.harden(number, programme);
    }

    /** Grows a batch that is for nobody for another day. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void aimAt(int number, LocalDate target) {
        mapper.aimAt(number, target);
    }

    /**
     * Takes a batch that is for nobody and not sown out of the plan.
     *
     * @throws Refusal when it is promised or sown
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void withdraw(int number, LocalDate day) {
        lock(number);
        BatchFile file = file(number);
        if (!file.promises().isEmpty()) {
            throw new Refusal(
                    "batch",
                    Said.of("Plants of batch {number} are promised; cancel the order, or meet it otherwise first.")
                            .with("number", number));
        }
        if (file.state().sownOn().isPresent()) {
            throw new Refusal(
                    "batch",
                    Said.of("Batch {number} is sown; record its plants as lost when they are thrown out.")
                            .with("number", number));
        }
        mapper.withdraw(number, day);
        mapper.forgetRuns(number);
    }

    /**
     * Gives what was promised of each of two batches to the other.
     *
     * @throws Refusal when they are not alike, or plants of one have gone already
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void swapPromises(int number, int other) {
        mapper.lock(Math.min(number, other));
        mapper.lock(Math.max(number, other));
        BatchFile one = file(number);
        BatchFile two = file(other);
        Alike.require(one, two);
        if (mapper.swapPromises(number, other) == 0) {
            throw new NotFound(Said.of("There is no promise of batches {number} and {other}.")
                    .with("number", number)
                    .with("other", other));
        }
    }

    /** Sets cells aside for a batch. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void layOut(int number, List<CellRun> runs) {
        for (CellRun run : runs) {
            mapper.insertRun(number, run.tray().number(), run.first(), run.last());
        }
    }

    /**
     * Adds to a batch's record. Others who record for the same batch wait, so none is lost and none is built on a
     * state that has gone.
     *
     * @param number of the batch
     * @param day on which it happened
     * @param changes in order; all of them are recorded or none
     * @param recordedBy account number, or null for the nursery's simulated hands
     * @param request that they came with
     * @return the batch after the changes
     * @throws ChangeRefused when one of them cannot be true
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public BatchState record(int number, LocalDate day, List<BatchChange> changes, Long recordedBy, UUID request) {
        Long id = mapper.lock(number);
        if (id == null) {
            throw new NotFound(Said.of("There is no batch {number}.").with("number", number));
        }
        // The simulated hands have no device, whoever lets the days pass.
        Occasion occasion = recordedBy == null ? Occasion.UNKNOWN : Occasion.ofThisRequest();
        BatchState before = records.state(id);
        BatchState state = before;
        for (BatchChange change : changes) {
            state = after(state, day, occasion, change);
            RecordedChange entry = state.changes().get(state.changes().size() - 1);
            mapper.insertChange(
                    new BatchMapper.ChangeRow(
                            id,
                            entry.sequence(),
                            ChangeKind.of(change).wireName(),
                            ChangeKind.of(change).version(),
                            day,
                            entry.time().orElse(null),
                            json.write(change)),
                    recordedBy,
                    request,
                    occasion.device().orElse(null));
        }
        requireFree(number, before, state);
        BatchProjection.of(state).ifPresent(now -> projections.write(id, BatchProjection.of(before), now));
        listeners.publishEvent(new BatchRecorded(number, changes));
        return state;
    }

    /** A time that cannot be true of what was recorded before comes from a clock that is wrong, and is not believed. */
    private static BatchState after(BatchState state, LocalDate day, Occasion occasion, BatchChange change) {
        try {
            return state.after(day, occasion.at(), change);
        } catch (ChangeRefused refused) {
            if (occasion.at().isEmpty()) {
                throw refused;
            }
            return state.after(day, change);
        }
    }

    /**
     * Writes the whole record of a batch that has none yet; its cells must be its own.
     *
     * @throws ChangeRefused when one of its changes cannot be true
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void recordAll(int number, List<RecordedChange> changes) {
        BatchState state = BatchState.after(changes);
        Long id = mapper.lock(number);
        for (RecordedChange entry : changes) {
            ChangeKind kind = ChangeKind.of(entry.change());
            mapper.insertChange(
                    new BatchMapper.ChangeRow(
                            id,
                            entry.sequence(),
                            kind.wireName(),
                            kind.version(),
                            entry.day(),
                            entry.time().orElse(null),
                            json.write(entry.change())),
                    null,
                    null,
                    null);
        }
        BatchProjection.of(state).ifPresent(now -> projections.write(id, Optional.empty(), now));
    }

    /**
     * No two batches in one cell: whatever came into cells, sown, potted or brought back by an entry that was undone, must
     * find nothing of others there.
     */
    private void requireFree(int number, BatchState before, BatchState after) {
        Map<TrayId, List<Cell>> filled = after.cells().keySet().stream()
                .filter(cell -> !before.cells().containsKey(cell))
                .collect(Collectors.groupingBy(
                        Cell::tray,
                        () -> new TreeMap<>(Comparator.comparingLong(TrayId::number)),
                        Collectors.toList()));
        filled.forEach((tray, cells) -> {
            mapper.lockTray(tray.number());
            for (BatchFile other : filesIn(tray)) {
                if (other.batch().number() != number) {
                    cells.stream()
                            .filter(other.state().cells()::containsKey)
                            .findFirst()
                            .ifPresent(cell -> {
                                throw new ChangeRefused(
                                        "run",
                                        new ChangeFault.CellOfAnother(
                                                cell.number(), other.batch().number()));
                            });
                }
            }
        });
    }
}
