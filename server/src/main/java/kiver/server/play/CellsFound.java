package kiver.server.play;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.batch.LossReason;
import kiver.core.outlook.BatchOutlook;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import org.springframework.stereotype.Component;

/** What hands find when they look into the cells of a batch. */
@Component
class CellsFound {

    private final SeedStore seeds;
    private final Luck luck;

    CellsFound(SeedStore seeds, Luck luck) {
        this.seeds = seeds;
        this.luck = luck;
    }

    /** A count of every tray: what is up and was not noted yet; the last one where no more is to come. */
    List<BatchChange> counts(BatchOutlook analysis, LocalDate today) {
        BatchState state = analysis.file().state();
        SeedLot lot =
                seeds.lot(state.sowings().values().iterator().next().sown().lot());
        double germination = luck.germination(lot);
        double progress = analysis.emerging().course().orElseThrow().emergenceProgressUntil(today);
        boolean complete = progress > analysis.crop().emergence().progressWhen(0.98) * 1.15;
        Map<TrayId, Map<Integer, Integer>> byTray =
                new TreeMap<>((one, other) -> Long.compare(one.number(), other.number()));
        for (Map.Entry<Cell, CellState> entry : state.cells().entrySet()) {
            CellCondition condition = entry.getValue().condition();
            if (condition == CellCondition.WAITING || condition == CellCondition.ALIVE) {
                int up = luck.seedlingsUp(
                        analysis.file().batch().number(),
                        key(entry.getKey()),
                        entry.getValue().seeds(),
                        germination,
                        luck.pace(analysis.file().batch().number(), analysis.crop()),
                        analysis.crop().emergence(),
                        progress);
                if (up > entry.getValue().seedlings() || condition == CellCondition.WAITING) {
                    byTray.computeIfAbsent(entry.getKey().tray(), tray -> new TreeMap<>())
                            .put(entry.getKey().number(), up);
                }
            }
        }
        List<BatchChange> changes = new ArrayList<>();
        state.trays()
                .forEach(tray ->
                        changes.add(new BatchChange.Counted(tray, byTray.getOrDefault(tray, Map.of()), complete)));
        return changes;
    }

    /** The dead that lie there. */
    List<BatchChange> losses(BatchOutlook analysis, LocalDate today) {
        BatchState state = analysis.file().state();
        int number = analysis.file().batch().number();
        List<BatchChange> changes = new ArrayList<>();
        if (state.sownOn().isEmpty()) {
            return changes;
        }
        long age = today.toEpochDay() - state.sownOn().get().toEpochDay();
        for (TrayId tray : state.trays()) {
            Map<LossReason, List<Integer>> byReason = new TreeMap<>();
            for (int cell : state.cellsIn(tray, CellCondition.ALIVE)) {
                int key = key(new Cell(tray, cell));
                if (luck.daysToDeath(number, key) <= age) {
                    byReason.computeIfAbsent(luck.reason(number, key), reason -> new ArrayList<>())
                            .add(cell);
                }
            }
            byReason.forEach((reason, cells) -> changes.add(new BatchChange.Lost(tray, cells, reason)));
        }
        return changes;
    }

    /** A number for each cell of the nursery, by which its luck is drawn. */
    static int key(Cell cell) {
        return (int) (cell.tray().number() * 1000 + cell.number());
    }
}
