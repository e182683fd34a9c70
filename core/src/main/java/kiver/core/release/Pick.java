package kiver.core.release;

import java.util.List;
import kiver.core.tray.TrayId;

/**
 * Plants to take from one tray.
 *
 * @param batch its number as written
 * @param tray to take from
 * @param cells to take, rising; not empty
 * @param plants that those cells count
 * @param wholeTray whether nothing living is left behind in it
 */
public record Pick(int batch, TrayId tray, List<Integer> cells, int plants, boolean wholeTray) {
    public Pick {
        cells = List.copyOf(cells);
    }
}
