package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellState;
import kiver.core.batch.RecordedChange;
import kiver.core.labels.CheckedCode;
import kiver.core.labels.LabelFormat;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.print.Paper;
import kiver.server.problem.NotFound;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.WholeDay;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** Prints the labels of a batch, one for each run of cells; labels are written before sowing, so a plan is enough. */
@Component
class LabelPrinter {

    private static final float MARGIN = 2;

    /** Lines closer together than this, mm, cannot be read at the bench. */
    private static final float LOWEST_LINE = 3.2f;

    private static final float POINTS_PER_MM = 72f / 25.4f;

    private final BatchBook batches;
    private final TrayBook trays;
    private final SeedStore seeds;
    private final CropBook crops;
    private final Wording wording;

    LabelPrinter(BatchBook batches, TrayBook trays, SeedStore seeds, CropBook crops, Wording wording) {
        this.wording = wording;
        this.batches = batches;
        this.trays = trays;
        this.seeds = seeds;
        this.crops = crops;
    }

    /** What a run of cells got. */
    private enum Filled {
        SOWN,
        BOUGHT_IN,
        POTTED_ON
    }

    /** A run of cells; no seeds to a cell but where they are sown. */
    private record Label(CellRun run, LotId lot, Filled filled, int seedsPerCell, LocalDate day) {}

    /** The labels of batches, one after the other in a format. */
    byte[] labels(List<Integer> numbers, LabelFormat format, String address) {
        try (Paper paper = new Paper(
                wording.say(
                        numbers.size() == 1
                                ? Said.of("Labels of batch {number}").with("number", numbers.get(0))
                                : Said.of("Labels")),
                SpokenTo.now().language().tag())) {
            int place = 0;
            for (int number : numbers) {
                BatchFile file = batches.file(number);
                for (Label label : labels(file)) {
                    if (place % format.perSheet() == 0) {
                        paper.page(format.sheetWidth(), format.sheetHeight());
                    }
                    print(paper, file, label, address, format, place++);
                }
            }
            if (place == 0) {
                throw new NotFound(Said.of("There is nothing to print a label for."));
            }
            return paper.bytes();
        }
    }

    /** Those of trays that are filled, in the order in which it was done; then those still to be sown. */
    private static List<Label> labels(BatchFile file) {
        List<Label> labels = new ArrayList<>();
        BatchState state = file.state();
        state.sowings()
                .values()
                .forEach(sowing -> labels.add(new Label(
                        sowing.sown().run(),
                        sowing.sown().lot(),
                        Filled.SOWN,
                        sowing.sown().seedsPerCell(),
                        sowing.day())));
        state.arrivals()
                .values()
                .forEach(arrival -> labels.add(
                        new Label(arrival.plants().run(), arrival.plants().lot(), Filled.BOUGHT_IN, 0, arrival.day())));
        for (RecordedChange recorded : state.changes()) {
            if (recorded.change() instanceof BatchChange.PottedOn potted && !state.isCorrected(recorded.sequence())) {
                labels.addAll(potted(state, potted.into(), recorded.day()));
            }
        }
        labels.removeIf(label -> label.run().cells().stream().noneMatch(state.cells()::containsKey));
        labels.addAll(movedOver(state, labels));
        file.toSow()
                .forEach(run -> labels.add(new Label(
                        run,
                        file.batch().lot(),
                        file.batch().isBoughtIn() ? Filled.BOUGHT_IN : Filled.SOWN,
                        file.batch().seedsPerCell(),
                        file.batch().sowDay())));
        return labels;
    }

    /** Those of trays that plants went over into and in which none of its own was begun. */
    private static List<Label> movedOver(BatchState state, List<Label> others) {
        Set<TrayId> told = others.stream().map(label -> label.run().tray()).collect(Collectors.toSet());
        List<Label> labels = new ArrayList<>();
        for (RecordedChange recorded : state.changes()) {
            if (recorded.change() instanceof BatchChange.CellsMoved moved
                    && !state.isCorrected(recorded.sequence())
                    && told.add(moved.into())) {
                state.spanIn(moved.into()).ifPresent(run -> labels.addAll(potted(state, run, recorded.day())));
            }
        }
        return labels;
    }

