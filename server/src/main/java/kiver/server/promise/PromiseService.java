package kiver.server.promise;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.order.Protection;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Obstacle;
import kiver.core.promise.Answer;
import kiver.core.promise.Promise;
import kiver.core.promise.PromiseCheck;
import kiver.core.promise.SiteChoice;
import kiver.server.crop.CropBook;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OutdoorsBook;
import kiver.server.order.Site;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.space.SpaceBook;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Checks promises against seed, space and weather, and turns an accepted one into an order with a batch. */
@Service
public class PromiseService {

    private static final int MOST_WEEKS_LATER = 16;

    private final PlanRequests plans;
    private final SpaceBook space;
    private final CropBook crops;
    private final OutdoorsBook outdoors;
    private final OrderBook orders;
    private final Bookings bookings;

    PromiseService(
            PlanRequests plans,
            SpaceBook space,
            CropBook crops,
            OutdoorsBook outdoors,
            OrderBook orders,
            Bookings bookings) {
        this.plans = plans;
        this.space = space;
        this.crops = crops;
        this.outdoors = outdoors;
        this.orders = orders;
        this.bookings = bookings;
    }

    /** A promise with what was put together for it. */
    public record Checked(PlanRequests.Prepared prepared, Promise promise) {}

    /**
     * The answer to a wish as things stand now.
     *
     * @param wish asked
     * @param withOffers whether something near is looked for where it is not a plain yes
     */
    @Transactional(readOnly = true)
    public Checked check(Wish wish, boolean withOffers) {
        PlanRequests.Prepared prepared = plans.prepare(wish);
        List<Container> containers = withOffers ? crops.containers() : List.of();
        PromiseCheck check = new PromiseCheck(
                prepared.season(), space.occupancy(), containers, () -> sites(prepared.request().crop(), wish));
        try {
            return new Checked(prepared, withOffers ? check.check(prepared.request()) : check.answer(prepared.request()));
        } catch (IllegalArgumentException impossible) {
            throw new Refusal("plants", impossible.getMessage());
        }
    }

    /** The wish on every path that ends in its container, the straight one first. */
    @Transactional(readOnly = true)
    public List<Checked> paths(Wish wish) {
        PlanRequests.Prepared prepared = plans.prepare(wish.along(null));
        PromiseCheck check = new PromiseCheck(prepared.season(), space.occupancy(), List.of(), List::of);
        return ContainerPath.all(crops.container(wish.container()), prepared.request().crop(), crops.containers()).stream()
                .map(path -> new PlanRequests.Prepared(
                        prepared.request().in(path), prepared.season(), prepared.programme(), prepared.lot()))
                .map(each -> new Checked(each, check.answer(each.request())))
                .toList();
    }

    /** The first day after one on which so many plants like those of an order can be had. */
    @Transactional(readOnly = true)
    public LocalDate firstDayFor(Order order, int plants, LocalDate after) {
        for (int weeks = 1; weeks <= MOST_WEEKS_LATER; weeks++) {
            LocalDate day = after.plusWeeks(weeks);
            Wish wish = new Wish(
                    order.varietyId(), order.container(), plants, order.leavesFrom(), order.leavesTo(), day, null, null,
                    order.siteId(), null);
            if (check(wish, false).promise().plan().isPossible()) {
                return day;
            }
        }
        throw new Refusal("target", "No day within " + MOST_WEEKS_LATER + " weeks can be met with new plants.");
    }

    /** The site under better cover, and the grower's other sites. */
    private List<SiteChoice> sites(Crop crop, Wish wish) {
        if (wish.siteId() == null) {
            return List.of();
        }
        Site site = orders.site(wish.siteId());
        List<SiteChoice> choices = new ArrayList<>();
        Arrays.stream(Protection.values())
                .filter(protection -> protection.compareTo(site.protection()) > 0)
                .forEach(protection -> choices.add(new SiteChoice(
                        "", "at " + site.name() + ", " + words(protection),
                        outdoors.season(crop, site, protection, wish.target()))));
        orders.sites().stream()
                .filter(other -> other.growerId() == site.growerId() && other.id() != site.id())
                .forEach(other -> choices.add(new SiteChoice(
                        String.valueOf(other.id()), "at " + other.name() + " instead",
                        outdoors.season(crop, other.id(), wish.target()))));
        return choices;
    }

    private static String words(Protection protection) {
        return protection == Protection.OPEN_GROUND
                ? "in the open"
                : "under " + (protection == Protection.LOW_COVER ? "a low cover" : "an unheated tunnel");
    }

    /**
     * Takes the order and plans its batch into new trays.
     *
     * @return the number of the order
     */
    @Transactional
    public int accept(UUID requestId, long growerId, Wish wish, Integer succession) {
        return accept(requestId, growerId, wish, succession, null);
    }

    /**
     * Takes the order, unless the answer has become worse than the one that was seen.
     *
     * @param seen answer that the order was taken on; null where none was shown
     * @return the number of the order
     */
    @Transactional
    public int accept(UUID requestId, long growerId, Wish wish, Integer succession, Answer seen) {
        return bookings.once(requestId, Arrays.asList("order", growerId, wish, succession), () -> {
            bookings.oneAtATime();
            Checked checked = check(wish, false);
            if (seen != null && checked.promise().answer().compareTo(seen) > 0) {
                List<String> why = new ArrayList<>(checked.promise().reasons());
                why.addAll(checked.promise().conditions());
                throw new Refusal("target", "Meanwhile something that this rested on was promised to others. Now: "
                        + String.join(" ", why) + " Look at the answer again.");
            }
            return book(growerId, wish, succession, checked);
        });
    }

    /** Takes one order of however many a request holds; must run inside the request. */
    public int take(long growerId, Wish wish, Integer succession) {
        bookings.oneAtATime();
        return book(growerId, wish, succession, check(wish, false));
    }

    private int book(long growerId, Wish wish, Integer succession, Checked checked) {
        checked.promise().plan().obstacles().stream().filter(Obstacle::prevents).findFirst().ifPresent(obstacle -> {
            throw new Refusal("target", obstacle.message());
        });
        return bookings.book(growerId, wish, succession, checked);
    }
}
