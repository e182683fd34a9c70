package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.print.Paper;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
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

    /** A run of cells; no seeds to a cell where its plants were bought in. */
    private record Label(CellRun run, LotId lot, int seedsPerCell, LocalDate day) {}

    byte[] labels(int number, String address) {
        BatchFile file = batches.file(number);
        try (Paper paper =
                new Paper(wording.say(Said.of("Labels of batch {number}").with("number", number)))) {
            for (Label label : labels(file)) {
                print(paper, file, label, address);
            }
            return paper.bytes();
        }
    }

    private static List<Label> labels(BatchFile file) {
        List<Label> labels = new ArrayList<>();
        file.state()
                .sowings()
                .values()
                .forEach(sowing -> labels.add(new Label(
                        sowing.sown().run(), sowing.sown().lot(), sowing.sown().seedsPerCell(), sowing.day())));
        file.state()
                .arrivals()
                .values()
                .forEach(arrival -> labels.add(
                        new Label(arrival.plants().run(), arrival.plants().lot(), 0, arrival.day())));
        file.toSow()
                .forEach(run -> labels.add(new Label(
                        run,
                        file.batch().lot(),
                        file.batch().isBoughtIn() ? 0 : file.batch().seedsPerCell(),
                        file.batch().sowDay())));
        return labels;
    }

    private void print(Paper paper, BatchFile file, Label label, String address) {
        Tray tray = trays.tray(label.run().tray());
        SeedLot lot = seeds.lot(label.lot());
        paper.page(WIDTH, HEIGHT);
        paper.code(2, 2, 25, address + "/trays/" + tray.number());
        paper.fitted(30, 2.5f, 58, 15, file.batch().variety());
        paper.fitted(
                30,
                9.5f,
                58,
                10,
                wording.say(Said.of("{crop}, batch {number}")
                        .with("crop", crops.crop(file.batch().crop()).name())
                        .with("number", file.batch().number())));
        paper.fitted(
                30,
                14.5f,
                58,
                9,
                wording.say(
                        label.seedsPerCell() == 0
                                ? Said.of("Bought in, {day}").with("day", new WholeDay(label.day()))
                                : Said.of("Sown {day}, {seeds} a cell")
                                        .with("day", new WholeDay(label.day()))
                                        .with("seeds", label.seedsPerCell())));
        paper.fitted(
                30,
                19,
                58,
                9,
                wording.say(
                        Said.of("Lot {lot}, {supplier}").with("lot", lot.code()).with("supplier", lot.supplier())));
        paper.fitted(
                30,
                23.5f,
                58,
                9,
                wording.say(Said.of("{tray}, cells {first} to {last}")
                        .with("tray", tray.code())
                        .with("first", label.run().first())
                        .with("last", label.run().last())));
    }
}