    /** One label for each run of a lot in what plants were potted into. */
    private static List<Label> potted(BatchState state, CellRun into, LocalDate day) {
        List<Label> labels = new ArrayList<>();
        for (Cell cell : into.cells()) {
            CellState plant = state.cells().get(cell);
            if (plant == null) {
                continue;
            }
            LotId lot = state.lotOf(plant.sowing());
            Label last = labels.isEmpty() ? null : labels.get(labels.size() - 1);
            boolean goesOn =
                    last != null && last.lot().equals(lot) && last.run().last() == cell.number() - 1;
            int first = goesOn ? last.run().first() : cell.number();
            if (goesOn) {
                labels.remove(labels.size() - 1);
            }
            labels.add(new Label(new CellRun(cell.tray(), first, cell.number()), lot, Filled.POTTED_ON, 0, day));
        }
        return labels;
    }

    /** Code and mark at the sides, between them as many lines as can be read; what matters most comes first. */
    private void print(Paper paper, BatchFile file, Label label, String address, LabelFormat format, int place) {
        Tray tray = trays.tray(label.run().tray());
        float left = format.left(place) + MARGIN;
        float top = format.top(place) + MARGIN;
        float height = format.height() - 2 * MARGIN;
        float code = Math.min(height, format.width() * 0.28f);
        float mark = Math.min(6, height / 3);
        paper.code(left, top, code, address + "/trays/" + tray.number());
        paper.mark(
                format.left(place) + format.width() - MARGIN - mark,
                top + height - mark,
                mark,
                label.filled() == Filled.POTTED_ON ? "POTTED_ON" : "SOWN",
                "");
        List<Said> lines = lines(file, label, tray);
        int shown = Math.min(lines.size(), Math.max(2, (int) (height / LOWEST_LINE) - 1));
        float line = height / (shown + 0.6f);
        float words = left + code + 3;
        float width = format.width() - code - 5 - MARGIN;
        float at = top;
        for (int index = 0; index < shown; index++) {
            boolean first = index == 0;
            float size = Math.min(first ? 15 : 10, line * POINTS_PER_MM * (first ? 1.1f : 0.72f));
            paper.fitted(
                    first ? Paper.Kind.HEADING : Paper.Kind.PLAIN,
                    words,
                    at,
                    index == shown - 1 ? width - mark - 1 : width,
                    size,
                    wording.say(lines.get(index)));
            at += first ? line * 1.5f : line;
        }
    }

    private List<Said> lines(BatchFile file, Label label, Tray tray) {
        SeedLot lot = seeds.lot(label.lot());
        return List.of(
                Said.plain(file.batch().variety()),
                Said.of("{tray}, cells {first} to {last}")
                        .with("tray", CheckedCode.ofTray(tray.number()))
                        .with("first", label.run().first())
                        .with("last", label.run().last()),
                switch (label.filled()) {
                    case BOUGHT_IN -> Said.of("Bought in, {day}").with("day", new WholeDay(label.day()));
                    case POTTED_ON ->
                        Said.of("Potted on {day}{grade, select, SMALL {, small} SPARE {, spare} other {}}")
                                .with("day", new WholeDay(label.day()))
                                .with(
                                        "grade",
                                        file.state().gradeOf(label.run().tray()).name());
                    case SOWN ->
                        Said.of("Sown {day}, {seeds} a cell")
                                .with("day", new WholeDay(label.day()))
                                .with("seeds", label.seedsPerCell());
                },
                Said.of("Lot {lot}, {supplier}").with("lot", lot.code()).with("supplier", lot.supplier()),
                Said.of("{crop}, batch {number}")
                        .with("crop", crops.crop(file.batch().crop()).name())
                        .with("number", file.batch().number()));
    }
}
