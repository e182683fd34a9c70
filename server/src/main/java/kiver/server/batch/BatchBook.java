package kiver.server.batch;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchProjection;
import kiver.core.batch.BatchState;
import kiver.core.batch.ChangeFault;
import kiver.core.batch.ChangeRefused;
import kiver.core.batch.RecordedChange;
import kiver.core.growth.GrowingYear;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchSize;
import kiver.core.outlook.Promised;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.account.Occasion;
import kiver.server.batch.RecordReader.Folded;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps batches and adds to their record. */
@Component
public class BatchBook {

    /** All files, with the mark and the day under which they were read. */
    private record KeptAll(String mark, LocalDate day, List<BatchFile> files) {}

    private final Map<Long, Folded> kept = new ConcurrentHashMap<>();
    private final BatchMapper mapper;
    private final RecordReader records;
    private final ProjectionBook projections;
    private final ChangeJson json;
    private final Revisions revisions;
    private final NurseryClock clock;
    private volatile KeptAll keptAll;

    BatchBook(
            BatchMapper mapper, RecordReader records, ProjectionBook projections, ChangeJson json, Revisions revisions,
            NurseryClock clock) {
        this.mapper = mapper;
        this.records = records;
        this.projections = projections;
        this.json = json;
        this.revisions = revisions;
        this.clock = clock;
    }

    /** The batch of that number, put away or not. */
    public BatchFile file(int number) {
        Batch batch = mapper.byNumber(number).orElseThrow(() -> new NotFound(Said.of("There is no batch {number}.").with("number", number)));
        return file(batch);
    }

    private BatchFile file(Batch batch) {
        Folded folded = records.folded(mapper.changes(batch.id().number()));
        return new BatchFile(
                        batch, mapper.runs(batch.id().number()).stream().map(BatchBook::run).toList(), mapper.promises(batch.id().number()),
                        folded.state(), folded.trouble())
                .forItsLines();
    }

    /** A mark that differs whenever anything has changed from which the state of batches follows. */
    public String mark() {
        return revisions.mark();
    }

    /**
     * The batches in hand by number: all but those that are put away. Read anew only when something has changed, or
     * another day has begun.
     */
    public List<BatchFile> files() {
        String mark = revisions.mark();
        LocalDate today = clock.today();
        KeptAll present = keptAll;
        if (present != null && present.mark().equals(mark) && present.day().equals(today)) {
            return present.files();
        }
        List<BatchFile> files = read(mapper.inHand(PutAway.on(today, clock.latitude())), this::states);
        if (!Kept.writing()) {
            keptAll = new KeptAll(mark, today, files);
        }
        return files;
    }

    /** The batches that are promised to any of these lines, put away or not, by number. */
    public List<BatchFile> filesOf(Collection<LineId> lines) {
        return lines.isEmpty() ? List.of() : together(mapper.promisedTo(lines.stream().map(LineId::number).toArray(Long[]::new)));
    }

    /** The batches of which plants left with a delivery note, put away or not, by number. */
    public List<BatchFile> filesOnNote(int release) {
        return together(mapper.onNote(release));
    }

    /** Those in hand are at hand; those put away are read, all at once. */
    private List<BatchFile> together(List<Long> ids) {
        Map<Long, BatchFile> found = files().stream().collect(Collectors.toMap(file -> file.batch().id().number(), Function.identity()));
        Long[] others = ids.stream().filter(id -> !found.containsKey(id)).toArray(Long[]::new);
        if (others.length > 0) {
            read(mapper.of(others), this::statesReadAnew).forEach(file -> found.put(file.batch().id().number(), file));
        }
        return ids.stream().map(found::get).toList();
    }

    /** The batches of a growing year that are put away, by number. */
    public List<BatchFile> filesPutAway(GrowingYear year) {
        PutAway away = PutAway.on(clock.today(), clock.latitude());
        return read(mapper.putAway(away, year.firstDay(), year.lastDay()), this::statesReadAnew);
    }

    /** The day for which the first batch was grown, if there is any. */
    public Optional<LocalDate> firstTarget() {
        return Optional.ofNullable(mapper.firstTarget());
    }

