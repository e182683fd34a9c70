package kiver.core.batch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.jspecify.annotations.Nullable;

/**
 * What a batch's changes add up to while they are gone through one after the other; nobody outside {@link BatchState}
 * holds one, so a state once reached is never changed.
 */
final class BatchFold {

    final SortedMap<Cell, CellState> cells = new TreeMap<>();
    final List<BatchState.Placement> placements = new ArrayList<>();
    final Map<TrayId, PlaceId> placeOfTray = new HashMap<>();
    final Set<TrayId> leftUnsown = new HashSet<>();
    final Set<TrayId> completelyCounted = new HashSet<>();
    final SortedMap<LocalDate, Integer> cellsUp = new TreeMap<>();
    final SortedSet<LocalDate> pottingDays = new TreeSet<>();
    final SortedMap<LocalDate, BatchChange.LookedOver> looks = new TreeMap<>();

    /** Sooner no root comes to the edge of what it was sown or potted into. */
    private static final int DAYS_TO_FILL = 5;

    private final Map<Integer, LotId> lotOfSowing = new HashMap<>();

    @Nullable
    LocalDate sownOn;

    @Nullable
    LocalDate hardeningStartedOn;

    @Nullable
    LocalDate hardenedOn;

    @Nullable
    LocalDate lastHardeningDay;

    int programmeDays;
    int hardeningDays;

    /** Lives through one change more; what cannot be true is refused. */
    void apply(RecordedChange recorded) {
        BatchChange change = recorded.change();
        if (change instanceof BatchChange.OfPlants plants) {
            apply(recorded.sequence(), recorded.day(), plants);
        } else if (change instanceof BatchChange.OfPlace place) {
            apply(recorded.day(), place);
        } else if (change instanceof BatchChange.OfHardening hardening) {
            apply(recorded.day(), hardening);
        } else if (change instanceof BatchChange.LookedOver look) {
            look(recorded.day(), look);
        } else if (!(change instanceof BatchChange.Corrected || change instanceof BatchChange.Noted)) {
            throw unknown(change);
        }
    }

    private void apply(int sequence, LocalDate day, BatchChange.OfPlants change) {
        if (change instanceof BatchChange.Sown sown) {
            sow(sequence, day, sown);
        } else if (change instanceof BatchChange.BroughtIn arrived) {
            bringIn(sequence, day, arrived);
        } else if (change instanceof BatchChange.LeftUnsown left) {
            leftUnsown.add(left.tray());
        } else if (change instanceof BatchChange.Counted counted) {
            count(day, counted);
        } else if (change instanceof BatchChange.Lost lost) {
            changeAll(
                    lost.tray(), lost.cells(), Set.of(CellCondition.ALIVE, CellCondition.WAITING), CellCondition.LOST);
        } else if (change instanceof BatchChange.PottedOn potted) {
            potOn(day, potted);
        } else if (change instanceof BatchChange.CellsMoved moved) {
            moveCells(moved);
        } else if (change instanceof BatchChange.Thinned thinned) {
            thin(thinned);
        } else if (change instanceof BatchChange.PrickedOut pricked) {
            prickOut(pricked);
        } else if (change instanceof BatchChange.Released released) {
            requireNamesAs(released);
            changeAll(released.tray(), released.cells(), Set.of(CellCondition.ALIVE), CellCondition.RELEASED);
        } else if (change instanceof BatchChange.Mixed mixed) {
            doubt(mixed.tray(), mixed.cells(), true);
        } else if (change instanceof BatchChange.Recognised recognised) {
            doubt(recognised.tray(), recognised.cells(), false);
        } else {
            throw unknown(change);
        }
    }

