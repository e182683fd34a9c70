package kiver.server.release;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellState;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.order.Order;
import kiver.server.print.Paper;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** Prints the note that goes with the plants: what, how many, where every plant came from, and how to plant. */
@Component
class DeliveryNote {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);
    private static final float LEFT = 20;
    private static final float WIDTH = 170;

    private final BatchBook batches;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final NurseryClock clock;

    DeliveryNote(BatchBook batches, SeedStore seeds, TrayBook trays, CropBook crops, NurseryClock clock) {
        this.batches = batches;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.clock = clock;
    }

    private record Line(int plants, String tray, int batch, LocalDate sown, String lot, String medium) {}

    byte[] print(Release release, Order order) {
        List<Line> lines = lines(release);
        int plants = lines.stream().mapToInt(Line::plants).sum();
        try (Paper paper = new Paper("Delivery note " + release.number())) {
            paper.page(210, 297);
            paper.text(LEFT, 20, 11, clock.nursery().map(Nursery::name).orElse(""));
            paper.text(LEFT, 28, 22, "Delivery note " + release.number() + (lines.isEmpty() ? ", taken back" : ""));
            paper.text(LEFT, 40, 11, DAY.format(release.day()) + ", order " + order.number());
            paper.text(LEFT, 46, 11, "To " + order.grower() + ", " + order.site() + " (" + order.altitude() + " m)");
            paper.rule(LEFT, 54, WIDTH);
            paper.fitted(LEFT, 58, WIDTH, 18,
                    plants + " " + order.variety() + " (" + crops.crop(order.crop()).name() + ")");
            paper.text(LEFT, 67, 11, order.leavesFrom() + " to " + order.leavesTo() + " true leaves, "
                    + crops.container(order.container()).name()
                    + (plants < order.plants() ? ", of " + order.plants() + " ordered" : ""));
            float next = printTrace(paper, lines, 78);
            next = printPlanting(paper, order, next + 6);
            paper.wrapped(LEFT, next + 6, WIDTH, 9,
                    "Plant passports and notifiable pests: rules differ by country; ask your local authority. "
                            + "Please report losses within a fortnight; a few spares are kept until then.");
            return paper.bytes();
        }
    }

    private float printTrace(Paper paper, List<Line> lines, float top) {
        paper.text(LEFT, top, 12, "Where they come from");
        float next = top + 7;
        for (Line line : lines) {
            if (next > 200) {
                paper.page(210, 297);
                next = 20;
            }
            next = paper.wrapped(LEFT, next, WIDTH, 10,
                    line.plants() + " from tray " + line.tray() + ": batch " + line.batch() + ", sown "
                            + DAY.format(line.sown()) + ", seed lot " + line.lot() + ", in " + line.medium());
        }
        return next;
    }

    private float printPlanting(Paper paper, Order order, float top) {
        paper.text(LEFT, top, 12, "How to plant");
        float next = top + 7;
        for (String line : PlantingLines.of(crops.crop(order.crop()), order.target())) {
            next = paper.wrapped(LEFT, next, WIDTH, 10, line) + 1;
        }
        return next;
    }

    private List<Line> lines(Release release) {
        List<Line> lines = new ArrayList<>();
        for (BatchFile file : batches.files()) {
            BatchState state = file.state();
            state.changes().stream()
                    .filter(change -> !state.isCorrected(change.sequence()))
                    .filter(change -> change.change() instanceof BatchChange.Released)
                    .map(change -> (BatchChange.Released) change.change())
                    .filter(part -> part.release() == release.number())
                    .forEach(part -> lines.addAll(lines(file, part)));
        }
        return lines;
    }

    /** One line for each sowing that plants of a tray came from, wherever they were potted since. */
    private List<Line> lines(BatchFile file, BatchChange.Released part) {
        Map<Integer, List<CellState>> bySowing = new TreeMap<>();
        for (int number : part.cells()) {
            CellState cell = file.state().cells().get(new Cell(part.tray(), number));
            bySowing.computeIfAbsent(cell.sowing(), sowing -> new ArrayList<>()).add(cell);
        }
        List<Line> lines = new ArrayList<>();
        bySowing.forEach((sequence, cells) -> {
            BatchState.Sowing sowing = file.state().sowings().get(sequence);
            SeedLot lot = seeds.lot(sowing.sown().lot());
            TrayId sownIn = sowing.sown().run().tray();
            String potted = sownIn.equals(part.tray()) ? "" : " (sown in " + trays.tray(sownIn).code() + ", potted on)";
            lines.add(new Line(
                    file.state().plants(cells, file.countsSeedlings()), trays.tray(part.tray()).code() + potted,
                    file.batch().number(), sowing.day(), lot.code() + " (" + lot.supplier() + ")", sowing.sown().medium()));
        });
        return lines;
    }
}
