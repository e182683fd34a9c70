package kiver.server.sow;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.Crop;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.core.sow.LotWorth;
import kiver.core.sow.SeedNeeds;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
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
     * What is known of a lot.
     *
     * @param label share that came up when it was tested
     * @param germination to be expected now; eight times in ten it is from {@code low} to {@code high}
     * @param old whether its test is long ago
     * @param poor whether it comes up badly
     * @param cellsForHundred cells that a hundred plants take with this lot, two seeds a cell; missing where no number is enough
     * @param cellsForHundredFresh the same with fresh seed of 90 %
     */
    record LotQuality(
            LocalDate testedOn,
            double label,
            double germination,
            double low,
            double high,
            boolean old,
            boolean poor,
            @Nullable Integer cellsForHundred,
            int cellsForHundredFresh) {}

    /** What of a lot is in the store and what the plan asks of it, in seeds and grams. */
    record LotStock(
            int seeds, double grams, int needed, @Nullable LocalDate shortFrom, int lacking, double lackingGrams) {}

    /** A lot with what is asked of it. */
    record LotLine(
            long id, String code, String variety, String crop, String supplier, LotQuality quality, LotStock stock) {}

    /** Seed to buy, from one supplier. */
    record BuyingLine(String supplier, String variety, int seeds, double grams, LocalDate neededBy) {}

    /** The seed store against the plan. */
    record SeedNeedsView(List<LotLine> lots, List<SowingLine> sowings, List<BuyingLine> buying) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/seed-needs")
    SeedNeedsView needs() {
        LocalDate today = clock.today();
        List<BatchFile> files = batches.files();
        List<SeedLot> all = seeds.lots();
        Map<LotId, SeedLot> byId = all.stream().collect(Collectors.toMap(SeedLot::id, lot -> lot));
        List<SeedNeeds.Sowing> sowings = files.stream()
                .filter(file -> !file.toSow().isEmpty()
                        && !file.batch().isBoughtIn()
                        && !file.batch().target().isBefore(today))
                .map(file -> new SeedNeeds.Sowing(
                        file.batch().number(),
                        file.batch().lot(),
                        later(file.batch().sowDay(), today),
                        file.toSow().stream().mapToInt(run -> run.length()).sum()
                                * file.batch().seedsPerCell()))
                .toList();
        Map<LotId, Integer> stock = all.stream().collect(Collectors.toMap(SeedLot::id, SeedLot::seedsLeft));
        Map<LotId, SeedNeeds.LotNeed> needs = new HashMap<>();
        SeedNeeds.of(sowings, stock).forEach(need -> needs.put(need.lot(), need));
        LotKnowledge.OfAll known = lots.ofAll(files);
        List<LotLine> lines = all.stream()
                .map(lot -> line(lot, needs.get(lot.id()), known.germination(lot, today, 0), today))
                .sorted(Comparator.comparing((LotLine line) -> line.stock().shortFrom() == null
                                ? LocalDate.MAX
                                : line.stock().shortFrom())
                        .thenComparing(LotLine::variety))
                .toList();
        return new SeedNeedsView(lines, sowingLines(sowings, needs, byId), buying(lines));
    }

    private LotLine line(SeedLot lot, @Nullable SeedNeeds.LotNeed need, Germination germination, LocalDate today) {
        Variety variety = crops.variety(lot.varietyId());
        Crop crop = crops.cropOf(variety);
        double gram = crop.seed().thousandSeedWeight() / 1000;
        int lacking = need == null ? 0 : need.lacking();
        LotWorth worth = new LotWorth(germination, lot.testedOn());
        return new LotLine(
                lot.id().number(),
                lot.code(),
                variety.name(),
                crop.name(),
                lot.supplier(),
                new LotQuality(
                        lot.testedOn(),
                        lot.germinationLabel(),
                        germination.mean(),
                        germination.quantile(0.1),
                        germination.quantile(0.9),
                        worth.isOldOn(today),
                        worth.isPoor(),
                        worth.cellsForHundred().isPresent()
                                ? worth.cellsForHundred().getAsInt()
                                : null,
                        LotWorth.CELLS_FOR_HUNDRED_FRESH),
                new LotStock(
                        lot.seedsLeft(),
                        lot.seedsLeft() * gram,
                        need == null ? 0 : need.seeds(),
                        need == null ? null : need.shortFrom().orElse(null),
                        lacking,
                        lacking * gram));
    }

    private List<SowingLine> sowingLines(
            List<SeedNeeds.Sowing> sowings, Map<LotId, SeedNeeds.LotNeed> needs, Map<LotId, SeedLot> byId) {
        return sowings.stream()
                .sorted(Comparator.comparing(SeedNeeds.Sowing::day).thenComparing(SeedNeeds.Sowing::batch))
                .map(sowing -> {
                    SeedLot lot = byId.get(sowing.lot());
                    Variety variety = crops.variety(lot.varietyId());
                    double gram = crops.cropOf(variety).seed().thousandSeedWeight() / 1000;
                    boolean lacks = needs.get(sowing.lot())
                            .shortFrom()
                            .map(day -> !sowing.day().isBefore(day))
                            .orElse(false);
                    return new SowingLine(
                            sowing.batch(),
                            sowing.day(),
                            variety.name(),
                            lot.code(),
                            sowing.seeds(),
                            sowing.seeds() * gram,
                            lacks);
                })
                .toList();
    }

    private static List<BuyingLine> buying(List<LotLine> lines) {
        return lines.stream()
                .filter(line -> line.stock().lacking() > 0)
                .map(line -> new BuyingLine(
                        line.supplier(),
                        line.variety(),
                        line.stock().lacking(),
                        line.stock().lackingGrams(),
                        line.stock().shortFrom()))
                .sorted(Comparator.comparing(BuyingLine::supplier).thenComparing(BuyingLine::neededBy))
                .toList();
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }
}
