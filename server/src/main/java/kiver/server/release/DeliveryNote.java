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
import kiver.server.order.OrderedLine;
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
    private static final float BOTTOM = 280;

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

    /** Plants of one sowing in one tray. */
    private record Origin(int plants, String tray, int batch, LocalDate sown, String lot, String medium) {}

    byte[] print(ReleaseMapper.ReleaseRow release, Order order) {
        Map<Long, List<Origin>> origins = origins(release);
        try (Paper paper = new Paper("Delivery note " + release.number())) {
            paper.page(210, 297);
            paper.text(LEFT, 20, 11, clock.nursery().map(Nursery::name).orElse(""));
            paper.text(LEFT, 28, 22, "Delivery note " + release.number() + (origins.isEmpty() ? ", taken back" : ""));
            paper.text(LEFT, 40, 11, DAY.format(release.day()) + ", order " + order.number());
            paper.text(LEFT, 46, 11, "To " + order.grower() + ", " + order.site() + " (" + order.altitude() + " m)");
            float next = 54;
            for (OrderedLine line : order.lines()) {
                if (origins.containsKey(line.id())) {
                    next = printLine(paper, line, origins.get(line.id()), next);
                }
            }
            next = onPage(paper, next, 20);
            paper.rule(LEFT, next + 2, WIDTH);
            paper.wrapped(LEFT, next + 6, WIDTH, 9,
                    "Plant passports and notifiable pests: rules differ by country; ask your local authority. "
                            + "Please report losses within a fortnight; a few spares are kept until then.");
            return paper.bytes();
        }
    }

    /** What of a line goes along, where it comes from and how to plant it. */
    private float printLine(Paper paper, OrderedLine line, List<Origin> origins, float top) {
        int plants = origins.stream().mapToInt(Origin::plants).sum();
        float next = onPage(paper, top, 50);
        paper.rule(LEFT, next, WIDTH);
        paper.fitted(LEFT, next + 4, WIDTH, 16, plants + " " + line.variety() + " (" + crops.crop(line.crop()).name() + ")");
        paper.text(LEFT, next + 12, 11, line.leavesFrom() + " to " + line.leavesTo() + " true leaves, "
                + crops.container(line.container()).name()
                + (plants < line.plants() ? ", of " + line.plants() + " ordered" : ""));
        paper.text(LEFT, next + 20, 12, "Where they come from");
        next += 27;
        for (Origin origin : origins) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10,
                    origin.plants() + " from tray " + origin.tray() + ": batch " + origin.batch() + ", sown "
                            + DAY.format(origin.sown()) + ", seed lot " + origin.lot() + ", in " + origin.medium());
        }
        next = onPage(paper, next + 4, 30);
        paper.text(LEFT, next, 12, "How to plant");
        next += 7;
        for (String words : PlantingLines.of(crops.crop(line.crop()), line.target())) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, words) + 1;
        }
        return next + 8;
    }

    /** Where to go on when so much room is needed, mm: here, or at the top of a new page. */
    private static float onPage(Paper paper, float top, float needed) {
        if (top + needed <= BOTTOM) {
            return top;
        }
        paper.page(210, 297);
        return 20;
    }

    /** Where what left with each line came from, by the line's number in the database. */
    private Map<Long, List<Origin>> origins(ReleaseMapper.ReleaseRow release) {
        Map<Long, List<Origin>> origins = new TreeMap<>();
        for (BatchFile file : batches.files()) {
            file.releases().stream()
                    .filter(part -> part.release() == release.number())
                    .forEach(part -> origins.computeIfAbsent(part.line(), line -> new ArrayList<>()).addAll(origins(file, part)));
        }
        return origins;
    }

    /** One line for each sowing that plants of a tray came from, wherever they were potted since. */
    private List<Origin> origins(BatchFile file, BatchChange.Released part) {
        Map<Integer, List<CellState>> bySowing = new TreeMap<>();
        for (int number : part.cells()) {
            CellState cell = file.state().cells().get(new Cell(part.tray(), number));
            bySowing.computeIfAbsent(cell.sowing(), sowing -> new ArrayList<>()).add(cell);
        }
        List<Origin> lines = new ArrayList<>();
        bySowing.forEach((sequence, cells) -> {
            BatchState.Sowing sowing = file.state().sowings().get(sequence);
            SeedLot lot = seeds.lot(sowing.sown().lot());
            TrayId sownIn = sowing.sown().run().tray();
            String potted = sownIn.equals(part.tray()) ? "" : " (sown in " + trays.tray(sownIn).code() + ", potted on)";
            lines.add(new Origin(
                    file.state().plants(cells, file.countsSeedlings()), trays.tray(part.tray()).code() + potted,
                    file.batch().number(), sowing.day(), lot.code() + " (" + lot.supplier() + ")", sowing.sown().medium()));
        });
        return lines;
    }
}