    private List<BatchFile> read(List<Batch> batches, Function<Long[], Map<Long, Folded>> folding) {
        if (batches.isEmpty()) {
            return List.of();
        }
        Long[] ids = batches.stream().map(batch -> batch.id().number()).toArray(Long[]::new);
        Map<Long, List<BatchMapper.RunRow>> runs =
                mapper.runsOf(ids).stream().collect(Collectors.groupingBy(BatchMapper.RunRow::batchId));
        Map<Long, List<Promised>> promises =
                mapper.promisesOf(ids).stream().collect(Collectors.groupingBy(promise -> promise.batch().number()));
        Map<Long, Folded> states = folding.apply(ids);
        return batches.stream()
                .map(batch -> {
                    Long id = batch.id().number();
                    Folded folded = states.getOrDefault(id, RecordReader.NOTHING_RECORDED);
                    return new BatchFile(
                                    batch, runs.getOrDefault(id, List.of()).stream().map(BatchBook::run).toList(),
                                    promises.getOrDefault(id, List.of()), folded.state(), folded.trouble())
                            .forItsLines();
                })
                .toList();
    }

    /**
     * The states of batches with a record. A record is only ever added to, so a state that was worked out up to the
     * last of its changes stays right; only records that have grown are read again. Inside a transaction that writes
     * nothing is kept, since what it wrote may yet be taken back.
     */
    private Map<Long, Folded> states(Long[] batches) {
        Map<Long, Integer> reaches = mapper.reaches(batches).stream()
                .collect(Collectors.toMap(BatchMapper.Reach::batchId, BatchMapper.Reach::sequence));
        // What is kept is looked at once: others may drop of it what they no longer need.
        Map<Long, Folded> still = new HashMap<>();
        reaches.forEach((batch, sequence) -> {
            Folded present = kept.get(batch);
            if (present != null && present.changes() == sequence) {
                still.put(batch, present);
            }
        });
        Long[] grown = reaches.keySet().stream().filter(batch -> !still.containsKey(batch)).toArray(Long[]::new);
        Map<Long, Folded> states = grown.length > 0 ? statesReadAnew(grown) : new HashMap<>();
        if (!Kept.writing()) {
            kept.putAll(states);
            kept.keySet().retainAll(reaches.keySet());
        }
        states.putAll(still);
        return states;
    }

    private Map<Long, Folded> statesReadAnew(Long[] batches) {
        Map<Long, Folded> states = new HashMap<>();
        mapper.changesOf(batches).stream()
                .collect(Collectors.groupingBy(BatchMapper.ChangeRow::batchId))
                .forEach((batch, rows) -> states.put(batch, records.folded(rows)));
        return states;
    }

    /** Locks a batch against others who record for it or change its plan, until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(int number) {
        if (mapper.lock(number) == null) {
            throw new NotFound(Said.of("There is no batch {number}.").with("number", number));
        }
    }

    /** The batches that lie in a tray or are planned into it. */
    public List<BatchFile> filesIn(TrayId tray) {
        return mapper.numbersInTray(tray.number()).stream().map(this::file).toList();
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
        return mapper.authors(batch.id().number()).stream().collect(Collectors.toMap(
                BatchMapper.ChangeAuthor::sequence, each -> new Author(each.name(), Optional.ofNullable(each.device()))));
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
            throw new Refusal("batch", Said.of("Plants of batch {number} are promised; cancel the order, or meet it otherwise first.")
                    .with("number", number));
        }
        if (file.state().sownOn().isPresent()) {
            throw new Refusal("batch", Said.of("Batch {number} is sown; record its plants as lost when they are thrown out.").with("number", number));
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
            throw new NotFound(Said.of("There is no promise of batches {number} and {other}.").with("number", number).with("other", other));
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
                            id, entry.sequence(), ChangeKind.of(change).wireName(), ChangeKind.of(change).version(), day,
                            entry.time().orElse(null), json.write(change)),
                    recordedBy, request, occasion.device().orElse(null));
        }
        requireFree(number, before, state);
        BatchProjection.of(state).ifPresent(now -> projections.write(id, BatchProjection.of(before), now));
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
                            id, entry.sequence(), kind.wireName(), kind.version(), entry.day(),
                            entry.time().orElse(null), json.write(entry.change())),
                    null, null, null);
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
                .collect(Collectors.groupingBy(Cell::tray, () -> new TreeMap<>(Comparator.comparingLong(TrayId::number)), Collectors.toList()));
        filled.forEach((tray, cells) -> {
            mapper.lockTray(tray.number());
            for (BatchFile other : filesIn(tray)) {
                if (other.batch().number() != number) {
                    cells.stream().filter(other.state().cells()::containsKey).findFirst().ifPresent(cell -> {
                        throw new ChangeRefused("run", new ChangeFault.CellOfAnother(cell.number(), other.batch().number()));
                    });
                }
            }
        });
    }

    private static CellRun run(BatchMapper.RunRow row) {
        return new CellRun(new TrayId(row.trayId()), row.firstCell(), row.lastCell());
    }
}
