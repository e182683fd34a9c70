package kiver.core.batch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import kiver.core.place.PlaceId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/**
 * A batch as it stands after its recorded changes. The only way to one is through {@link #after}, so every path
 * crosses the same checks: nothing is counted in a cell that was not sown, nothing leaves that is not alive.
 */
public final class BatchState {

    private final SortedMap<Cell, CellState> cells = new TreeMap<>();
    private final List<RecordedChange> changes;
    private final Set<Integer> corrected = new HashSet<>();
    private final List<Placement> placements = new ArrayList<>();
    private final Map<TrayId, PlaceId> placeOfTray = new HashMap<>();
    private final Set<TrayId> leftUnsown = new HashSet<>();
    private final Set<TrayId> completelyCounted = new HashSet<>();
    private final SortedMap<LocalDate, Integer> cellsUp = new TreeMap<>();
    private LocalDate sownOn;
    private LocalDate hardeningStartedOn;
    private LocalDate hardenedOn;
    private int programmeDays;
    private int hardeningDays;
    private LocalDate lastHardeningDay;
    private final SortedSet<LocalDate> pottingDays = new TreeSet<>();

    /**
     * Where the batch stood from a day on.
     *
     * @param place the place
     * @param from first day there
     */
    public record Placement(PlaceId place, LocalDate from) {}

    private BatchState(List<RecordedChange> changes) {
        this.changes = List.copyOf(changes);
    }

    /**
     * The state after a record of changes; corrected ones count no more. Changes count in the order of the days on
     * which they happened, and of one day in the order in which they were recorded: a count that comes in late takes
     * its place before what was seen after it.
     *
     * @throws ChangeRefused when a change cannot be true of the batch as it stood then
     */
    public static BatchState after(List<RecordedChange> changes) {
        BatchState state = new BatchState(changes);
        for (int index = changes.size() - 1; index >= 0; index--) {
            RecordedChange recorded = changes.get(index);
            if (recorded.change() instanceof BatchChange.Corrected correction
                    && !state.corrected.contains(recorded.sequence())) {
                state.corrected.add(correction.sequence());
            }
        }
        changes.stream()
                .filter(recorded -> !state.corrected.contains(recorded.sequence()))
                .sorted(Comparator.comparing(RecordedChange::day).thenComparing(RecordedChange::sequence))
                .forEach(state::apply);
        return state;
    }

    /**
     * The state after one change more; this one is left as it is.
     *
     * @throws ChangeRefused when the change cannot be true
     */
    public BatchState after(LocalDate day, BatchChange change) {
        if (change instanceof BatchChange.Corrected correction) {
            requireCorrectable(correction.sequence());
        }
        if (!(change instanceof BatchChange.Sown) && day.isBefore(sownOn == null ? day : sownOn)) {
            throw new ChangeRefused("day", "The batch was sown on " + sownOn + "; this cannot have happened before.");
        }
        List<RecordedChange> longer = new ArrayList<>(changes);
        longer.add(new RecordedChange(changes.size() + 1, day, change));
        try {
            return after(longer);
        } catch (ChangeRefused refusal) {
            if (change instanceof BatchChange.Corrected) {
                throw new ChangeRefused("sequence",
                        "This cannot be undone, because later changes rest on it: " + refusal.getMessage());
            }
            throw refusal;
        }
    }

    private void requireCorrectable(int sequence) {
        RecordedChange target = changes.stream()
                .filter(recorded -> recorded.sequence() == sequence)
                .findFirst()
                .orElseThrow(() -> new ChangeRefused("sequence", "There is no change " + sequence + " in this batch."));
        if (corrected.contains(sequence)) {
            throw new ChangeRefused("sequence", "This change was undone before.");
        }
    }

    private void apply(RecordedChange recorded) {
        LocalDate day = recorded.day();
        BatchChange change = recorded.change();
        if (change instanceof BatchChange.Sown sown) {
            sow(recorded.sequence(), day, sown);
        } else if (change instanceof BatchChange.LeftUnsown left) {
            leftUnsown.add(left.tray());
        } else if (change instanceof BatchChange.Counted counted) {
            count(day, counted);
        } else if (change instanceof BatchChange.Lost lost) {
            changeAll(lost.tray(), lost.cells(), Set.of(CellCondition.ALIVE, CellCondition.WAITING), CellCondition.LOST);
        } else if (change instanceof BatchChange.PottedOn potted) {
            potOn(day, potted);
        } else if (change instanceof BatchChange.Moved moved) {
            requireSown();
            move(day, moved);
        } else if (change instanceof BatchChange.HardeningStarted started) {
            startHardening(day, started);
        } else if (change instanceof BatchChange.HardenedForDay) {
            hardenForDay(day);
        } else if (change instanceof BatchChange.HardeningEnded) {
            requireHardening();
            hardenedOn = day;
        } else if (change instanceof BatchChange.Released released) {
            changeAll(released.tray(), released.cells(), Set.of(CellCondition.ALIVE), CellCondition.RELEASED);
        }
    }