    private void look(LocalDate day, BatchChange.LookedOver look) {
        requireSown();
        if (cells.values().stream().noneMatch(cell -> cell.condition() == CellCondition.ALIVE)) {
            throw new ChangeRefused("leaves", new ChangeFault.NoneToLookAt());
        }
        LocalDate filled = pottingDays.isEmpty() ? sownOn : pottingDays.last();
        boolean reachFar = look.roots().filter(seen -> seen != RootsSeen.NONE).isPresent();
        if (reachFar && filled != null && day.isBefore(filled.plusDays(DAYS_TO_FILL))) {
            throw new ChangeRefused("roots", new ChangeFault.RootsTooSoon(filled));
        }
        looks.put(day, look);
    }

    private void apply(LocalDate day, BatchChange.OfPlace change) {
        if (change instanceof BatchChange.Moved moved) {
            requireSown();
            move(day, moved);
        } else {
            throw unknown(change);
        }
    }

    private void apply(LocalDate day, BatchChange.OfHardening change) {
        if (change instanceof BatchChange.HardeningStarted started) {
            startHardening(day, started);
        } else if (change instanceof BatchChange.HardenedForDay) {
            hardenForDay(day);
        } else if (change instanceof BatchChange.HardeningEnded) {
            requireHardening();
            hardenedOn = day;
        } else {
            throw unknown(change);
        }
    }

    /** Java 17 does not see that a family is handled whole; a change that is passed over would be a lie in the account. */
    private static IllegalStateException unknown(BatchChange change) {
        return new IllegalStateException(
                "No account is kept of " + change.getClass().getSimpleName() + ".");
    }

    private void sow(int sequence, LocalDate day, BatchChange.Sown sown) {
        lotOfSowing.put(sequence, sown.lot());
        fill(sown.run(), CellState.sown(sown.seedsPerCell(), sequence), sown.place(), day);
    }

    /** What arrives is up and counted; nothing more will come up in its trays. */
    private void bringIn(int sequence, LocalDate day, BatchChange.BroughtIn arrived) {
        lotOfSowing.put(sequence, arrived.lot());
        fill(arrived.run(), CellState.broughtIn(sequence), arrived.place(), day);
        completelyCounted.add(arrived.run().tray());
    }

    private void fill(CellRun run, CellState state, PlaceId place, LocalDate day) {
        for (Cell cell : run.cells()) {
            if (cells.putIfAbsent(cell, state) != null) {
                throw new ChangeRefused("run", new ChangeFault.CellSownAlready(cell.number()));
            }
        }
        placeOfTray.put(run.tray(), place);
        leftUnsown.remove(run.tray());
        if (sownOn == null) {
            sownOn = day;
            placements.add(new BatchState.Placement(place, day));
        }
    }

