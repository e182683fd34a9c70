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
import kiver.core.place.PlaceId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.jspecify.annotations.Nullable;

/**
 * What a batch's changes add up to while they are gone through one after the other; nobody outside {@link BatchState}
 * holds one, so a state once reached is never changed.
 */
final class BatchFold {

    final CellAccount account = new CellAccount();
    final SortedMap<Cell, CellState> cells = account.cells;
    final List<BatchState.Placement> placements = new ArrayList<>();
    final Map<TrayId, PlaceId> placeOfTray = new HashMap<>();
    final Set<TrayId> leftUnsown = new HashSet<>();
    final Set<TrayId> completelyCounted = new HashSet<>();
    final SortedMap<LocalDate, Integer> cellsUp = new TreeMap<>();
    final SortedSet<LocalDate> pottingDays = new TreeSet<>();
    final Map<TrayId, Grade> gradeOfTray = new HashMap<>();
    final SortedMap<LocalDate, LookedOver> looks = new TreeMap<>();

    /** Sooner no root comes to the edge of what it was sown or potted into. */
    private static final int DAYS_TO_FILL = 5;

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
        } else if (change instanceof LookedOver look) {
            look(recorded.day(), look);
        } else if (change instanceof Tended) {
            requireAlive("step");
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
            account.changeAll(
                    lost.tray(), lost.cells(), Set.of(CellCondition.ALIVE, CellCondition.WAITING), CellCondition.LOST);
        } else if (change instanceof BatchChange.PottedOn potted) {
            potOn(day, potted);
        } else if (change instanceof BatchChange.CellsMoved moved) {
            moveCells(moved);
        } else if (change instanceof BatchChange.Thinned thinned) {
            account.thin(thinned);
        } else if (change instanceof BatchChange.PrickedOut pricked) {
            account.prickOut(pricked);
        } else if (change instanceof BatchChange.Released released) {
            account.requireNamesAs(released);
            account.changeAll(released.tray(), released.cells(), Set.of(CellCondition.ALIVE), CellCondition.RELEASED);
        } else if (change instanceof BatchChange.Mixed mixed) {
            account.doubt(mixed.tray(), mixed.cells(), true);
        } else if (change instanceof BatchChange.Recognised recognised) {
            account.doubt(recognised.tray(), recognised.cells(), false);
        } else {
            throw unknown(change);
        }
    }

    private void requireAlive(String part) {
        requireSown();
        if (cells.values().stream().noneMatch(cell -> cell.condition() == CellCondition.ALIVE)) {
            throw new ChangeRefused(part, new ChangeFault.NoneToLookAt());
        }
    }

    private void look(LocalDate day, LookedOver look) {
        requireAlive("leaves");
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
        account.lotOfSowing.put(sequence, sown.lot());
        fill(sown.run(), CellState.sown(sown.seedsPerCell(), sequence), sown.place(), day);
    }

    /** What arrives is up and counted; nothing more will come up in its trays. */
    private void bringIn(int sequence, LocalDate day, BatchChange.BroughtIn arrived) {
        account.lotOfSowing.put(sequence, arrived.lot());
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
        Collection<TrayId> going = moved.trays().isEmpty() ? account.trays() : moved.trays();
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
        account.trays().forEach(tray -> count.merge(placeOfTray.get(tray), 1, Integer::sum));
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
                        account.see(new Cell(counted.tray(), number), before -> before.counted(seedlings)));
        counted.somethingUp().forEach(number -> account.see(new Cell(counted.tray(), number), CellState::seenUp));
        if (counted.complete()) {
            completelyCounted.add(counted.tray());
        }
        if (completelyCounted.contains(counted.tray())) {
            cells.replaceAll(
                    (cell, state) -> cell.tray().equals(counted.tray()) && state.condition() == CellCondition.WAITING
                            ? state.with(CellCondition.EMPTY)
                            : state);
        }
        cellsUp.put(day, account.emerged());
    }

    private void potOn(LocalDate day, BatchChange.PottedOn potted) {
        List<Cell> into = potted.into().cells();
        for (int index = 0; index < into.size(); index++) {
            Cell from = new Cell(potted.from(), potted.cells().get(index));
            CellState before = account.sownCell(from, "cells");
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
        gradeOfTray.put(potted.into().tray(), potted.grade());
    }

    private void moveCells(BatchChange.CellsMoved moved) {
        List<CellState> going = new ArrayList<>();
        for (int number : moved.cells()) {
            Cell from = new Cell(moved.from(), number);
            CellState before = account.sownCell(from, "cells");
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
        account.trays().forEach(tray -> placeOfTray.put(tray, started.place()));
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
}