    private void sow(int sequence, LocalDate day, BatchChange.Sown sown) {
        for (Cell cell : sown.run().cells()) {
            if (cells.putIfAbsent(cell, CellState.sown(sown.seedsPerCell(), sequence)) != null) {
                throw new ChangeRefused("run", "Cell " + cell.number() + " of this tray is sown already.");
            }
        }
        placeOfTray.put(sown.run().tray(), sown.place());
        leftUnsown.remove(sown.run().tray());
        if (sownOn == null) {
            sownOn = day;
            placements.add(new Placement(sown.place(), day));
        }
    }

    private void move(LocalDate day, BatchChange.Moved moved) {
        Collection<TrayId> going = moved.trays().isEmpty() ? trays() : moved.trays();
        for (TrayId tray : going) {
            if (!placeOfTray.containsKey(tray)) {
                throw new ChangeRefused("trays", "One of these trays holds nothing of this batch.");
            }
            placeOfTray.put(tray, moved.place());
        }
        PlaceId most = placeOfMost();
        if (!most.equals(placements.get(placements.size() - 1).place())) {
            placements.add(new Placement(most, day));
        }
    }

    /** The place where most of its trays stand; of two with as many the one it was at before. */
    private PlaceId placeOfMost() {
        PlaceId before = placements.get(placements.size() - 1).place();
        Map<PlaceId, Integer> count = new HashMap<>();
        trays().forEach(tray -> count.merge(placeOfTray.get(tray), 1, Integer::sum));
        return count.entrySet().stream()
                .max(Comparator.<Map.Entry<PlaceId, Integer>>comparingInt(Map.Entry::getValue)
                        .thenComparing(entry -> entry.getKey().equals(before))
                        .thenComparing(entry -> -entry.getKey().number()))
                .map(Map.Entry::getKey)
                .orElse(before);
    }

    private void count(LocalDate day, BatchChange.Counted counted) {
        requireSown();
        new TreeMap<>(counted.seedlings()).forEach((number, seedlings) ->
                see(new Cell(counted.tray(), number), before -> before.counted(seedlings)));
        counted.somethingUp().forEach(number -> see(new Cell(counted.tray(), number), CellState::seenUp));
        if (counted.complete()) {
            completelyCounted.add(counted.tray());
        }
        if (completelyCounted.contains(counted.tray())) {
            cells.replaceAll((cell, state) ->
                    cell.tray().equals(counted.tray()) && state.condition() == CellCondition.WAITING
                            ? state.with(CellCondition.EMPTY)
                            : state);
        }
        cellsUp.put(day, emerged());
    }

    private void see(Cell cell, UnaryOperator<CellState> seen) {
        CellState before = sownCell(cell, "seedlings");
        if (before.condition() == CellCondition.LOST || before.condition() == CellCondition.RELEASED) {
            throw new ChangeRefused("seedlings", "The plant of cell " + cell.number() + " is "
                    + before.condition().name().toLowerCase(Locale.ROOT)
                    + " already; undo that first if it is wrong.");
        }
        cells.put(cell, seen.apply(before));
    }

    private void potOn(LocalDate day, BatchChange.PottedOn potted) {
        List<Cell> into = potted.into().cells();
        for (int index = 0; index < into.size(); index++) {
            Cell from = new Cell(potted.from(), potted.cells().get(index));
            CellState before = sownCell(from, "cells");
            if (before.condition() != CellCondition.ALIVE) {
                throw new ChangeRefused("cells", "Cell " + from.number() + " holds no living plant to pot on.");
            }
            if (cells.containsKey(into.get(index))) {
                throw new ChangeRefused("into", "Place " + into.get(index).number() + " of that tray is taken already.");
            }
            cells.remove(from);
            cells.put(into.get(index), before);
        }
        if (completelyCounted.contains(potted.from())) {
            completelyCounted.add(potted.into().tray());
        }
        placeOfTray.putIfAbsent(potted.into().tray(), placeOfTray.get(potted.from()));
        pottingDays.add(day);
    }