    private void move(LocalDate day, BatchChange.Moved moved) {
        Collection<TrayId> going = moved.trays().isEmpty() ? trays() : moved.trays();
        for (TrayId tray : going) {
            if (!placeOfTray.containsKey(tray)) {
                throw new ChangeRefused("trays", new ChangeFault.TrayHoldsNone());
            }
            placeOfTray.put(tray, moved.place());
        }
        PlaceId most = placeOfMost();
        if (!most.equals(placements.get(placements.size() - 1).place())) {
            placements.add(new BatchState.Placement(most, day));
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
        new TreeMap<>(counted.seedlings())
                .forEach((number, seedlings) ->
                        see(new Cell(counted.tray(), number), before -> before.counted(seedlings)));
        counted.somethingUp().forEach(number -> see(new Cell(counted.tray(), number), CellState::seenUp));
        if (counted.complete()) {
            completelyCounted.add(counted.tray());
        }
        if (completelyCounted.contains(counted.tray())) {
            cells.replaceAll(
                    (cell, state) -> cell.tray().equals(counted.tray()) && state.condition() == CellCondition.WAITING
                            ? state.with(CellCondition.EMPTY)
                            : state);
        }
        cellsUp.put(day, emerged());
    }

    private void see(Cell cell, UnaryOperator<CellState> seen) {
        CellState before = sownCell(cell, "seedlings");
        if (before.condition() == CellCondition.LOST || before.condition() == CellCondition.RELEASED) {
            throw new ChangeRefused("seedlings", new ChangeFault.PlantIsGone(cell.number(), before.condition()));
        }
        cells.put(cell, seen.apply(before));
    }

    private void potOn(LocalDate day, BatchChange.PottedOn potted) {
        List<Cell> into = potted.into().cells();
        for (int index = 0; index < into.size(); index++) {
            Cell from = new Cell(potted.from(), potted.cells().get(index));
            CellState before = sownCell(from, "cells");
            if (before.condition() != CellCondition.ALIVE) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(from.number()));
            }
            if (cells.containsKey(into.get(index))) {
                throw new ChangeRefused(
                        "into", new ChangeFault.PlaceIsTaken(into.get(index).number()));
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

    private void moveCells(BatchChange.CellsMoved moved) {
        List<CellState> going = new ArrayList<>();
        for (int number : moved.cells()) {
            Cell from = new Cell(moved.from(), number);
            CellState before = sownCell(from, "cells");
            if (before.condition() != CellCondition.ALIVE && before.condition() != CellCondition.WAITING) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(number));
            }
            going.add(before);
            cells.remove(from);
        }
        List<CellState> gaps = new ArrayList<>();
        for (int index = 0; index < going.size(); index++) {
            Cell goal = new Cell(moved.into(), moved.goals().get(index));
            CellState there = cells.put(goal, going.get(index));
            if (there != null) {
                if (there.condition() != CellCondition.EMPTY && there.condition() != CellCondition.LOST) {
                    throw new ChangeRefused("goals", new ChangeFault.PlaceIsTaken(goal.number()));
                }
                gaps.add(there);
            }
        }
        // There are as many cells left behind as there are gaps filled, or more.
        moved.cells().stream()
                .map(number -> new Cell(moved.from(), number))
                .filter(cell -> !cells.containsKey(cell))
                .limit(gaps.size())
                .toList()
                .forEach(left -> cells.put(left, gaps.remove(0)));
        boolean moreMayCome = going.stream().anyMatch(cell -> cell.condition() == CellCondition.WAITING);
        if (moreMayCome) {
            completelyCounted.remove(moved.into());
        } else if (!placeOfTray.containsKey(moved.into())) {
            completelyCounted.add(moved.into());
        }
        // A tray that is new to the batch stands beside the one that the plants left.
        placeOfTray.putIfAbsent(moved.into(), placeOfTray.get(moved.from()));
    }

