package kiver.server.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.OrderLine;
import kiver.core.plan.Allowances;
import kiver.core.plan.Plan;
import kiver.core.plan.PlanRequest;
import kiver.core.plan.Planner;
import kiver.core.plan.WayFinder;
import kiver.core.seed.Germination;
import kiver.core.sow.SowingOption;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.batch.NewBatch;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes plans, and turns an accepted one into an order with a batch. */
@Service
public class PlanService {

    private final NurseryClock clock;
    private final SeasonService seasons;
    private final CropBook crops;
    private final SeedStore seeds;
    private final LotKnowledge lots;
    private final BatchBook batches;
    private final TrayBook trays;
    private final OrderBook orders;
    private final Requests requests;

    PlanService(
            NurseryClock clock,
            SeasonService seasons,
            CropBook crops,
            SeedStore seeds,
            LotKnowledge lots,
            BatchBook batches,
            TrayBook trays,
            OrderBook orders,
            Requests requests) {
        this.clock = clock;
        this.seasons = seasons;
        this.crops = crops;
        this.seeds = seeds;
        this.lots = lots;
        this.batches = batches;
        this.trays = trays;
        this.orders = orders;
        this.requests = requests;
    }

    /** A plan with the choices that were made for it. */
    record Planned(
            Plan plan, Crop crop, Container container, Season season, Way way, HardeningProgramme programme,
            Optional<SeedLot> lot, Germination germination) {}

    /** The plan for a wish as things stand now. */
    @Transactional(readOnly = true)
    public Planned plan(Wish wish) {
        LocalDate today = clock.today();
        OrderLine line = wish.line(today);
        Variety variety = crops.variety(wish.varietyId());
        Crop crop = crops.cropOf(variety);
        Container container = crops.container(wish.container());
        Season season = seasons.season(today);
        Way way = WayFinder.wayFor(season, crop, today);
        HardeningProgramme programme =
                HardeningProgramme.usualFor(crop.hardiness(), season.meanTemperature(way.growingOn(), today, 40));
        List<BatchFile> files = batches.files();
        Optional<SeedLot> lot = chooseLot(wish, variety, files, today);
        Germination germination =
                lot.map(chosen -> lots.germination(chosen, today, files, 0)).orElse(null);
        List<Scenario> scenarios =
                season.scenarios(way, crop.emergence(), crop.leaves(), PaceSpread.BEFORE_ANY_COUNT);
        PlanRequest request = new PlanRequest(
                line, crop, container, germination,
                lot.map(chosen -> seedsFree(chosen, files)).orElse(0),
                Allowances.USUAL,
                wish.seedsPerCell() == null ? 0 : wish.seedsPerCell(),
                programme.days(), today);
        Plan plan;
        try {
            plan = Planner.plan(request, scenarios, season.firstDay());
        } catch (IllegalArgumentException impossible) {
            throw new Refusal("plants", impossible.getMessage());
        }
        return new Planned(plan, crop, container, season, way, programme, lot, germination);
    }

    /**
     * Takes the order and plans its batch into new trays.
     *
     * @return the number of the order
     */
    @Transactional
    public int accept(UUID requestId, long growerId, long siteId, Wish wish) {
        return (int) requests.once(requestId, () -> {
            Planned planned = plan(wish);
            if (!planned.plan().isPossible()) {
                throw new Refusal("target", planned.plan().obstacles().get(0).message());
            }
            LocalDate today = clock.today();
            int order = orders.add(growerId, siteId, wish.varietyId(), wish.container(), wish.line(today), today);
            addBatch(orders.order(order).id(), wish.plants(), planned);
            return order;
        });
    }

    private void addBatch(long orderId, int plants, Planned planned) {
        SowingOption option = planned.plan().chosen().orElseThrow();
        List<CellRun> runs = new ArrayList<>();
        int left = option.cells();
        while (left > 0) {
            int cells = Math.min(left, planned.container().cells());
            runs.add(new CellRun(trays.add(planned.container().code()).trayId(), 1, cells));
            left -= cells;
        }
        int cellsNeeded = (int) Math.ceil(plants / Allowances.USUAL.survival());
        batches.add(
                new NewBatch(
                        orderId,
                        planned.lot().orElseThrow().id(),
                        option.seedsPerCell(),
                        option.cells(),
                        Math.min(cellsNeeded, option.cells()),
                        planned.plan().sowDay().orElseThrow(),
                        planned.plan().window().map(window -> window.latest()).orElse(null),
                        planned.way(),
                        planned.programme()),
                runs);
    }

    /** The lot asked for; else of those with any seed free, the one that germinates best. */
    private Optional<SeedLot> chooseLot(Wish wish, Variety variety, List<BatchFile> files, LocalDate today) {
        if (wish.lotId() != null) {
            SeedLot asked = seeds.lot(wish.lotId());
            if (asked.varietyId() != variety.id()) {
                throw new Refusal("lotId", "Lot " + asked.code() + " is of another variety.");
            }
            return Optional.of(asked);
        }
        return seeds.lotsOf(variety.id()).stream()
                .filter(lot -> seedsFree(lot, files) > 0)
                .max(Comparator.comparingDouble(lot -> lots.germination(lot, today, files, 0).mean()));
    }

    /** Seeds left in the lot that no planned batch is waiting for. */
    private static int seedsFree(SeedLot lot, List<BatchFile> files) {
        int spokenFor = files.stream()
                .filter(file -> file.batch().lotId() == lot.id() && file.state().sownOn().isEmpty())
                .mapToInt(file -> file.batch().cells() * file.batch().seedsPerCell())
                .sum();
        return Math.max(0, lot.seedsLeft() - spokenFor);
    }
}