    private void startHardening(LocalDate day, BatchChange.HardeningStarted started) {
        requireSown();
        if (balance().alive() == 0) {
            throw new ChangeRefused("batch", "No plant of this batch is alive, so none can be hardened.");
        }
        if (hardeningStartedOn != null) {
            throw new ChangeRefused("batch", "Hardening of this batch began on " + hardeningStartedOn + " already.");
        }
        hardeningStartedOn = day;
        programmeDays = started.programmeDays();
        trays().forEach(tray -> placeOfTray.put(tray, started.place()));
        placements.add(new Placement(started.place(), day));
    }

    private void hardenForDay(LocalDate day) {
        requireHardening();
        if (day.equals(lastHardeningDay)) {
            throw new ChangeRefused("day", "The hardening of " + day + " is recorded already.");
        }
        lastHardeningDay = day;
        hardeningDays++;
    }

    private void requireHardening() {
        if (hardeningStartedOn == null || hardenedOn != null) {
            throw new ChangeRefused("batch", "This batch is not being hardened off.");
        }
    }

    private void requireSown() {
        if (sownOn == null) {
            throw new ChangeRefused("batch", "This batch is not sown yet.");
        }
    }

    private void changeAll(TrayId tray, List<Integer> numbers, Set<CellCondition> from, CellCondition to) {
        for (int number : numbers) {
            Cell cell = new Cell(tray, number);
            CellState before = sownCell(cell, "cells");
            if (!from.contains(before.condition())) {
                throw new ChangeRefused("cells", "Cell " + number + " holds no living plant; take it out of the choice.");
            }
            cells.put(cell, before.with(to));
        }
    }

    private CellState sownCell(Cell cell, String field) {
        CellState state = cells.get(cell);
        if (state == null) {
            throw new ChangeRefused(field, "Cell " + cell.number() + " of this tray is not sown with this batch.");
        }
        return state;
    }

    /** Where the batch is on its path. */
    public BatchStage stage() {
        Balance balance = balance();
        if (sownOn == null) {
            return BatchStage.PLANNED;
        }
        if (balance.alive() + balance.waiting() == 0) {
            return balance.released() > 0 ? BatchStage.RELEASED : BatchStage.FAILED;
        }
        if (hardenedOn != null) {
            return BatchStage.READY;
        }
        if (hardeningStartedOn != null) {
            return BatchStage.HARDENING_OFF;
        }
        if (balance.waiting() == 0) {
            return BatchStage.GROWING_ON;
        }
        return emerged() > 0 ? BatchStage.EMERGING : BatchStage.SOWN;
    }

    /** The account of its cells. */
    public Balance balance() {
        return new Balance(
                cells.size(),
                in(CellCondition.WAITING),
                in(CellCondition.EMPTY),
                in(CellCondition.ALIVE),
                in(CellCondition.LOST),
                in(CellCondition.RELEASED));
    }

    /** Cells in which a seedling was ever seen, whatever became of it. */
    public int emerged() {
        return (int) cells.values().stream().filter(cell -> cell.seedlings() > 0).count();
    }

    private int in(CellCondition condition) {
        return (int) cells.values().stream().filter(cell -> cell.condition() == condition).count();
    }

    /** The sown cells and what is true of them, in the order of trays and cells. */
    public SortedMap<Cell, CellState> cells() {
        return Collections.unmodifiableSortedMap(cells);
    }

    /** The trays it lies in, in order. */
    public Collection<TrayId> trays() {
        TreeSet<Long> numbers = new TreeSet<>();
        cells.keySet().forEach(cell -> numbers.add(cell.tray().number()));
        return numbers.stream().map(TrayId::new).toList();
    }

    /** The numbers of its cells in a tray that are in a condition, rising. */
    public List<Integer> cellsIn(TrayId tray, CellCondition condition) {
        return cells.entrySet().stream()
                .filter(entry -> entry.getKey().tray().equals(tray) && entry.getValue().condition() == condition)
                .map(entry -> entry.getKey().number())
                .toList();
    }

    /** All changes, corrected ones included. */
    public List<RecordedChange> changes() {
        return changes;
    }

    /** Whether a later change took this one back. */
    public boolean isCorrected(int sequence) {
        return corrected.contains(sequence);
    }

    /** Cells with something up, by day of counting; the last state of each day. */
    public SortedMap<LocalDate, Integer> cellsUp() {
        return Collections.unmodifiableSortedMap(cellsUp);
    }

    /** The day of its last sowing change that counts, if it is sown. */
    public Optional<LocalDate> sownOn() {
        return Optional.ofNullable(sownOn);
    }

    /** Where it stood, in order of time. */
    public List<Placement> placements() {
        return List.copyOf(placements);
    }

