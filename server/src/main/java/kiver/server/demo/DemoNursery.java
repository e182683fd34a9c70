package kiver.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.ContainerCode;
import kiver.core.plan.ContainerPath;
import kiver.core.promise.Answer;
import kiver.core.promise.Offer;
import kiver.core.promise.Promise;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.growth.SeasonService;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.outlook.ForecastLedger;
import kiver.server.plan.Wish;
import kiver.server.play.Hands;
import kiver.server.problem.Refusal;
import kiver.server.promise.PromiseService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills an empty database with the invented nursery and lives through its winter day by day up to the opening day.
 * Cut short, it goes on where it stopped at the next start.
 */
@Component
class DemoNursery implements ApplicationRunner {

    static final LocalDate FIRST_DAY = LocalDate.of(2027, 1, 11);
    static final LocalDate OPENING_DAY = LocalDate.of(2027, 4, 15);

    private static final int MOST_TRIES = 4;
    private static final int PAST_YEARS_WHILE_BUILDING = 5;

    /** So long before the opening forecasts are noted with all past years, so that it is seen then what has moved. */
    private static final int DAYS_OF_MOVES = 4;

    private static final Logger LOG = LoggerFactory.getLogger(DemoNursery.class);

    private final boolean wanted;
    private final DemoFounding founding;
    private final NurseryClock clock;
    private final CropBook crops;
    private final OrderBook orders;
    private final PromiseService promises;
    private final Hands hands;
    private final SeasonService seasons;
    private final ForecastLedger forecasts;
    private final DemoOpening opening;
    private final TransactionTemplate transaction;

    DemoNursery(
            @Value("${kiver.demo}") boolean wanted,
            DemoFounding founding,
            NurseryClock clock,
            CropBook crops,
            OrderBook orders,
            PromiseService promises,
            Hands hands,
            SeasonService seasons,
            ForecastLedger forecasts,
            DemoOpening opening,
            TransactionTemplate transaction) {
        this.wanted = wanted;
        this.founding = founding;
        this.clock = clock;
        this.crops = crops;
        this.orders = orders;
        this.promises = promises;
        this.hands = hands;
        this.seasons = seasons;
        this.forecasts = forecasts;
        this.opening = opening;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted) {
            return;
        }
        if (clock.nursery().isEmpty()) {
            transaction.executeWithoutResult(status -> founding.found());
        }
        if (!clock.nursery().orElseThrow().demo()) {
            throw new IllegalStateException("This database holds a real nursery; the demonstration needs its own.");
        }
        seasons.lookBackOn(PAST_YEARS_WHILE_BUILDING);
        while (clock.today().isBefore(OPENING_DAY)) {
            if (clock.today().getDayOfMonth() == 1) {
                LOG.info("Living through the demonstration's winter: {}", clock.today());
            }
            if (clock.today().equals(OPENING_DAY.minusDays(DAYS_OF_MOVES))) {
                seasons.lookBackOn(Integer.MAX_VALUE);
                forecasts.compare();
                seasons.lookBackOn(PAST_YEARS_WHILE_BUILDING);
            }
            liveThroughToday(true);
        }
        seasons.lookBackOn(Integer.MAX_VALUE);
        takeOrders();
        if (clock.today().equals(OPENING_DAY)) {
            opening.live();
        }
        forecasts.compare();
    }

    /** Ends the demonstration's day and begins the next. */
    void liveThroughToday(boolean handsWork) {
        takeOrders();
        if (handsWork) {
            hands.work();
        }
        if (clock.today().getDayOfWeek() == DayOfWeek.MONDAY) {
            forecasts.tell();
        }
        clock.showDay(clock.today().plusDays(1));
    }

    private void takeOrders() {
        LocalDate today = clock.today();
        List<DemoOrders.Wished> all = DemoOrders.between(FIRST_DAY, OPENING_DAY);
        for (int index = 0; index < all.size(); index++) {
            if (all.get(index).placedOn().equals(today)) {
                UUID request = UUID.nameUUIDFromBytes(("order " + index).getBytes(StandardCharsets.UTF_8));
                takeOrder(request, all.get(index), today);
            }
        }
    }

    /** On the telephone: when the day asked for is not a plain yes, the next that is offered is taken; some insist. */
    private void takeOrder(UUID request, DemoOrders.Wished wished, LocalDate today) {
        DemoStock.VarietyEntry entry = DemoStock.varieties().get(wished.variety());
        String growerName = DemoStock.growers().get(wished.grower()).name();
        Variety variety = crops.varieties().stream()
                .filter(each -> each.name().equals(entry.name()))
                .findFirst()
                .orElseThrow();
        Grower grower = orders.growers().stream()
                .filter(each -> each.name().equals(growerName))
                .findFirst()
                .orElseThrow();
        Site site = orders.sites().stream()
                .filter(each -> each.growerId() == grower.id())
                .findFirst()
                .orElseThrow();
        Wish wish = new Wish(
                        variety.id(),
                        new ContainerCode(entry.container()),
                        wished.plants(),
                        entry.leavesFrom(),
                        entry.leavesTo(),
                        today.plusWeeks(wished.weeksAhead()),
                        null,
                        null)
                .at(site.id())
                .along(DemoStock.isPottedUp(entry.crop()) ? ContainerPath.Kind.POTTED_ONCE : null);
        for (int tries = 0; tries < MOST_TRIES; tries++) {
            boolean eager = wished.plants() % 30 == 0 || tries == MOST_TRIES - 1;
            if (eager && isTaken(request, grower, wish)) {
                return;
            }
            Promise promise = promises.check(wish, true).promise();
            if (promise.answer() == Answer.YES && isTaken(request, grower, wish)) {
                return;
            }
            wish = wish.with(wished.plants(), later(promise, wish.target()));
        }
    }

    private boolean isTaken(UUID request, Grower grower, Wish wish) {
        try {
            promises.accept(request, grower.id(), wish, null);
            return true;
        } catch (Refusal notToBeHad) {
            return false;
        }
    }

    /** The later day that was offered, or else a fortnight later. */
    private static LocalDate later(Promise promise, LocalDate target) {
        return promise.offers().stream()
                .filter(offer ->
                        offer.change() == Offer.Change.DAY && offer.target().isAfter(target))
                .map(Offer::target)
                .findFirst()
                .orElse(target.plusWeeks(2));
    }
}
