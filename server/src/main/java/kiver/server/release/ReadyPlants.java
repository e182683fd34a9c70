package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import kiver.core.batch.BatchStage;
import kiver.core.batch.CellCondition;
import kiver.core.batch.CellState;
import kiver.core.batch.Grade;
import kiver.core.crop.ContainerCode;
import kiver.core.growth.DateSpread;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.core.release.ReadyTray;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;

/** The plants that are ready to go with a line. */
final class ReadyPlants {

    private ReadyPlants() {}

    /**
     * Ready plants of the batches promised to a line, tray by tray. Of a batch that others were promised, too, no more
     * than the line's own part and what nobody else waits for.
     *
     * @param lineId of the line, in the database
     * @param all batches
     * @param mixed whether those are asked for of which nobody is sure what they are, or those under their name
     * @param taken cells that go with another line of the same release
     * @param containerOf the code of a tray's container
     */
    static List<ReadyTray> forLine(
            LineId lineId,
            List<BatchOutlook> all,
            boolean mixed,
            Set<Cell> taken,
            Function<TrayId, ContainerCode> containerOf) {
        List<ReadyTray> ready = new ArrayList<>();
        all.stream()
                .filter(batch -> batch.stage() == BatchStage.READY)
                .filter(batch -> batch.file().promises().stream()
                        .anyMatch(promise -> promise.line().equals(lineId)))
                .forEach(batch -> ready.addAll(ofBatch(lineId, batch, mixed, taken, containerOf)));
        return ready;
    }

    /** All that is ready of a batch, whoever it is for. */
    static List<ReadyTray> all(
            BatchOutlook batch, boolean mixed, Set<Cell> taken, Function<TrayId, ContainerCode> containerOf) {
        List<ReadyTray> trays = new ArrayList<>();
        farthest(batch.file(), containerOf).forEach(tray -> trays.addAll(ofTray(batch, tray, mixed, taken)));
        return trays;
    }

    /** Plants of a batch that some lines may share: what lives of it under its name but for what others were promised. */
    static int forLines(Set<LineId> lines, BatchOutlook batch, Function<TrayId, ContainerCode> containerOf) {
        Map<LineId, Integer> released = batch.file().releasedByLine();
        int alive = all(batch, false, Set.of(), containerOf).stream()
                .mapToInt(ReadyTray::plants)
                .sum();
        int others = batch.file().promises().stream()
                .filter(promise -> !lines.contains(promise.line()))
                .mapToInt(promise -> released.getOrDefault(promise.line(), 0) < promise.accepted()
                        ? promise.plants() - released.getOrDefault(promise.line(), 0)
                        : 0)
                .sum();
        return Math.max(0, alive - others);
    }

    private static List<ReadyTray> ofBatch(
            LineId lineId,
            BatchOutlook batch,
            boolean mixed,
            Set<Cell> taken,
            Function<TrayId, ContainerCode> containerOf) {
        BatchFile file = batch.file();
        List<ReadyTray> trays = all(batch, mixed, taken, containerOf);
        int alive = trays.stream().mapToInt(ReadyTray::plants).sum();
        Map<LineId, Integer> released = file.releasedByLine();
        int own = 0;
        int others = 0;
        for (Promised promise : file.promises()) {
            int gone = released.getOrDefault(promise.line(), 0);
            if (promise.line().equals(lineId)) {
                own = promise.plants() - gone;
            } else if (gone < promise.accepted()) {
                others += promise.plants() - gone;
            }
        }
        return atMost(Math.max(own, alive - others), trays);
    }

    /**
     * The trays of a batch that hold what goes out. Where a part of it was potted on, the plants still in what they were
     * sown in are not what was asked for; where none was, they go out as they are.
     */
    private static List<TrayId> farthest(BatchFile file, Function<TrayId, ContainerCode> containerOf) {
        List<ContainerCode> path = file.batch().containerCodes();
        List<TrayId> trays = file.state().trays().stream()
                .filter(tray -> !file.state().cellsIn(tray, CellCondition.ALIVE).isEmpty())
                .toList();
        if (path.size() == 1) {
            return trays;
        }
        ToIntFunction<TrayId> step = tray -> {
            int at = path.indexOf(containerOf.apply(tray));
            return at < 0 ? path.size() : at;
        };
        int most = trays.stream().mapToInt(step).max().orElse(0);
        return trays.stream()
                .filter(tray -> step.applyAsInt(tray) >= Math.min(most, path.size() - 1))
                .toList();
    }

    /** The first whole trays that hold no more than so many plants, and a part of the next. */
    private static List<ReadyTray> atMost(int plants, List<ReadyTray> trays) {
        List<ReadyTray> some = new ArrayList<>();
        int left = plants;
        for (ReadyTray tray : trays.stream()
                .sorted(Comparator.comparingInt(ReadyTray::plants).reversed())
                .toList()) {
            int cells = 0;
            while (cells < tray.cells().size() && left > 0) {
                left -= tray.plantsPerCell().get(cells++);
            }
            if (cells > 0) {
                some.add(tray.first(cells));
            }
        }
        return some;
    }

    /** What is ready in a tray, lot by lot. */
    private static List<ReadyTray> ofTray(BatchOutlook batch, TrayId tray, boolean mixed, Set<Cell> taken) {
        BatchFile file = batch.file();
        Map<LotId, List<Integer>> byLot = new TreeMap<>();
        List<Integer> living = file.state().cellsIn(tray, CellCondition.ALIVE);
        for (int number : living) {
            Cell cell = new Cell(tray, number);
            CellState state = file.state().cells().get(cell);
            if (state.mixed() == mixed && !taken.contains(cell)) {
                byLot.computeIfAbsent(file.state().lotOf(state.sowing()), lot -> new ArrayList<>())
                        .add(number);
            }
        }
        LocalDate past = batch.forecast().pastLimit().map(DateSpread::middle).orElse(LocalDate.MAX);
        List<ReadyTray> ready = new ArrayList<>();
        byLot.forEach((lot, cells) -> ready.add(new ReadyTray(
                file.batch().number(),
                lot,
                tray,
                cells,
                cells.stream()
                        .map(cell -> Math.max(
                                1,
                                file.state()
                                        .plants(
                                                List.of(file.state().cells().get(new Cell(tray, cell))),
                                                file.countsSeedlings())))
                        .toList(),
                past,
                cells.size() == living.size(),
                file.state().gradeOf(tray) != Grade.STANDARD)));
        return ready;
    }
}
