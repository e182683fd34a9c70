package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.batch.DatedRelease;
import kiver.core.crop.Descent;
import kiver.core.order.LineId;
import kiver.core.order.PlantShares;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.core.sow.Allowances;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/**
 * A batch with everything recorded of it.
 *
 * @param batch as planned
 * @param runs of cells set aside for it
 * @param promises of its plants, whoever was promised first coming first; none for a batch for nobody yet
 * @param state after all that was recorded
 * @param roomOfTrays share of the room of a whole tray that it takes in each that is cut or shared, above 0 and below 1
 * @param trouble why its record cannot be read to its end; empty for a whole one
 */
public record BatchFile(
        Batch batch,
        List<CellRun> runs,
        List<Promised> promises,
        BatchState state,
        Map<TrayId, Double> roomOfTrays,
        Optional<BatchTrouble> trouble) {

    /** A batch whose record is whole. */
    public BatchFile(Batch batch, List<CellRun> runs, List<Promised> promises, BatchState state) {
        this(batch, runs, promises, state, Map.of(), Optional.empty());
    }

    public BatchFile {
        runs = List.copyOf(runs);
        promises = List.copyOf(promises);
        roomOfTrays = Map.copyOf(roomOfTrays);
    }

    /** The same grown for the day of the first line that still waits for its plants. */
    public BatchFile forItsLines() {
        Map<LineId, Integer> released = releasedByLine();
        return promises.stream()
                .filter(promise -> released.getOrDefault(promise.line(), 0) < promise.accepted())
                .map(Promised::target)
                .min(LocalDate::compareTo)
                .or(() -> promises.stream().map(Promised::target).max(LocalDate::compareTo))
                .filter(target -> !target.equals(batch.target()))
                .map(target -> with(batch.wantedOn(target)))
                .orElse(this);
    }

    /** Share of the room of a whole tray that it takes in one: 1, or less where that is cut or shared. */
    public double roomOf(TrayId tray) {
        return roomOfTrays.getOrDefault(tray, 1.0);
    }

    /** The same planned otherwise. */
    public BatchFile with(Batch otherwise) {
        return new BatchFile(otherwise, runs, promises, state, roomOfTrays, trouble);
    }

    /** The same with one promise more. */
    public BatchFile promising(Promised another) {
        List<Promised> more = new ArrayList<>(promises);
        more.add(another);
        return new BatchFile(batch, runs, more, state, roomOfTrays, trouble);
    }

    /** Plants that have gone with each line, counted as orders count them; a line of which nothing has gone is missing. */
    public Map<LineId, Integer> releasedByLine() {
        Map<LineId, Integer> released = new HashMap<>();
        releases().forEach(part -> released.merge(part.line(), plantsOf(part), Integer::sum));
        return released;
    }

    /** The lot it was sown from, or is to be. */
    public LotId lotSown() {
        return state.sowings().values().stream()
                .findFirst()
                .map(sowing -> sowing.sown().lot())
                .orElse(batch.lot());
    }

    /** What its plants are of. */
    public Descent descent() {
        return new Descent(
                batch.crop(),
                batch.varietyId(),
                batch.isBoughtIn() ? Descent.ANY : lotSown().number());
    }

    /** What of it left with growers and was not taken back. */
    public List<BatchChange.Released> releases() {
        return state.releases().stream().map(DatedRelease::plants).toList();
    }

    /**
     * Plants that each line can count on: what has gone with it, and its part of what lives or is planned, whoever was
     * promised first coming first.
     */
    public Map<LineId, Integer> plantsByLine() {
        Map<LineId, Integer> released = releasedByLine();
        int left = state.stage() == BatchStage.FAILED ? 0 : plantsToCountOn();
        Map<LineId, Integer> plants = new HashMap<>();
        for (Promised promise : promises) {
            int gone = released.getOrDefault(promise.line(), 0);
            int part = Math.max(0, Math.min(left, promise.plants() - gone));
            left -= part;
            plants.put(promise.line(), gone + part);
        }
        return plants;
    }

    private boolean isCounted() {
        return state.sownOn().isPresent() && toSow().isEmpty() && state.isCompletelyCounted();
    }

    /** Those alive once all is counted, those planned before; what is mixed is neither. */
    private int plantsToCountOn() {
        return isCounted() ? plantsAlive() : Math.max(0, batch.plants() - plantsReleased() - plantsMixed());
    }

    /** How its plants are shared out on a day. */
    public PlantShares shares(LocalDate today) {
        boolean counted = isCounted();
        Map<LineId, Integer> released = releasedByLine();
        Map<LineId, LocalDate> last = new HashMap<>();
        state.releases()
                .forEach(gone ->
                        last.merge(gone.plants().line(), gone.day(), (one, other) -> one.isAfter(other) ? one : other));
        return PlantShares.of(
                plantsToCountOn(),
                counted,
                promises.stream()
                        .map(promise -> new PlantShares.Part(
                                promise.plants(),
                                promise.accepted(),
                                released.getOrDefault(promise.line(), 0),
                                Optional.ofNullable(last.get(promise.line()))))
                        .toList(),
                Allowances.USUAL.spareShare(),
                today);
    }

    /** Whether its number counts the seedlings of its clumps, not its cells. */
    public boolean countsSeedlings() {
        return batch.containerPath() == ContainerPath.Kind.CLUMPS
                && !batch.aim().inClumps();
    }

    /** Plants on hand of which one knows what they are, counted as orders count them. */
    public int plantsAlive() {
        return state.plants(CellState::livesUnderItsName, countsSeedlings());
    }

    /** Plants on hand of which nobody is sure what they are; they count for nothing that was promised. */
    public int plantsMixed() {
        return state.isAnyMixed() ? state.plants(CellState::livesMixed, countsSeedlings()) : 0;
    }

    /** Plants that have gone, counted as orders count them. */
    public int plantsReleased() {
        return state.plants(Set.of(CellCondition.RELEASED), countsSeedlings());
    }

    /** Plants of one release, counted as orders count them. */
    public int plantsOf(BatchChange.Released part) {
        List<CellState> cells = part.cells().stream()
                .map(number -> state.cells().get(new Cell(part.tray(), number)))
                .toList();
        return state.plants(cells, countsSeedlings());
    }

    /** What of the cells set aside still waits to be sown; nothing once the batch is over. */
    public List<CellRun> toSow() {
        boolean over = state.balance().released() > 0
                && state.balance().alive() + state.balance().waiting() == 0;
        return over ? List.of() : state.toSow(runs);
    }

    /** The fewest plants that are enough: for all that was promised of it, or for what it was planned to give. */
    public int accepted() {
        return promises.isEmpty()
                ? batch.aim().accepted()
                : promises.stream().mapToInt(Promised::accepted).sum();
    }

    /** The fewest plants that must still go for all of them to be enough; 0 when enough have gone. */
    public int stillWanted() {
        if (promises.isEmpty()) {
            return Math.max(0, accepted() - plantsReleased());
        }
        Map<LineId, Integer> released = releasedByLine();
        return promises.stream()
                .mapToInt(promise -> Math.max(0, promise.accepted() - released.getOrDefault(promise.line(), 0)))
                .sum();
    }

    /** Plants promised of it that have not gone, whether or not their growers would do with fewer. */
    public int plantsStillToGo() {
        Map<LineId, Integer> released = releasedByLine();
        return promises.stream()
                .mapToInt(promise -> Math.max(0, promise.plants() - released.getOrDefault(promise.line(), 0)))
                .sum();
    }

    /** Plants promised of it; what it was planned to give while it is for nobody. */
    public int wanted() {
        return promises.isEmpty()
                ? batch.plants()
                : promises.stream().mapToInt(Promised::plants).sum();
    }
}
