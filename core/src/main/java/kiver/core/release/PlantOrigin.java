package kiver.core.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellState;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;

/**
 * Plants in one tray that came from one sowing, or with one arrival, wherever they were potted since.
 *
 * @param sequence of the sowing or arrival in the record of their batch
 * @param lot they came from
 * @param day on which they were sown, or arrived
 * @param tray they stand in, or stood in when they left
 * @param startedIn tray they were sown in, or arrived in
 * @param medium the cells were filled with at the sowing; empty for plants that were raised elsewhere
 * @param plants counted as orders count them, 1 or more
 * @param mixed whether nobody is sure what they are
 */
public record PlantOrigin(
        int sequence,
        LotId lot,
        LocalDate day,
        TrayId tray,
        TrayId startedIn,
        Optional<String> medium,
        int plants,
        boolean mixed) {

    /** Where the plants of a release came from, by their sowings. */
    public static List<PlantOrigin> of(BatchFile file, BatchChange.Released part) {
        Collection<CellState> cells = part.cells().stream()
                .map(number -> file.state().cells().get(new Cell(part.tray(), number)))
                .toList();
        return of(file, part.tray(), cells, part.asMixed());
    }

    /** Where the plants came from that live, tray by tray; those that are mixed apart from the others. */
    public static List<PlantOrigin> standing(BatchFile file) {
        List<PlantOrigin> origins = new ArrayList<>();
        for (TrayId tray : file.state().trays()) {
            Collection<CellState> cells = file.state().cells().entrySet().stream()
                    .filter(entry -> entry.getKey().tray().equals(tray))
                    .map(Map.Entry::getValue)
                    .toList();
            origins.addAll(of(
                    file,
                    tray,
                    cells.stream().filter(CellState::livesUnderItsName).toList(),
                    false));
            origins.addAll(
                    of(file, tray, cells.stream().filter(CellState::livesMixed).toList(), true));
        }
        return origins;
    }

    private static List<PlantOrigin> of(BatchFile file, TrayId tray, Collection<CellState> cells, boolean mixed) {
        Map<Integer, List<CellState>> bySowing = new TreeMap<>();
        cells.forEach(cell -> bySowing.computeIfAbsent(cell.sowing(), sowing -> new ArrayList<>())
                .add(cell));
        return bySowing.entrySet().stream()
                .map(entry -> of(
                        file.state(),
                        entry.getKey(),
                        tray,
                        file.state().plants(entry.getValue(), file.countsSeedlings()),
                        mixed))
                .toList();
    }

    private static PlantOrigin of(BatchState state, int sequence, TrayId tray, int plants, boolean mixed) {
        BatchState.Arrival arrival = state.arrivals().get(sequence);
        if (arrival != null) {
            BatchChange.BroughtIn came = arrival.plants();
            return new PlantOrigin(
                    sequence, came.lot(), arrival.day(), tray, came.run().tray(), Optional.empty(), plants, mixed);
        }
        BatchState.Sowing sowing = Objects.requireNonNull(state.sowings().get(sequence));
        return new PlantOrigin(
                sequence,
                sowing.sown().lot(),
                sowing.day(),
                tray,
                sowing.sown().run().tray(),
                Optional.of(sowing.sown().medium()),
                plants,
                mixed);
    }
}
