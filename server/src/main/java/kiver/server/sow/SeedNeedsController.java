package kiver.server.sow;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.Crop;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.Allowances;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.SeedNeeds;
import kiver.core.sow.SowQuantity;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Seed that the plan needs, lined up by sow day, against what is in the store. */
@RestController
class SeedNeedsController {

    private static final int PLANTS_COMPARED = 100;
    private static final Germination FRESH = new Germination(90, 10);
    private static final double POOR = 0.75;
    private static final double OLD_YEARS = 2;

    private final BatchBook batches;
    private final SeedStore seeds;
    private final CropBook crops;
    private final LotKnowledge lots;
    private final NurseryClock clock;

    SeedNeedsController(BatchBook batches, SeedStore seeds, CropBook crops, LotKnowledge lots, NurseryClock clock) {
        this.batches = batches;
        this.seeds = seeds;
        this.crops = crops;
        this.lots = lots;
        this.clock = clock;
    }

    /** A sowing that is planned. */
    record SowingLine(int batch, LocalDate day, String variety, String lot, int seeds, double grams, boolean lacking) {}

    /**
     * A lot with what is asked of it.
     *
     * @param cellsForHundred cells that a hundred plants take with this lot, two seeds a cell; missing where no number is enough
     * @param cellsForHundredFresh the same with fresh seed of 90 %
     */
    record LotLine(
            long id, String code, String variety, String crop, String supplier, LocalDate testedOn, double label,
            double germination, double low, double high, int stock, double stockGrams, int needed,
            @Nullable LocalDate shortFrom, int lacking, double lackingGrams, boolean old, boolean poor,
            @Nullable Integer cellsForHundred, int cellsForHundredFresh) {}

    /** Seed to buy, from one supplier. */
    record BuyingLine(String supplier, String variety, int seeds, double grams, LocalDate neededBy) {}

    /** Seeds that a week's sowings take. */
    record WeekNeed(LocalDate monday, int sowings, int seeds) {}

    /** The seed store against the plan. */
    record SeedNeedsView(List<LotLine> lots, List<SowingLine> sowings, List<WeekNeed> weeks, List<BuyingLine> buying) {}

    @GetMapping("/api/seed-needs")
    SeedNeedsView needs() {
        LocalDate today = clock.today();
        List<BatchFile> files = batches.files();
        List<SeedLot> all = seeds.lots();
        Map<Long, SeedLot> byId = all.stream().collect(Collectors.toMap(SeedLot::id, lot -> lot));
        List<SeedNeeds.Sowing> sowings = files.stream()
                .filter(file -> !file.toSow().isEmpty() && !file.batch().isBoughtIn() && !file.batch().target().isBefore(today))
                .map(file -> new SeedNeeds.Sowing(
                        file.batch().number(), file.batch().lotId(), later(file.batch().sowDay(), today),
                        file.toSow().stream().mapToInt(run -> run.length()).sum() * file.batch().seedsPerCell()))
                .toList();
        Map<Long, Integer> stock = all.stream().collect(Collectors.toMap(SeedLot::id, SeedLot::seedsLeft));
        Map<Long, SeedNeeds.LotNeed> needs = new HashMap<>();
        SeedNeeds.of(sowings, stock).forEach(need -> needs.put(need.lot(), need));
        LotKnowledge.OfAll known = lots.ofAll(files);
        List<LotLine> lines = all.stream()
                .map(lot -> line(lot, needs.get(lot.id()), known.germination(lot, today, 0), today))
                .sorted(Comparator.comparing((LotLine line) -> line.shortFrom() == null ? LocalDate.MAX : line.shortFrom())
                        .thenComparing(LotLine::variety))
                .toList();
        return new SeedNeedsView(lines, sowingLines(sowings, needs, byId), weeks(sowings), buying(lines));
    }

    private LotLine line(SeedLot lot, @Nullable SeedNeeds.LotNeed need, Germination germination, LocalDate today) {
        Variety variety = crops.variety(lot.varietyId());
        Crop crop = crops.cropOf(variety);
        double gram = crop.seed().thousandSeedWeight() / 1000;
        int lacking = need == null ? 0 : need.lacking();
        return new LotLine(
                lot.id(), lot.code(), variety.name(), crop.name(), lot.supplier(), lot.testedOn(), lot.germinationLabel(),
                germination.mean(), germination.quantile(0.1), germination.quantile(0.9), lot.seedsLeft(),
                lot.seedsLeft() * gram, need == null ? 0 : need.seeds(),
                need == null ? null : need.shortFrom().orElse(null), lacking, lacking * gram,
                lot.testedOn().plusDays((long) (365.25 * OLD_YEARS)).isBefore(today), germination.mean() < POOR,
                cells(germination), cells(FRESH));
    }

    private static @Nullable Integer cells(Germination germination) {
        try {
            return new SowQuantity(GerminationNodes.of(germination), 2, Allowances.USUAL.survival())
                    .cellsNeeded(PLANTS_COMPARED, Allowances.USUAL.confidence());
        } catch (IllegalArgumentException noNumberIsEnough) {
            return null;
        }
    }

    private List<SowingLine> sowingLines(
            List<SeedNeeds.Sowing> sowings, Map<Long, SeedNeeds.LotNeed> needs, Map<Long, SeedLot> byId) {
        return sowings.stream()
                .sorted(Comparator.comparing(SeedNeeds.Sowing::day).thenComparing(SeedNeeds.Sowing::batch))
                .map(sowing -> {
                    SeedLot lot = byId.get(sowing.lot());
                    Variety variety = crops.variety(lot.varietyId());
                    double gram = crops.cropOf(variety).seed().thousandSeedWeight() / 1000;
                    boolean lacks = needs.get(sowing.lot()).shortFrom()
                            .map(day -> !sowing.day().isBefore(day)).orElse(false);
                    return new SowingLine(
                            sowing.batch(), sowing.day(), variety.name(), lot.code(), sowing.seeds(), sowing.seeds() * gram,
                            lacks);
                })
                .toList();
    }

    private static List<WeekNeed> weeks(List<SeedNeeds.Sowing> sowings) {
        Map<LocalDate, List<SeedNeeds.Sowing>> byWeek = sowings.stream()
                .collect(Collectors.groupingBy(sowing -> sowing.day().with(java.time.DayOfWeek.MONDAY)));
        List<WeekNeed> weeks = new ArrayList<>();
        byWeek.forEach((monday, each) ->
                weeks.add(new WeekNeed(monday, each.size(), each.stream().mapToInt(SeedNeeds.Sowing::seeds).sum())));
        weeks.sort(Comparator.comparing(WeekNeed::monday));
        return weeks;
    }

    private static List<BuyingLine> buying(List<LotLine> lines) {
        return lines.stream()
                .filter(line -> line.lacking() > 0)
                .map(line -> new BuyingLine(
                        line.supplier(), line.variety(), line.lacking(), line.lackingGrams(), line.shortFrom()))
                .sorted(Comparator.comparing(BuyingLine::supplier).thenComparing(BuyingLine::neededBy))
                .toList();
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }
}
