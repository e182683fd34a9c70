package kiver.core.release;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import kiver.core.seed.LotId;
import kiver.core.tray.TrayId;

/**
 * Plants of one batch in one tray that are fit to go.
 *
 * @param batch its number as written
 * @param lot its seed lot
 * @param tray where they are
 * @param cells with a living plant, rising; not empty
 * @param plantsPerCell what each of those cells counts, in their order: 1, or the seedlings of its clump
 * @param pastLimit the day on which they will most likely be past their best
 * @param all whether nothing else of the batch lives in that tray
 * @param goesLast whether its plants were parted from the others as small or spare
 */
public record ReadyTray(
        int batch,
        LotId lot,
        TrayId tray,
        List<Integer> cells,
        List<Integer> plantsPerCell,
        LocalDate pastLimit,
        boolean all,
        boolean goesLast) {

    /** A tray of single plants. */
    public ReadyTray(int batch, LotId lot, TrayId tray, List<Integer> cells, LocalDate pastLimit) {
        this(batch, lot, tray, cells, Collections.nCopies(cells.size(), 1), pastLimit, true, false);
    }

    public ReadyTray {
        cells = List.copyOf(cells);
        plantsPerCell = List.copyOf(plantsPerCell);
        if (plantsPerCell.size() != cells.size()) {
            throw new IllegalArgumentException("Every cell counts something.");
        }
        if (cells.isEmpty()) {
            throw new IllegalArgumentException("A ready tray holds at least one plant.");
        }
    }

    /** The first so many of its cells, 1 or more. */
    public ReadyTray first(int some) {
        return new ReadyTray(
                batch,
                lot,
                tray,
                cells.subList(0, some),
                plantsPerCell.subList(0, some),
                pastLimit,
                all && some == cells.size(),
                goesLast);
    }

    /**
     * Some cells of a tray, if all of them are ready.
     *
     * @param ready trays; of one tray there may be several, of different lots
     * @param tray to take from
     * @param cells wanted, by number
     */
    public static Optional<Pick> pick(List<ReadyTray> ready, TrayId tray, List<Integer> cells) {
        Set<Integer> wanted = new TreeSet<>(cells);
        if (wanted.isEmpty() || wanted.size() < cells.size()) {
            return Optional.empty();
        }
        return ready.stream()
                .filter(each -> each.tray().equals(tray) && each.cells().containsAll(wanted))
                .findFirst()
                .map(each -> new Pick(
                        each.batch(),
                        tray,
                        List.copyOf(wanted),
                        wanted.stream()
                                .mapToInt(cell ->
                                        each.plantsPerCell().get(each.cells().indexOf(cell)))
                                .sum(),
                        each.all() && wanted.size() == each.cells().size()));
    }

    /** Plants in it, 1 or more. */
    public int plants() {
        return plantsPerCell.stream().mapToInt(Integer::intValue).sum();
    }
}
