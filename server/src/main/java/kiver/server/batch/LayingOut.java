package kiver.server.batch;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import kiver.core.crop.Container;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Before anything is sown: which batches share a tray, and trays cut to fit. */
@Service
public class LayingOut {

    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final HeldLayouts held;
    private final Requests requests;

    LayingOut(BatchBook batches, TrayBook trays, CropBook crops, HeldLayouts held, Requests requests) {
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.held = held;
        this.requests = requests;
    }

    /**
     * Sets cells of a tray aside for a batch of which nothing is sown, in place of as many that were set aside for it; what
     * does not fit there stays where it was.
     *
     * @throws Refusal when the cells are another's, the tray is of another kind, or something is sown already
     */
    @Transactional
    public void layOut(UUID requestId, int number, int trayNumber, int first, int last, long by) {
        requests.once(requestId, Arrays.asList("lay out", number, trayNumber, first, last, by), () -> {
            batches.lock(number);
            BatchFile file = batches.file(number);
            Tray tray = trays.numberedAndHeld(trayNumber);
            requireUnsown(file);
            requireNoTrial(number);
            requireSameKind(file, tray);
            requireInside(tray, first, last);
            CellRun run = new CellRun(tray.trayId(), first, last);
            requireFree(file, run);
            int cells = file.runs().stream().mapToInt(CellRun::length).sum();
            if (run.length() > cells) {
                throw new Refusal(
                        "lastCell",
                        Said.of("Batch {number} needs {cells, plural, one {# cell} other {# cells}}, not {picked}.")
                                .with("number", number)
                                .with("cells", cells)
                                .with("picked", run.length()));
            }
            List<CellRun> laid = new ArrayList<>(List.of(run));
            laid.addAll(rest(file, run, cells - run.length()));
            batches.layOutAnew(number, laid);
            return number;
        });
    }

    /** What is left stays in the trays it was in, from their first cells. */
    private static List<CellRun> rest(BatchFile file, CellRun taken, int cells) {
        List<CellRun> rest = new ArrayList<>();
        int left = cells;
        for (CellRun own : file.runs()) {
            if (left > 0 && !own.tray().equals(taken.tray())) {
                int here = Math.min(left, own.length());
                rest.add(new CellRun(own.tray(), own.first(), own.first() + here - 1));
                left -= here;
            }
        }
        if (left > 0) {
            throw new Refusal(
                    "lastCell",
                    Said.of(
                                    "{left, plural, one {# cell} other {# cells}} of batch {number} would have no place. Pick more.")
                            .with("left", left)
                            .with("number", file.batch().number()));
        }
        return rest;
    }

    /**
     * Cuts a tray behind a row. What is cut off is a tray of its own with the next number.
     *
     * @param rows that are left of it, 1 or more
     * @return the number of what was cut off
     * @throws Refusal when something stands, or is to be sown, behind that row
     */
    @Transactional
    public int cut(UUID requestId, int trayNumber, int rows, long by) {
        return (int) requests.once(requestId, Arrays.asList("cut", trayNumber, rows, by), () -> {
            Tray tray = trays.numberedAndHeld(trayNumber);
            Container whole = crops.container(tray.container());
            Container present = tray.of(whole);
            if (rows < 1 || rows >= present.rows()) {
                throw new Refusal(
                        "rows",
                        Said.of("{tray} has {rows} rows: leave 1 or more, and cut off 1 or more.")
                                .with("tray", tray.code())
                                .with("rows", present.rows()));
            }
            requireFree(null, new CellRun(tray.trayId(), rows * present.columns() + 1, present.cells()));
            trays.cut(tray, rows, rows / (double) whole.rows());
            int off = present.rows() - rows;
            return trays.addCut(tray.container(), off, off / (double) whole.rows())
                    .number();
        });
    }

    private static void requireUnsown(BatchFile file) {
        if (file.state().sownOn().isPresent() || file.batch().isBoughtIn()) {
            throw new Refusal(
                    "tray",
                    Said.of("Of batch {number} something is sown already: move its cells instead.")
                            .with("number", file.batch().number()));
        }
    }

    private void requireNoTrial(int number) {
        held.trialOf(number).ifPresent(trial -> {
            throw new Refusal(
                    "tray",
                    Said.of(
                                    "The cells of batch {number} were shared out for the trial {trial}: they stay where they are.")
                            .with("number", number)
                            .with("trial", trial));
        });
    }

    private void requireSameKind(BatchFile file, Tray tray) {
        boolean same = file.runs().stream()
                .map(run -> trays.tray(run.tray()).container())
                .allMatch(tray.container()::equals);
        if (!same) {
            throw new Refusal(
                    "tray",
                    Said.of("{tray} is another kind of tray than batch {number} is planned for.")
                            .with("tray", tray.code())
                            .with("number", file.batch().number()));
        }
    }

    private void requireInside(Tray tray, int first, int last) {
        int cells = tray.of(crops.container(tray.container())).cells();
        if (first < 1 || last < first || last > cells) {
            throw new Refusal(
                    "lastCell",
                    Said.of("{tray} has cells 1 to {cells}; {first} to {last} is no run of them.")
                            .with("tray", tray.code())
                            .with("cells", cells)
                            .with("first", first)
                            .with("last", last));
        }
    }

    /** That nothing of any other batch stands in a run of cells, or is to be sown there. */
    private void requireFree(@Nullable BatchFile own, CellRun run) {
        for (BatchFile other : batches.filesIn(run.tray())) {
            if (own != null && other.batch().number() == own.batch().number()) {
                continue;
            }
            IntStream.rangeClosed(run.first(), run.last())
                    .filter(cell -> other.state().cells().containsKey(new Cell(run.tray(), cell))
                            || other.runs().stream().anyMatch(set -> set.cells().contains(new Cell(run.tray(), cell))))
                    .findFirst()
                    .ifPresent(cell -> {
                        throw new Refusal(
                                "firstCell",
                                Said.of("Cell {cell} is for batch {batch}.")
                                        .with("cell", cell)
                                        .with("batch", other.batch().number()));
                    });
        }
    }
}
