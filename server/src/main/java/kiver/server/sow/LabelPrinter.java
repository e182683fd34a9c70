package kiver.server.sow;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.crop.CropBook;
import kiver.server.print.Paper;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** Prints the labels of a batch, one for each run of cells; labels are written before sowing, so a plan is enough. */
@Component
class LabelPrinter {

    private static final float WIDTH = 90;
    private static final float HEIGHT = 29;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

    private final BatchBook batches;
    private final TrayBook trays;
    private final SeedStore seeds;
    private final CropBook crops;

    LabelPrinter(BatchBook batches, TrayBook trays, SeedStore seeds, CropBook crops) {
        this.batches = batches;
        this.trays = trays;
        this.seeds = seeds;
        this.crops = crops;
    }

    private record Label(CellRun run, long lot, int seedsPerCell, LocalDate day) {}

    byte[] labels(int number, String address) {
        BatchFile file = batches.file(number);
        try (Paper paper = new Paper("Labels of batch " + number)) {
            for (Label label : labels(file)) {
                print(paper, file, label, address);
            }
            return paper.bytes();
        }
    }

    private static List<Label> labels(BatchFile file) {
        List<Label> labels = new ArrayList<>();
        file.state().sowings().values().forEach(sowing -> labels.add(new Label(
                sowing.sown().run(), sowing.sown().lot(), sowing.sown().seedsPerCell(), sowing.day())));
        file.toSow().forEach(run -> labels.add(
                new Label(run, file.batch().lotId(), file.batch().seedsPerCell(), file.batch().sowDay())));
        return labels;
    }

    private void print(Paper paper, BatchFile file, Label label, String address) {
        Tray tray = trays.tray(label.run().tray());
        SeedLot lot = seeds.lot(label.lot());
        paper.page(WIDTH, HEIGHT);
        paper.code(2, 2, 25, address + "/trays/" + tray.number());
        paper.fitted(30, 2.5f, 58, 15, file.batch().variety());
        paper.fitted(30, 9.5f, 58, 10, crops.crop(file.batch().crop()).name() + ", batch " + file.batch().number());
        paper.fitted(30, 14.5f, 58, 9, "Sown " + DAY.format(label.day()) + ", " + label.seedsPerCell() + " a cell");
        paper.fitted(30, 19, 58, 9, "Lot " + lot.code() + ", " + lot.supplier());
        paper.fitted(30, 23.5f, 58, 9, tray.code() + ", cells " + label.run().first() + " to " + label.run().last());
    }
}
