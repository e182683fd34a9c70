package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellState;
import kiver.core.batch.RecordedChange;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.print.Paper;
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

    private static final float WIDTH = 90;
    private static final float HEIGHT = 29;

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

    byte[] labels(int number, String address) {
        BatchFile file = batches.file(number);
        try (Paper paper = new Paper(
                wording.say(Said.of("Labels of batch {number}").with("number", number)),
                SpokenTo.now().language().tag())) {
            for (Label label : labels(file)) {
                print(paper, file, label, address);
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
        file.toSow()
                .forEach(run -> labels.add(new Label(
                        run,
                        file.batch().lot(),
                        file.batch().isBoughtIn() ? Filled.BOUGHT_IN : Filled.SOWN,
                        file.batch().seedsPerCell(),
                        file.batch().sowDay())));
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

    private void print(Paper paper, BatchFile file, Label label, String address) {
        Tray tray = trays.tray(label.run().tray());
        SeedLot lot = seeds.lot(label.lot());
        paper.page(WIDTH, HEIGHT);
        paper.code(2, 2, 25, address + "/trays/" + tray.number());
        paper.mark(82, 22, 6, label.filled() == Filled.POTTED_ON ? "POTTED_ON" : "SOWN", "");
        paper.fitted(Paper.Kind.HEADING, 30, 2.5f, 58, 15, file.batch().variety());
        paper.fitted(
                Paper.Kind.PLAIN,
                30,
                9.5f,
                58,
                10,
                wording.say(Said.of("{crop}, batch {number}")
                        .with("crop", crops.crop(file.batch().crop()).name())
                        .with("number", file.batch().number())));
        paper.fitted(
                Paper.Kind.PLAIN,
                30,
                14.5f,
                58,
                9,
                wording.say(
                        switch (label.filled()) {
                            case BOUGHT_IN -> Said.of("Bought in, {day}").with("day", new WholeDay(label.day()));
                            case POTTED_ON -> Said.of("Potted on {day}").with("day", new WholeDay(label.day()));
                            case SOWN ->
                                Said.of("Sown {day}, {seeds} a cell")
                                        .with("day", new WholeDay(label.day()))
                                        .with("seeds", label.seedsPerCell());
                        }));
        paper.fitted(
                Paper.Kind.PLAIN,
                30,
                19,
                58,
                9,
                wording.say(
                        Said.of("Lot {lot}, {supplier}").with("lot", lot.code()).with("supplier", lot.supplier())));
        paper.fitted(
                Paper.Kind.PLAIN,
                30,
                23.5f,
                50,
                9,
                wording.say(Said.of("{tray}, cells {first} to {last}")
                        .with("tray", tray.code())
                        .with("first", label.run().first())
                        .with("last", label.run().last())));
    }
}