    private void thin(BatchChange.Thinned thinned) {
        for (int number : thinned.cells()) {
            Cell cell = new Cell(thinned.tray(), number);
            CellState before = sownCell(cell, "cells");
            if (before.condition() != CellCondition.ALIVE) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(number));
            }
            if (before.isStandingKnown() && before.seedlings() <= thinned.left()) {
                throw new ChangeRefused(
                        "cells", new ChangeFault.NothingToThin(number, before.seedlings(), thinned.left()));
            }
            cells.put(cell, before.thinnedTo(thinned.left()));
        }
    }

    private void prickOut(BatchChange.PrickedOut pricked) {
        for (int index = 0; index < pricked.cells().size(); index++) {
            Cell from = new Cell(pricked.from(), pricked.cells().get(index));
            Cell into = new Cell(pricked.into(), pricked.goals().get(index));
            CellState giving = sownCell(from, "cells");
            if (giving.condition() != CellCondition.ALIVE) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(from.number()));
            }
            if (giving.isStandingKnown() && giving.seedlings() < 2) {
                throw new ChangeRefused("cells", new ChangeFault.OnlyOneSeedling(from.number()));
            }
            CellState gap = sownCell(into, "goals");
            if (gap.condition() != CellCondition.EMPTY) {
                throw new ChangeRefused("goals", new ChangeFault.CellNotGivenUp(into.number()));
            }
            if (!lotOfSowing.get(gap.sowing()).equals(lotOfSowing.get(giving.sowing()))) {
                throw new ChangeRefused("goals", new ChangeFault.CellOfAnotherLot(into.number()));
            }
            cells.put(from, giving.thinnedTo(giving.isStandingKnown() ? giving.seedlings() - 1 : 1));
            cells.put(into, gap.filledFrom(giving));
        }
    }

    private void startHardening(LocalDate day, BatchChange.HardeningStarted started) {
        requireSown();
        if (cells.values().stream().noneMatch(cell -> cell.condition() == CellCondition.ALIVE)) {
            throw new ChangeRefused("batch", new ChangeFault.NoneToHarden());
        }
        if (hardeningStartedOn != null) {
            throw new ChangeRefused("batch", new ChangeFault.HardeningBegan(hardeningStartedOn));
        }
        hardeningStartedOn = day;
        programmeDays = started.programmeDays();
        trays().forEach(tray -> placeOfTray.put(tray, started.place()));
        placements.add(new BatchState.Placement(started.place(), day));
    }

    private void hardenForDay(LocalDate day) {
        requireHardening();
        if (day.equals(lastHardeningDay)) {
            throw new ChangeRefused("day", new ChangeFault.HardeningRecorded(day));
        }
        lastHardeningDay = day;
        hardeningDays++;
    }

    private void requireHardening() {
        if (hardeningStartedOn == null || hardenedOn != null) {
            throw new ChangeRefused("batch", new ChangeFault.NotHardening());
        }
    }

    private void requireSown() {
        if (sownOn == null) {
            throw new ChangeRefused("batch", new ChangeFault.NotSown());
        }
    }

    private void changeAll(TrayId tray, List<Integer> numbers, Set<CellCondition> from, CellCondition to) {
        for (int number : numbers) {
            Cell cell = new Cell(tray, number);
            CellState before = sownCell(cell, "cells");
            if (!from.contains(before.condition())) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(number));
            }
            cells.put(cell, before.with(to));
        }
    }

    /** What is in doubt goes as that or not at all, and nothing else does. */
    private void requireNamesAs(BatchChange.Released released) {
        for (int number : released.cells()) {
            boolean mixed = sownCell(new Cell(released.tray(), number), "cells").mixed();
            if (mixed != released.asMixed()) {
                throw new ChangeRefused(
                        "cells", mixed ? new ChangeFault.NameInDoubt(number) : new ChangeFault.NameIsCertain(number));
            }
        }
    }

    /** Names come into doubt where something lives or may yet come up; where one knew already, nothing is known again. */
    private void doubt(TrayId tray, List<Integer> numbers, boolean doubtful) {
        for (int number : numbers) {
            Cell cell = new Cell(tray, number);
            CellState before = sownCell(cell, "cells");
            if (before.condition() != CellCondition.ALIVE && before.condition() != CellCondition.WAITING) {
                throw new ChangeRefused("cells", new ChangeFault.NoPlantInCell(number));
            }
            if (before.mixed() == doubtful) {
                throw new ChangeRefused(
                        "cells",
                        doubtful ? new ChangeFault.NameInDoubt(number) : new ChangeFault.NameIsCertain(number));
            }
            cells.put(cell, before.inDoubt(doubtful));
        }
    }

    private CellState sownCell(Cell cell, String field) {
        CellState state = cells.get(cell);
        if (state == null) {
            throw new ChangeRefused(field, new ChangeFault.CellNotSown(cell.number()));
        }
        return state;
    }

    /** The trays it lies in, in order. */
    Collection<TrayId> trays() {
        TreeSet<Long> numbers = new TreeSet<>();
        cells.keySet().forEach(cell -> numbers.add(cell.tray().number()));
        return numbers.stream().map(TrayId::new).toList();
    }

    /** Cells in which a seedling was ever seen. */
    int emerged() {
        return (int) cells.values().stream().filter(cell -> cell.cameUp() > 0).count();
    }
}
