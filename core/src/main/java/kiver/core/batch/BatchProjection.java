package kiver.core.batch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/**
 * What follows from a batch's record, in the form in which it is kept beside the record: where it stands, what is in
 * each cell, which sowings its plants came from and what left with which note. Two records that say the same give equal
 * projections.
 *
 * @param sequence entry of the record at which it stands, 1 or more
 * @param stage where the batch is on its path
 * @param beganOn day on which it was sown or brought in, if it was
 * @param lastOn latest day on which anything happened to it
 * @param completelyCounted whether the last look at every tray has been taken
 * @param balance account of its cells
 * @param cells runs of neighbouring cells of which the same is true, in the order of trays and cells
 * @param origins sowings and arrivals that count, earliest first
 * @param departures what left and was not taken back, by note and line
 */
public record BatchProjection(
        int sequence,
        BatchStage stage,
        Optional<LocalDate> beganOn,
        LocalDate lastOn,
        boolean completelyCounted,
        Balance balance,
        List<Cells> cells,
        List<Origin> origins,
        List<Departure> departures) {

    /**
     * Neighbouring cells of which the same is true.
     *
     * @param run of cells
     * @param state of each of them
     * @param lot that their plants came from
     */
    public record Cells(CellRun run, CellState state, LotId lot) {}

    /**
     * A sowing, or an arrival of plants raised elsewhere.
     *
     * @param sequence of its entry
     * @param on day
     * @param run of cells that were filled
     * @param lot seed lot or consignment
     * @param seeds taken from the lot; 0 for an arrival
     * @param medium what the cells were filled with, in words; empty for an arrival
     */
    public record Origin(int sequence, LocalDate on, CellRun run, LotId lot, int seeds, String medium) {}

    /**
     * Plants of the batch that left with one line of one note.
     *
     * @param release number of the note
     * @param line of an order
     * @param cells 1 or more
     * @param seedlings in them, with those of clumps; 1 or more
     */
    public record Departure(long release, LineId line, int cells, int seedlings) {}

    public BatchProjection {
        cells = List.copyOf(cells);
        origins = List.copyOf(origins);
        departures = List.copyOf(departures);
    }

    /** What follows from a record; nothing from one without entries. */
    public static Optional<BatchProjection> of(BatchState state) {
        if (state.changes().isEmpty()) {
            return Optional.empty();
        }
        LocalDate lastOn = state.changes().stream()
                .map(RecordedChange::day)
                .max(LocalDate::compareTo)
                .orElseThrow();
        return Optional.of(new BatchProjection(
                state.changes().size(),
                state.stage(),
                state.sownOn(),
                lastOn,
                state.isCompletelyCounted(),
                state.balance(),
                cells(state),
                origins(state),
                departures(state)));
    }

    private static List<Cells> cells(BatchState state) {
        List<Cells> runs = new ArrayList<>();
        for (Map.Entry<Cell, CellState> entry : state.cells().entrySet()) {
            TrayId tray = entry.getKey().tray();
            int number = entry.getKey().number();
            CellState is = entry.getValue();
            int first = number;
            if (!runs.isEmpty() && goesOn(runs.get(runs.size() - 1), entry.getKey(), is)) {
                first = runs.remove(runs.size() - 1).run().first();
            }
            runs.add(new Cells(new CellRun(tray, first, number), is, state.lotOf(is.sowing())));
        }
        return runs;
    }

    private static boolean goesOn(Cells last, Cell next, CellState is) {
        return last.run().tray().equals(next.tray())
                && last.run().last() == next.number() - 1
                && last.state().equals(is);
    }

    private static List<Origin> origins(BatchState state) {
        SortedMap<Integer, Origin> origins = new TreeMap<>();
        state.sowings()
                .forEach((sequence, sowing) -> origins.put(
                        sequence,
                        new Origin(
                                sequence,
                                sowing.day(),
                                sowing.sown().run(),
                                sowing.sown().lot(),
                                sowing.sown().seeds(),
                                Objects.requireNonNullElse(sowing.sown().medium(), ""))));
        state.arrivals()
                .forEach((sequence, arrival) -> origins.put(
                        sequence,
                        new Origin(
                                sequence,
                                arrival.day(),
                                arrival.plants().run(),
                                arrival.plants().lot(),
                                0,
                                "")));
        return List.copyOf(origins.values());
    }

    private static List<Departure> departures(BatchState state) {
        record NoteLine(long release, LineId line) {}
        Map<NoteLine, List<CellState>> gone = new LinkedHashMap<>();
        state.releases().stream()
                .map(DatedRelease::plants)
                .forEach(part -> part.cells()
                        .forEach(number -> gone.computeIfAbsent(
                                        new NoteLine(part.release(), part.line()), each -> new ArrayList<>())
                                .add(state.cells().get(new Cell(part.tray(), number)))));
        return gone.entrySet().stream()
                .map(each -> new Departure(
                        each.getKey().release(),
                        each.getKey().line(),
                        each.getValue().size(),
                        state.plants(each.getValue(), true)))
                .sorted(Comparator.comparingLong(Departure::release).thenComparing(Departure::line))
                .toList();
    }
}
