package kiver.server.batch;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.growth.GrowingYear;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.Promised;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.RecordReader.Folded;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Reads batches with everything recorded of them, and keeps what was read until something changes. */
@Component
class BatchFiles {

    /** All files, with the mark and the day under which they were read. */
    private record KeptAll(String mark, LocalDate day, List<BatchFile> files) {}

    private final Map<Long, Folded> kept = new ConcurrentHashMap<>();
    private final BatchMapper mapper;
    private final RecordReader records;
    private final Revisions revisions;
    private final NurseryClock clock;
    private volatile KeptAll keptAll;

    BatchFiles(BatchMapper mapper, RecordReader records, Revisions revisions, NurseryClock clock) {
        this.mapper = mapper;
        this.records = records;
        this.revisions = revisions;
        this.clock = clock;
        revisions.whenReplaced(this::forget);
    }

    private void forget() {
        kept.clear();
        keptAll = null;
        records.forget();
    }

    /** The batch of that number, put away or not. */
    BatchFile file(int number) {
        Batch batch = mapper.byNumber(number)
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no batch {number}.").with("number", number)));
        return file(batch);
    }

    private BatchFile file(Batch batch) {
        Folded folded = records.folded(mapper.changes(batch.id().number()));
        return new BatchFile(
                        batch,
                        mapper.runs(batch.id().number()).stream()
                                .map(BatchFiles::run)
                                .toList(),
                        mapper.promises(batch.id().number()),
                        folded.state(),
                        roomOfTrays(new Long[] {batch.id().number()})
                                .getOrDefault(batch.id().number(), Map.of()),
                        folded.trouble())
                .forItsLines();
    }

    /**
     * The batches in hand by number: all but those that are put away. Read anew only when something has changed, or
     * another day has begun.
     */
    List<BatchFile> inHand() {
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
    List<BatchFile> of(Collection<LineId> lines) {
        return lines.isEmpty()
                ? List.of()
                : together(mapper.promisedTo(lines.stream().map(LineId::number).toArray(Long[]::new)));
    }

    /** The batches of which plants left with a delivery note, put away or not, by number. */
    List<BatchFile> onNote(int release) {
        return together(mapper.onNote(release));
    }

    /** The batches that were sown from a lot, or came with it, put away or not, by number. */
    List<BatchFile> from(LotId lot) {
        return together(mapper.fromLot(lot));
    }

    /** The batches of which anything was sown in a mix, put away or not, by number. */
    List<BatchFile> sownIn(String medium) {
        return together(mapper.sownIn(medium));
    }

    /** Those in hand are at hand; those put away are read, all at once. */
    private List<BatchFile> together(List<Long> ids) {
        Map<Long, BatchFile> found = inHand().stream()
                .collect(Collectors.toMap(file -> file.batch().id().number(), Function.identity()));
        Long[] others = ids.stream().filter(id -> !found.containsKey(id)).toArray(Long[]::new);
        if (others.length > 0) {
            read(mapper.of(others), this::statesReadAnew)
                    .forEach(file -> found.put(file.batch().id().number(), file));
        }
        return ids.stream().map(found::get).toList();
    }

    /** The batches of a growing year that are put away, by number. */
    List<BatchFile> putAway(GrowingYear year) {
        PutAway away = PutAway.on(clock.today(), clock.latitude());
        return read(mapper.putAway(away, year.firstDay(), year.lastDay()), this::statesReadAnew);
    }

    private Map<Long, Map<TrayId, Double>> roomOfTrays(Long[] batches) {
        return mapper.roomOfTrays(batches).stream()
                .collect(Collectors.groupingBy(
                        BatchMapper.TrayRoom::batchId,
                        Collectors.toMap(room -> new TrayId(room.trayId()), BatchMapper.TrayRoom::share)));
    }

    private List<BatchFile> read(List<Batch> batches, Function<Long[], Map<Long, Folded>> folding) {
        if (batches.isEmpty()) {
            return List.of();
        }
        Long[] ids = batches.stream().map(batch -> batch.id().number()).toArray(Long[]::new);
        Map<Long, List<BatchMapper.RunRow>> runs =
                mapper.runsOf(ids).stream().collect(Collectors.groupingBy(BatchMapper.RunRow::batchId));
        Map<Long, List<Promised>> promises = mapper.promisesOf(ids).stream()
                .collect(Collectors.groupingBy(promise -> promise.batch().number()));
        Map<Long, Folded> states = folding.apply(ids);
        Map<Long, Map<TrayId, Double>> rooms = roomOfTrays(ids);
        return batches.stream()
                .map(batch -> {
                    Long id = batch.id().number();
                    Folded folded = states.getOrDefault(id, RecordReader.NOTHING_RECORDED);
                    return new BatchFile(
                                    batch,
                                    runs.getOrDefault(id, List.of()).stream()
                                            .map(BatchFiles::run)
                                            .toList(),
                                    promises.getOrDefault(id, List.of()),
                                    folded.state(),
                                    rooms.getOrDefault(id, Map.of()),
                                    folded.trouble())
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
        Long[] grown = reaches.keySet().stream()
                .filter(batch -> !still.containsKey(batch))
                .toArray(Long[]::new);
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

    /** The batches that lie in a tray or are planned into it. */
    List<BatchFile> in(TrayId tray) {
        return mapper.numbersInTray(tray.number()).stream().map(this::file).toList();
    }

    private static CellRun run(BatchMapper.RunRow row) {
        return new CellRun(new TrayId(row.trayId()), row.firstCell(), row.lastCell());
    }
}
