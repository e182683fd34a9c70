package kiver.server.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.tray.CellRun;
import kiver.server.crop.CropBook;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** Lays cells out over new trays. */
@Component
public class TrayLayout {

    private final CropBook crops;
    private final TrayBook trays;

    TrayLayout(CropBook crops, TrayBook trays) {
        this.crops = crops;
        this.trays = trays;
    }

    /** As many cells as are wanted in new trays of a container, the last perhaps in part: in one that was cut, if one lies about. */
    public List<CellRun> runs(ContainerCode containerCode, int cells) {
        Container container = crops.container(containerCode);
        List<CellRun> runs = new ArrayList<>();
        int left = cells;
        while (left > 0) {
            int inThisTray = Math.min(left, container.cells());
            int rows = (inThisTray + container.columns() - 1) / container.columns();
            Tray tray = (rows < container.rows()
                            ? trays.partLyingAbout(container.code(), rows)
                            : Optional.<Tray>empty())
                    .orElseGet(() -> trays.add(container.code()));
            runs.add(new CellRun(tray.trayId(), 1, inThisTray));
            left -= inThisTray;
        }
        return runs;
    }
}
