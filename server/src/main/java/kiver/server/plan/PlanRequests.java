package kiver.server.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.crop.Descent;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.OrderLine;
import kiver.core.order.OutdoorSeason;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.PlanRequest;
import kiver.core.plan.WayFinder;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.core.sow.Allowances;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.growth.SeasonService;
import kiver.server.order.OutdoorsBook;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;

/** Puts together all that a plan for a wish depends on, and chooses what the wish leaves open. */
@Service
public class PlanRequests {

    /** More than this a plant rarely takes; a lot with so much is enough. */
    private static final double SEEDS_TO_A_PLANT = 2.5;

    private final NurseryClock clock;
    private final SeasonService seasons;
    private final CropBook crops;
    /** Days before the target over which it is asked how warm and light plants are raised. */
    private static final int DAYS_RAISED = 40;

    private final SeedStore seeds;
    private final LotKnowledge lots;
    private final BatchBook batches;
    private final OutdoorsBook outdoors;

    PlanRequests(
            NurseryClock clock,
            SeasonService seasons,
            CropBook crops,
            SeedStore seeds,
            LotKnowledge lots,
            BatchBook batches,
            OutdoorsBook outdoors) {
        this.clock = clock;
        this.seasons = seasons;
        this.crops = crops;
        this.seeds = seeds;
        this.lots = lots;
        this.batches = batches;
        this.outdoors = outdoors;
    }

    /**
     * A request with what was chosen for it.
     *
     * @param request to be planned
     * @param season to look into
     * @param programme of hardening
     * @param lot to sow from, when there is one
     */
    public record Prepared(PlanRequest request, Season season, HardeningProgramme programme, Optional<SeedLot> lot) {}

    /** The request for a wish as things stand now. */
    public Prepared prepare(Wish wish) {
        return prepare(wish, batches.files());
    }

    /** The same, were a batch that is planned not there: its seed is free. */
    public Prepared prepareInsteadOf(Wish wish, BatchFile planned) {
        return prepare(
                wish,
                batches.files().stream()
                        .filter(file ->
                                !file.batch().id().equals(planned.batch().id()))
                        .toList());
    }

    private Prepared prepare(Wish wish, List<BatchFile> files) {
        LocalDate today = clock.today();
        OrderLine line = wish.line(today);
        Variety variety = crops.variety(wish.varietyId());
        Crop crop = crops.cropOf(variety);
        Container last = crops.container(wish.container());
        Season season = seasons.season(today);
        Way usual = WayFinder.wayFor(season, crop, today);
        LocalDate raised = line.target().minusDays(DAYS_RAISED);
        LocalDate raisedFrom = raised.isBefore(today) ? today : raised;
        HardeningProgramme programme = HardeningProgramme.usualFor(
                crop.hardiness(),
                season.meanTemperature(usual.growingOn(), raisedFrom, DAYS_RAISED)
                        - season.meanTemperature(usual.hardening(), raisedFrom, DAYS_RAISED),
                season.meanLight(usual.growingOn(), raisedFrom, DAYS_RAISED)
                        / crop.leaves().lightNeed());
        // A batch that is left out here is not sown yet and has taught nothing.
        LotKnowledge.OfAll known = lots.ofAll(batches.files());
        Optional<SeedLot> lot = chooseLot(wish, variety, files, known, today);
        Germination germination =
                lot.map(chosen -> known.germination(chosen, today, 0)).orElse(null);
        Optional<OutdoorSeason> outside = Optional.ofNullable(wish.siteId())
                .map(site -> outdoors.season(crop, site, wish.protection(), line.target()));
        PlanRequest request = new PlanRequest(
                line,
                lot.map(chosen -> crops.cropOf(new Descent(
                                variety.crop(), variety.id(), chosen.id().number())))
                        .orElse(crop),
                path(wish, crop, last),
                outside,
                germination,
                lot.map(chosen -> seedsFree(chosen, files)).orElse(0),
                Allowances.USUAL,
                wish.seedsPerCell() == null ? 0 : wish.seedsPerCell(),
                programme.days(),
                wish.standsOverWinter(),
                today);
        return new Prepared(request, season, programme, lot);
    }

    private ContainerPath path(Wish wish, Crop crop, Container last) {
        ContainerPath.Kind kind = wish.containerPath() == null ? ContainerPath.Kind.STRAIGHT : wish.containerPath();
        return ContainerPath.of(kind, last, crop, crops.containers())
                .orElseThrow(() -> new Refusal(
                        "containerPath",
                        Said.of("The nursery has no containers for this path into {last}, or {crop} is not grown so.")
                                .with("last", last.name())
                                .with("crop", crop.name().toLowerCase(Locale.ROOT))));
    }

    /** The lot asked for; else of those with seed free, enough of it if may be, the one that germinates best. */
    private Optional<SeedLot> chooseLot(
            Wish wish, Variety variety, List<BatchFile> files, LotKnowledge.OfAll known, LocalDate today) {
        if (wish.lotId() != null) {
            SeedLot asked = seeds.lot(new LotId(wish.lotId()));
            if (asked.varietyId() != variety.id()) {
                throw new Refusal(
                        "lotId", Said.of("Lot {asked} is of another variety.").with("asked", asked.code()));
            }
            return Optional.of(asked);
        }
        return seeds.lotsOf(variety.id()).stream()
                .filter(lot -> seedsFree(lot, files) > 0)
                .max(Comparator.comparing((SeedLot lot) -> seedsFree(lot, files) >= SEEDS_TO_A_PLANT * wish.plants())
                        .thenComparingDouble(
                                lot -> known.germination(lot, today, 0).mean()));
    }

    /** Seeds left in the lot that no planned batch is waiting for. */
    private static int seedsFree(SeedLot lot, List<BatchFile> files) {
        int spokenFor = files.stream()
                .filter(file -> file.batch().lot().equals(lot.id()))
                .mapToInt(PlanRequests::seedsToSow)
                .sum();
        return Math.max(0, lot.seedsLeft() - spokenFor);
    }

    private static int seedsToSow(BatchFile file) {
        return file.toSow().stream().mapToInt(run -> run.length()).sum()
                * file.batch().seedsPerCell();
    }
}
