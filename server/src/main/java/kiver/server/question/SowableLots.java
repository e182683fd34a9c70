package kiver.server.question;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.plan.PlanRequest;
import kiver.core.plan.WayFinder;
import kiver.core.promise.StillToSow;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import org.springframework.stereotype.Component;

/** What can still be sown of the seed in hand, the question turned round. */
@Component
class SowableLots {

    /** What is less likely is not worth the tray. */
    private static final double LEAST_CHANCE = 0.1;

    /** The line only tells the stage; its day has to lie somewhere within what is looked at. */
    private static final int ANY_DAY = 100;

    private final PlanRequests requests;
    private final SeedStore seeds;
    private final CropBook crops;
    private final OrderBook orders;
    private final NurseryClock clock;

    SowableLots(PlanRequests requests, SeedStore seeds, CropBook crops, OrderBook orders, NurseryClock clock) {
        this.requests = requests;
        this.seeds = seeds;
        this.crops = crops;
        this.orders = orders;
        this.clock = clock;
    }

    /** The lots of which something would come, were they sown on the day that was said; those of a kind that was named alone. */
    Answered.StillToSowView of(Asked asked, Habits habits) {
        LocalDate today = clock.today();
        LocalDate sowDay = asked.day()
                .map(DaySpan::first)
                .filter(day -> day.isAfter(today))
                .orElse(today);
        Optional<Site> site = asked.sites().stream().findFirst().map(orders::site);
        List<Answered.SowableLot> lots = new ArrayList<>();
        int nothing = 0;
        for (SeedLot lot : seeds.lotsInUse()) {
            if (lot.seedsLeft() == 0
                    || !(asked.varieties().isEmpty() || asked.varieties().contains(lot.varietyId()))) {
                continue;
            }
            Optional<Answered.SowableLot> sowable = sowable(lot, asked, sowDay, habits);
            sowable.ifPresent(lots::add);
            nothing += sowable.isEmpty() ? 1 : 0;
        }
        lots.sort(Comparator.comparing((Answered.SowableLot lot) -> lot.chance() < 0.5)
                .thenComparing(Answered.SowableLot::lastDay, Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(
                        Comparator.comparingDouble(Answered.SowableLot::chance).reversed())
                .thenComparing(Answered.SowableLot::variety));
        return new Answered.StillToSowView(
                sowDay, site.map(Site::id).orElse(null), site.map(Site::name).orElse(null), lots, nothing);
    }

    /** A lot that cannot be worked out does not keep the others from being shown. */
    private Optional<Answered.SowableLot> sowable(SeedLot lot, Asked asked, LocalDate sowDay, Habits habits) {
        Variety variety = crops.variety(lot.varietyId());
        ContainerCode container = asked.containers().stream().findFirst().orElseGet(() -> habits.container(variety));
        Wish wish = new Wish(
                        variety.id(),
                        container,
                        1,
                        habits.stage(variety).from(),
                        habits.stage(variety).to(),
                        clock.today().plusDays(ANY_DAY),
                        null,
                        lot.id().number())
                .at(asked.sites().stream().findFirst().orElse(null))
                .covered(asked.protection().orElse(null));
        try {
            PlanRequests.Prepared prepared = requests.prepare(wish);
            PlanRequest request = prepared.request();
            Crop crop = request.crop();
            return request.seedsInStock() == 0
                    ? Optional.empty()
                    : StillToSow.of(
                                    request,
                                    prepared.season(),
                                    WayFinder.wayFor(prepared.season(), crop, sowDay),
                                    sowDay)
                            .filter(still -> still.chance() >= LEAST_CHANCE && still.plants() > 0)
                            .map(still -> new Answered.SowableLot(
                                    lot.id().number(),
                                    lot.code(),
                                    variety.id(),
                                    variety.name(),
                                    crop.name(),
                                    request.seedsInStock(),
                                    crops.container(container).name(),
                                    still.ready(),
                                    still.goesOut(),
                                    still.lastDay().orElse(null),
                                    still.chance(),
                                    still.plants()));
        } catch (Refusal | IllegalArgumentException cannotBe) {
            return Optional.empty();
        }
    }
}