    /** Where it stands now, if it is sown. */
    public Optional<PlaceId> place() {
        return placements.isEmpty()
                ? Optional.empty()
                : Optional.of(placements.get(placements.size() - 1).place());
    }

    /** Where one of its trays stands. */
    public Optional<PlaceId> placeOf(TrayId tray) {
        return Optional.ofNullable(placeOfTray.get(tray));
    }

    /** When plants of it were last potted on, if any were. */
    public Optional<LocalDate> lastPottedOn() {
        return pottingDays.isEmpty() ? Optional.empty() : Optional.of(pottingDays.last());
    }

    /** The days on which plants of it were potted on. */
    public SortedSet<LocalDate> pottingDays() {
        return Collections.unmodifiableSortedSet(pottingDays);
    }

    /**
     * Plants in cells as a grower counts them: one to a cell, or every seedling of clumps that are never parted. A clump
     * that was only seen to be up counts as the clumps do that were counted.
     *
     * @param counted conditions of the cells that count
     * @param clumps whether seedlings are counted
     */
    public int plants(Set<CellCondition> counted, boolean clumps) {
        return plants(cells.values().stream().filter(cell -> counted.contains(cell.condition())).toList(), clumps);
    }

    /** Plants in some of its cells, counted likewise. */
    public int plants(Collection<CellState> chosen, boolean clumps) {
        if (!clumps) {
            return chosen.size();
        }
        double sure = chosen.stream().filter(cell -> !cell.onlySeen()).mapToInt(CellState::seedlings).sum();
        double seen = chosen.stream().filter(CellState::onlySeen).count() * meanClump();
        return (int) Math.round(sure + seen);
    }

    /** Seedlings to a clump as far as clumps were counted; where none was, four of five seeds. */
    private double meanClump() {
        return cells.values().stream()
                .filter(cell -> cell.seedlings() > 0 && !cell.onlySeen())
                .mapToInt(CellState::seedlings)
                .average()
                .orElseGet(() -> cells.values().stream().mapToInt(CellState::seeds).average().orElse(1) * 0.8);
    }

    /** When hardening began, if it did. */
    public Optional<LocalDate> hardeningStartedOn() {
        return Optional.ofNullable(hardeningStartedOn);
    }

    /** When it was found hardened, if it was. */
    public Optional<LocalDate> hardenedOn() {
        return Optional.ofNullable(hardenedOn);
    }

    /** The last day of hardening that was recorded, if any. */
    public Optional<LocalDate> lastHardeningDay() {
        return Optional.ofNullable(lastHardeningDay);
    }

    /** Days of hardening had so far. */
    public int hardeningDays() {
        return hardeningDays;
    }

    /** Days that its programme takes; 0 before hardening. */
    public int programmeDays() {
        return programmeDays;
    }

    /** Whether the last look at every tray has been taken. */
    public boolean isCompletelyCounted() {
        return sownOn != null && completelyCounted.containsAll(trays());
    }

    /** The sowings that count, by their sequence, earliest first. */
    public SortedMap<Integer, Sowing> sowings() {
        SortedMap<Integer, Sowing> sowings = new TreeMap<>();
        for (RecordedChange recorded : changes) {
            if (recorded.change() instanceof BatchChange.Sown sown && !isCorrected(recorded.sequence())) {
                sowings.put(recorded.sequence(), new Sowing(sown, recorded.day()));
            }
        }
        return sowings;
    }

    /**
     * A sowing and when it was.
     *
     * @param sown what went where
     * @param day on which
     */
    public record Sowing(BatchChange.Sown sown, LocalDate day) {}

    /**
     * What of the cells set aside for the batch still waits to be sown: all but those in trays that were left unsown
     * on purpose.
     *
     * @param setAside runs planned for it
     */
    public List<CellRun> toSow(List<CellRun> setAside) {
        Set<Cell> sown = new HashSet<>();
        sowings().values().forEach(sowing -> sown.addAll(sowing.sown().run().cells()));
        List<CellRun> waiting = new ArrayList<>();
        for (CellRun run : setAside) {
            if (leftUnsown.contains(run.tray())) {
                continue;
            }
            int first = 0;
            for (int number = run.first(); number <= run.last() + 1; number++) {
                boolean free = number <= run.last() && !sown.contains(new Cell(run.tray(), number));
                if (free && first == 0) {
                    first = number;
                } else if (!free && first > 0) {
                    waiting.add(new CellRun(run.tray(), first, number - 1));
                    first = 0;
                }
            }
        }
        return List.copyOf(waiting);
    }
}
