package kiver.server.pot;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.batch.ChangeFault;
import kiver.core.batch.ChangeRefused;
import kiver.core.batch.ClosingUp;
import kiver.core.crop.ContainerCode;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Moves seedlings between cells of trays of one kind; what is larger is potted on. */
@Service
class CellMoves {

    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final PlaceBook places;
    private final Requests requests;
    private final NurseryClock clock;

    CellMoves(
            BatchBook batches,
            TrayBook trays,
            CropBook crops,
            PlaceBook places,
            Requests requests,
            NurseryClock clock) {
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.places = places;
        this.requests = requests;
        this.clock = clock;
    }

    /** Cells of a numbered tray that go together; into a new tray, or the first cells open to them, where nothing is said. */
    record Move(
            int tray,
            List<Integer> cells,
            @Nullable Integer into,
            @Nullable List<Integer> goals) {}

    /** What would go where, and the trays that would come free. */
    record Proposal(List<Move> moves, List<Integer> emptied) {}

    /** What would have to be moved for a batch to stand in as few trays of each kind as it fills. */
    Proposal closingUp(int number) {
        BatchState state = batches.file(number).state();
        Map<ContainerCode, List<TrayId>> byKind = new LinkedHashMap<>();
        state.trays()
                .forEach(tray -> byKind.computeIfAbsent(trays.tray(tray).container(), kind -> new ArrayList<>())
                        .add(tray));
        List<Move> moves = new ArrayList<>();
        List<Integer> emptied = new ArrayList<>();
        byKind.values().forEach(kind -> {
            Map<TrayId, Set<Integer>> free = new LinkedHashMap<>();
            kind.forEach(tray -> free.put(tray, free(tray)));
            ClosingUp closing = ClosingUp.of(state, free);
            closing.moves()
                    .forEach(move ->
                            moves.add(new Move(number(move.from()), move.cells(), number(move.into()), move.goals())));
            closing.emptied().forEach(tray -> emptied.add(number(tray)));
        });
        return new Proposal(moves, emptied);
    }

    /**
     * Records what was moved.
     *
     * @param requestId the same on every retry
     * @param number of the batch
     * @param day on which it happened, or null for today
     * @param moves in order; all of them are recorded or none
     * @param placeId where the trays were put that they went to; null where they stay
     * @param by account number
     * @throws Refusal when a tray is of another kind, has too little room, or the day is still to come
     */
    @Transactional
    public void move(
            UUID requestId, int number, @Nullable LocalDate day, List<Move> moves, @Nullable Long placeId, Long by) {
        LocalDate happened = day == null ? clock.today() : day;
        if (happened.isAfter(clock.today())) {
            throw new Refusal("day", Said.of("This day is still to come."));
        }
        requests.once(requestId, Arrays.asList("moveCells", number, happened, moves, placeId, by), () -> {
            batches.lock(number);
            batches.record(number, happened, changes(number, happened, moves, placeId), by, requestId);
            return number;
        });
    }

    private List<BatchChange> changes(int number, LocalDate day, List<Move> moves, @Nullable Long placeId) {
        BatchState state = batches.file(number).state();
        List<BatchChange> changes = new ArrayList<>();
        Set<TrayId> reached = new LinkedHashSet<>();
        Map<ContainerCode, TrayId> begun = new LinkedHashMap<>();
        for (Move move : moves) {
            Tray from = trays.numbered(move.tray());
            TrayId into = move.into() == null
                    ? begun.computeIfAbsent(
                            from.container(), kind -> trays.add(kind).trayId())
                    : trays.numbered(move.into()).trayId();
            requireAlike(from, trays.tray(into));
            List<Integer> goals = move.goals() == null ? firstOpen(state, into, move.cells()) : move.goals();
            requireInside(into, goals);
            requireNotSetAside(number, into, goals);
            BatchChange change = new BatchChange.CellsMoved(from.trayId(), move.cells(), into, goals);
            // Where the next ones go depends on where these went.
            state = state.after(day, change);
            changes.add(change);
            reached.add(into);
        }
        if (placeId != null) {
            PlaceId place = new PlaceId(placeId);
            if (places.places().stream().noneMatch(each -> each.id().equals(place))) {
                throw new Refusal("placeId", Said.of("This place does not exist."));
            }
            changes.add(new BatchChange.Moved(place, List.copyOf(reached)));
        }
        return changes;
    }

    private void requireAlike(Tray from, Tray into) {
        if (!from.container().equals(into.container())) {
            throw new Refusal(
                    "into",
                    Said.of(
                                    "{into} is another kind of tray than {from}. Into larger cells plants are potted on; into other ones they do not go.")
                            .with("into", into.code())
                            .with("from", from.code()));
        }
    }

    private int cellsOf(TrayId id) {
        Tray tray = trays.tray(id);
        return tray.of(crops.container(tray.container())).cells();
    }

    private void requireInside(TrayId tray, List<Integer> cells) {
        int last = cellsOf(tray);
        cells.stream().filter(cell -> cell > last).findFirst().ifPresent(cell -> {
            throw new Refusal(
                    "goals",
                    Said.of("{tray} has {cells} cells; there is no cell {cell}.")
                            .with("tray", trays.tray(tray).code())
                            .with("cells", last)
                            .with("cell", cell));
        });
    }

    /** What another batch is to be sown into is not taken from it, though nothing stands there yet. */
    private void requireNotSetAside(int number, TrayId into, List<Integer> goals) {
        for (BatchFile other : batches.filesIn(into)) {
            if (other.batch().number() != number) {
                goals.stream()
                        .filter(goal -> other.toSow().stream()
                                .anyMatch(run -> run.cells().contains(new Cell(into, goal))))
                        .findFirst()
                        .ifPresent(goal -> {
                            throw new ChangeRefused(
                                    "goals",
                                    new ChangeFault.CellOfAnother(
                                            goal, other.batch().number()));
                        });
            }
        }
    }

    /** The first cells of a tray in which nothing of any batch stands or will, and gaps of this one. */
    private List<Integer> firstOpen(BatchState state, TrayId into, List<Integer> going) {
        Set<Integer> free = free(into);
        int last = cellsOf(into);
        List<Integer> open = IntStream.rangeClosed(1, last)
                .filter(cell -> {
                    CellState there = state.cells().get(new Cell(into, cell));
                    return there == null
                            ? free.contains(cell)
                            : there.condition() == CellCondition.EMPTY || there.condition() == CellCondition.LOST;
                })
                .boxed()
                .limit(going.size())
                .toList();
        if (open.size() < going.size()) {
            throw new Refusal(
                    "into",
                    Said.of("{tray} has room for {open}, not for {going}.")
                            .with("tray", trays.tray(into).code())
                            .with("open", open.size())
                            .with("going", going.size()));
        }
        return open;
    }

    /** Cells of a tray in which nothing of any batch is and for which nothing is set aside. */
    private Set<Integer> free(TrayId tray) {
        List<BatchFile> there = batches.filesIn(tray);
        int last = cellsOf(tray);
        return IntStream.rangeClosed(1, last)
                .filter(number -> {
                    Cell cell = new Cell(tray, number);
                    return there.stream()
                            .noneMatch(file -> file.state().cells().containsKey(cell)
                                    || file.toSow().stream()
                                            .anyMatch(run -> run.cells().contains(cell)));
                })
                .boxed()
                .collect(Collectors.toSet());
    }

    private int number(TrayId tray) {
        return trays.tray(tray).number();
    }
}
