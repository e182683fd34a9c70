package kiver.core.batch;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;

/** The account of a batch's cells while its changes are gone through: what is in each, and which lot it is of. */
final class CellAccount {

    final SortedMap<Cell, CellState> cells = new TreeMap<>();
    final Map<Integer, LotId> lotOfSowing = new HashMap<>();

    void see(Cell cell, UnaryOperator<CellState> seen) {
        CellState before = sownCell(cell, "seedlings");
        if (before.condition() == CellCondition.LOST || before.condition() == CellCondition.RELEASED) {
            throw new ChangeRefused("seedlings", new ChangeFault.PlantIsGone(cell.number(), before.condition()));
        }
        cells.put(cell, seen.apply(before));
    }

    void thin(BatchChange.Thinned thinned) {
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

    void prickOut(BatchChange.PrickedOut pricked) {
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

    void changeAll(TrayId tray, List<Integer> numbers, Set<CellCondition> from, CellCondition to) {
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
    void requireNamesAs(BatchChange.Released released) {
        for (int number : released.cells()) {
            boolean mixed = sownCell(new Cell(released.tray(), number), "cells").mixed();
            if (mixed != released.asMixed()) {
                throw new ChangeRefused(
                        "cells", mixed ? new ChangeFault.NameInDoubt(number) : new ChangeFault.NameIsCertain(number));
            }
        }
    }

    /** Names come into doubt where something lives or may yet come up; where one knew already, nothing is known again. */
    void doubt(TrayId tray, List<Integer> numbers, boolean doubtful) {
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

    CellState sownCell(Cell cell, String field) {
        CellState state = cells.get(cell);
        if (state == null) {
            throw new ChangeRefused(field, new ChangeFault.CellNotSown(cell.number()));
        }
        return state;
    }

    /** Cells in which a seedling was ever seen. */
    int emerged() {
        return (int) cells.values().stream().filter(cell -> cell.cameUp() > 0).count();
    }

    /** The trays it lies in, in order. */
    Collection<TrayId> trays() {
        TreeSet<Long> numbers = new TreeSet<>();
        cells.keySet().forEach(cell -> numbers.add(cell.tray().number()));
        return numbers.stream().map(TrayId::new).toList();
    }
}
