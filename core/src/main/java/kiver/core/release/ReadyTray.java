package kiver.core.release;

import java.time.LocalDate;
import java.util.List;
import kiver.core.tray.TrayId;

/**
 * Plants of one batch in one tray that are fit to go.
 *
 * @param batch its number
 * @param lot its seed lot
 * @param tray where they are
 * @param cells with a living plant, rising; not empty
 * @param pastLimit the day on which they will most likely be past their best
 */
public record ReadyTray(long batch, long lot, TrayId tray, List<Integer> cells, LocalDate pastLimit) {
    public ReadyTray {
        cells = List.copyOf(cells);
        if (cells.isEmpty()) {
            throw new IllegalArgumentException("A ready tray holds at least one plant.");
        }
    }

    /** Plants in it, 1 or more. */
    public int plants() {
        return cells.size();
    }
}
