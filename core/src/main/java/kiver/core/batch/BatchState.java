package kiver.core.batch;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.function.Predicate;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.jspecify.annotations.Nullable;

/**
 * A batch as it stands after its recorded changes. The only way to one is through {@link #after}, so every path
 * crosses the same checks: nothing is counted in a cell that was not sown, nothing leaves that is not alive.
 */
public final class BatchState {

    private final List<RecordedChange> changes;
    private final Set<Integer> corrected = new HashSet<>();
    private final BatchFold fold = new BatchFold();

    // Asked for many times; worked out when first asked. Two who do so at once find the same.
    private @Nullable Balance balance;
    private @Nullable List<TrayId> trays;
    private @Nullable ComingsAndGoings comingsAndGoings;
    private @Nullable Integer emerged;
    private @Nullable Boolean anyMixed;
    private @Nullable ToSow toSow;

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
     * The state after a record of changes; corrected ones count no more. Changes count in the order in which they
     * happened, as far as days and times tell, and otherwise in the order in which they were recorded: a count that comes
     * in late takes its place before what was seen after it.
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
        RecordedChange.asTheyHappened(changes).stream()
                .filter(recorded -> !state.corrected.contains(recorded.sequence()))
                .forEach(state.fold::apply);
        return state;
    }

    /**
     * The state after one change more; this one is left as it is.
     *
     * @throws ChangeRefused when the change cannot be true
     */
    public BatchState after(LocalDate day, BatchChange change) {
        return after(day, Optional.empty(), change);
    }

    /**
     * The same where the time of day may be known.
     *
     * @throws ChangeRefused when the change cannot be true
     */
    public BatchState after(LocalDate day, Optional<LocalTime> time, BatchChange change) {
        if (change instanceof BatchChange.Corrected correction) {
            requireCorrectable(correction.sequence());
        }
        boolean mayComeBefore = change instanceof BatchChange.Sown
                || change instanceof BatchChange.BroughtIn
                || change instanceof BatchChange.Noted;
        LocalDate began = fold.sownOn;
        if (!mayComeBefore && began != null && day.isBefore(began)) {
            throw new ChangeRefused("day", new ChangeFault.BeforeSowing(began));
        }
        List<RecordedChange> longer = new ArrayList<>(changes);
        longer.add(new RecordedChange(changes.size() + 1, day, time, change));
        try {
            return after(longer);
        } catch (ChangeRefused refusal) {
            if (change instanceof BatchChange.Corrected) {
                throw new ChangeRefused("sequence", new ChangeFault.LaterRestOnIt(refusal.fault()));
            }
            throw refusal;
        }
    }

    private void requireCorrectable(int sequence) {
        if (changes.stream().noneMatch(recorded -> recorded.sequence() == sequence)) {
            throw new ChangeRefused("sequence", new ChangeFault.NoSuchEntry(sequence));
        }
        if (corrected.contains(sequence)) {
            throw new ChangeRefused("sequence", new ChangeFault.UndoneBefore());
        }
    }

    /** Where the batch is on its path. */
    public BatchStage stage() {
        Balance balance = balance();
        if (fold.sownOn == null) {
            return BatchStage.PLANNED;
        }
        if (balance.alive() + balance.waiting() == 0) {
            return balance.released() > 0 ? BatchStage.RELEASED : BatchStage.FAILED;
        }
        if (fold.hardenedOn != null) {
            return BatchStage.READY;
        }
        if (fold.hardeningStartedOn != null) {
            return BatchStage.HARDENING_OFF;
        }
        if (balance.waiting() == 0) {
            return BatchStage.GROWING_ON;
        }
        return emerged() > 0 ? BatchStage.EMERGING : BatchStage.SOWN;
    }

    /** The account of its cells. */
    public Balance balance() {
        if (balance == null) {
            Map<CellCondition, Integer> in = new EnumMap<>(CellCondition.class);
            fold.cells.values().forEach(cell -> in.merge(cell.condition(), 1, Integer::sum));
            balance = new Balance(
                    fold.cells.size(),
                    in.getOrDefault(CellCondition.WAITING, 0),
                    in.getOrDefault(CellCondition.EMPTY, 0),
                    in.getOrDefault(CellCondition.ALIVE, 0),
                    in.getOrDefault(CellCondition.LOST, 0),
                    in.getOrDefault(CellCondition.RELEASED, 0));
        }
        return balance;
    }

    /** Whether nobody is sure what some of its plants are, or were. */
    public boolean isAnyMixed() {
        if (anyMixed == null) {
            anyMixed = fold.cells.values().stream().anyMatch(CellState::mixed);
        }
        return anyMixed;
    }

    /** Cells in which a seedling was ever seen, whatever became of it. */
    public int emerged() {
        if (emerged == null) {
            emerged = fold.account.emerged();
        }
        return emerged;
    }

    /** The sown cells and what is true of them, in the order of trays and cells. */
    public SortedMap<Cell, CellState> cells() {
        return Collections.unmodifiableSortedMap(fold.cells);
    }

    /** The trays it lies in, in order. */
    public Collection<TrayId> trays() {
        if (trays == null) {
            trays = List.copyOf(fold.account.trays());
        }
        return trays;
    }

    /** From its first to its last cell in a tray, whatever lies between; empty where it has none there. */
    public Optional<CellRun> spanIn(TrayId tray) {
        IntSummaryStatistics numbers = fold.cells.keySet().stream()
                .filter(cell -> cell.tray().equals(tray))
                .mapToInt(Cell::number)
                .summaryStatistics();
        return numbers.getCount() == 0
                ? Optional.empty()
                : Optional.of(new CellRun(tray, numbers.getMin(), numbers.getMax()));
    }

    /** The numbers of its cells in a tray that are in a condition, rising. */
    public List<Integer> cellsIn(TrayId tray, CellCondition condition) {
        return fold.cells.entrySet().stream()
                .filter(entry ->
                        entry.getKey().tray().equals(tray) && entry.getValue().condition() == condition)
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
        return Collections.unmodifiableSortedMap(fold.cellsUp);
    }

    /** The day on which it began here, sown or brought in, if it has. */
    public Optional<LocalDate> sownOn() {
        return Optional.ofNullable(fold.sownOn);
    }

    /** Where it stood, in order of time. */
    public List<Placement> placements() {
        return List.copyOf(fold.placements);
    }

    /** Where it stands now, if it is sown. */
    public Optional<PlaceId> place() {
        return fold.placements.isEmpty()
                ? Optional.empty()
                : Optional.of(fold.placements.get(fold.placements.size() - 1).place());
    }

    /** Where one of its trays stands. */
    public Optional<PlaceId> placeOf(TrayId tray) {
        return Optional.ofNullable(fold.placeOfTray.get(tray));
    }

    /** When plants of it were last potted on, if any were. */
    public Optional<LocalDate> lastPottedOn() {
        return fold.pottingDays.isEmpty() ? Optional.empty() : Optional.of(fold.pottingDays.last());
    }

    /** By which its plants in a tray were parted from the others when they were potted. */
    public Grade gradeOf(TrayId tray) {
        return fold.gradeOfTray.getOrDefault(tray, Grade.STANDARD);
    }

    /** When plants of it were looked at closely, and what was seen. */
    public SortedMap<LocalDate, LookedOver> looks() {
        return Collections.unmodifiableSortedMap(fold.looks);
    }

    /** How far its roots had come when they were last looked at, in what it stands in now. */
    public Optional<RootsSeen> roots() {
        LocalDate filled = lastPottedOn().orElse(LocalDate.MIN);
        return fold.looks.tailMap(filled).values().stream()
                .flatMap(look -> look.roots().stream())
                .reduce((earlier, later) -> later);
    }

    /** The days on which plants of it were potted on. */
    public SortedSet<LocalDate> pottingDays() {
        return Collections.unmodifiableSortedSet(fold.pottingDays);
    }

    /**
     * Plants in cells as a grower counts them: one to a cell, or every seedling of clumps that are never parted. A clump
     * that was only seen to be up counts as the clumps do that were counted.
     *
     * @param counted conditions of the cells that count
     * @param clumps whether seedlings are counted
     */
    public int plants(Set<CellCondition> counted, boolean clumps) {
        return plants(cell -> counted.contains(cell.condition()), clumps);
    }

    /** Plants in its cells of which something is true, counted likewise. */
    public int plants(Predicate<CellState> counts, boolean clumps) {
        if (clumps) {
            return plants(fold.cells.values().stream().filter(counts).toList(), true);
        }
        int plants = 0;
        for (CellState cell : fold.cells.values()) {
            plants += counts.test(cell) ? 1 : 0;
        }
        return plants;
    }

    /** Plants in some of its cells, counted likewise. */
    public int plants(Collection<CellState> chosen, boolean clumps) {
        return clumps ? ClumpCount.seedlings(chosen, fold.cells.values()) : chosen.size();
    }

    /** When hardening began, if it did. */
    public Optional<LocalDate> hardeningStartedOn() {
        return Optional.ofNullable(fold.hardeningStartedOn);
    }

    /** When it was found hardened, if it was. */
    public Optional<LocalDate> hardenedOn() {
        return Optional.ofNullable(fold.hardenedOn);
    }

    /** The last day of hardening that was recorded, if any. */
    public Optional<LocalDate> lastHardeningDay() {
        return Optional.ofNullable(fold.lastHardeningDay);
    }

    /** Days of hardening had so far. */
    public int hardeningDays() {
        return fold.hardeningDays;
    }

    /** Days that its programme takes; 0 before hardening. */
    public int programmeDays() {
        return fold.programmeDays;
    }

    /** Whether the last look at every tray has been taken. */
    public boolean isCompletelyCounted() {
        return fold.sownOn != null && fold.completelyCounted.containsAll(trays());
    }

    /** The sowings that count, by their sequence, earliest first. */
    public SortedMap<Integer, Sowing> sowings() {
        return comingsAndGoings().sowings();
    }

    /** The arrivals of plants raised elsewhere that count, by their sequence, earliest first. */
    public SortedMap<Integer, Arrival> arrivals() {
        return comingsAndGoings().arrivals();
    }

    /** What left with growers and was not taken back, in the order in which it was recorded. */
    public List<DatedRelease> releases() {
        return comingsAndGoings().releases();
    }

    private ComingsAndGoings comingsAndGoings() {
        if (comingsAndGoings == null) {
            comingsAndGoings = ComingsAndGoings.of(changes, corrected);
        }
        return comingsAndGoings;
    }

    /**
     * The lot or consignment that the plant of a cell came from.
     *
     * @param sequence of its sowing or arrival
     */
    public LotId lotOf(int sequence) {
        Arrival arrival = arrivals().get(sequence);
        return arrival != null
                ? arrival.plants().lot()
                : Objects.requireNonNull(sowings().get(sequence)).sown().lot();
    }

    /**
     * An arrival and when it was.
     *
     * @param plants what stands where
     * @param day on which
     */
    public record Arrival(BatchChange.BroughtIn plants, LocalDate day) {}

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
        ToSow known = toSow;
        if (known == null || known.setAside() != setAside) {
            known = ToSow.of(setAside, fold.leftUnsown, comingsAndGoings().begun());
            toSow = known;
        }
        return known.left();
    }
}
