package kiver.server.batch;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.crop.Container;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.Cell;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.crop.CropBook;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Shows a tray with its cells as they lie. */
@RestController
class TrayController {

    private final TrayBook trays;
    private final BatchBook batches;
    private final CropBook crops;

    TrayController(TrayBook trays, BatchBook batches, CropBook crops) {
        this.trays = trays;
        this.batches = batches;
        this.crops = crops;
    }

    /**
     * A cell; without a batch when it is free, without a condition when it is only set aside.
     *
     * @param onlySeen whether something was seen to be up and nobody counted what stands
     * @param mixed whether nobody is sure what its plant is
     */
    record CellView(
            int number,
            @Nullable Integer batch,
            @Nullable CellCondition condition,
            @Nullable Integer seeds,
            @Nullable Integer seedlings,
            boolean onlySeen,
            boolean mixed) {}

    /** A tray. */
    record TrayView(
            int number,
            String code,
            String container,
            int rows,
            int columns,
            double cellVolume,
            List<Integer> batches,
            List<CellView> cells) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/trays/{number}")
    TrayView tray(@PathVariable int number) {
        Tray tray = trays.numbered(number);
        Container container = tray.of(crops.container(tray.container()));
        List<BatchFile> files = batches.filesIn(tray.trayId());
        List<CellView> cells = new ArrayList<>();
        for (int cell = 1; cell <= container.cells(); cell++) {
            cells.add(cell(new Cell(tray.trayId(), cell), files));
        }
        return new TrayView(
                number,
                tray.code(),
                container.name(),
                container.rows(),
                container.columns(),
                container.cellVolume(),
                files.stream().map(file -> file.batch().number()).toList(),
                cells);
    }

    private static CellView cell(Cell cell, List<BatchFile> files) {
        for (BatchFile file : files) {
            CellState state = file.state().cells().get(cell);
            if (state != null) {
                return new CellView(
                        cell.number(),
                        file.batch().number(),
                        state.condition(),
                        state.seeds(),
                        state.seedlings(),
                        !state.isStandingKnown(),
                        state.mixed());
            }
        }
        return files.stream()
                .filter(file ->
                        file.toSow().stream().anyMatch(run -> run.cells().contains(cell)))
                .findFirst()
                .map(file -> new CellView(cell.number(), file.batch().number(), null, null, null, false, false))
                .orElseGet(() -> new CellView(cell.number(), null, null, null, null, false, false));
    }
}
