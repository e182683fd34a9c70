package kiver.server.release;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.growth.GrowingYear;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchOutlook;
import kiver.core.plan.InPlace;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.PutAway;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.limit.Limits;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderChange;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.outlook.BatchViews;
import kiver.server.problem.NotFound;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.SownInPlace;
import kiver.server.release.OrderView.Standing;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Shows orders to those who may see them: a grower sees their own, and is told that others do not exist. */
@Component
class OrderViews {

    private final PreparingBook preparing;
    private final OrderBook orders;
    private final BatchAnalyst analyst;
    private final BatchViews batches;
    private final ReleaseService releases;
    private final CropBook crops;
    private final TrayBook trays;
    private final InPlaceBook inPlace;
    private final SeedStore seeds;
    private final NurseryClock clock;

    OrderViews(
            OrderBook orders,
            BatchAnalyst analyst,
            BatchViews batches,
            ReleaseService releases,
            CropBook crops,
            TrayBook trays,
            InPlaceBook inPlace,
            SeedStore seeds,
            PreparingBook preparing,
            NurseryClock clock) {
        this.preparing = preparing;
        this.inPlace = inPlace;
        this.seeds = seeds;
        this.clock = clock;
        this.trays = trays;
        this.orders = orders;
        this.analyst = analyst;
        this.batches = batches;
        this.releases = releases;
        this.crops = crops;
    }

    /**
     * The orders that somebody may see: those in hand, or those of one growing year; a grower sees all of their own.
     *
     * @param withDone whether those of this growing year that are over are among those in hand
     * @param year another growing year, if one is asked for
     */
    List<OrderView> visibleTo(Person person, boolean withDone, Optional<Integer> year) {
        if (person.role() == Role.GROWER) {
            return views(orders.ordersOf(person.growerId()));
        }
        LocalDate today = clock.today();
        GrowingYear present = GrowingYear.of(today, clock.latitude());
        if (year.isPresent()) {
            GrowingYear asked = new GrowingYear(year.get(), present.south());
            return views(orders.wanted(asked.firstDay(), asked.lastDay()));
        }
        List<Order> open = orders.open(present.firstDay(), PutAway.on(today, clock.latitude()));
        if (withDone) {
            return views(Stream.concat(open.stream(), orders.wanted(present.firstDay(), Limits.LAST_DAY).stream())
                    .distinct()
                    .sorted(Comparator.comparing(Order::target).thenComparing(Order::number))
                    .toList());
        }
        Map<LineId, Integer> gone = releases.goneByLine(linesOf(open), analyst.of(linesOf(open)));
        return views(open.stream().filter(order -> !isDone(order, gone)).toList());
    }

    /** Nothing of it is wanted any more, or all has gone. */
    private static boolean isDone(Order order, Map<LineId, Integer> gone) {
        return order.wanted().stream().allMatch(line -> gone.getOrDefault(line.id(), 0) >= line.plants());
    }

    private static Set<LineId> linesOf(List<Order> shown) {
        return shown.stream()
                .flatMap(order -> order.lines().stream())
                .map(OrderedLine::id)
                .collect(Collectors.toSet());
    }

    OrderView one(int number, Person person) {
        return views(List.of(visibleOrder(number, person))).get(0);
    }

    Order visibleOrder(int number, Person person) {
        return Optional.of(orders.order(number))
                .filter(order -> person.role() != Role.GROWER || order.growerId() == person.growerId())
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no order {number}.").with("number", number)));
    }

    private List<OrderView> views(List<Order> shown) {
        List<BatchOutlook> all = analyst.of(linesOf(shown));
        List<Release> made =
                releases.releases(shown, all.stream().map(BatchOutlook::file).toList());
        LineViews lines =
                new LineViews(all, inPlace(shown), batches.summarising(), crops, trays.containers(), preparing);
        Map<Integer, List<Release>> releasesOf = made.stream().collect(Collectors.groupingBy(Release::orderNumber));
        Map<Long, List<OrderChange>> changes = orders.changes(shown);
        return shown.stream()
                .map(order -> view(
                        order,
                        lines,
                        releasesOf.getOrDefault(order.number(), List.of()),
                        changes.getOrDefault(order.id(), List.of())))
                .toList();
    }

    private Map<LineId, OrderView.InPlaceView> inPlace(List<Order> shown) {
        Map<LineId, SownInPlace> sown = inPlace.of(linesOf(shown));
        return shown.stream()
                .flatMap(order -> order.lines().stream())
                .filter(line -> sown.containsKey(line.id()))
                .collect(Collectors.toMap(OrderedLine::id, line -> inPlace(line, sown.get(line.id()))));
    }

    private OrderView.InPlaceView inPlace(OrderedLine line, SownInPlace sown) {
        Optional<InPlace> outlook = inPlace.outlookOf(line, sown);
        return new OrderView.InPlaceView(
                sown.plants(),
                sown.seeds(),
                seeds.lot(sown.lotId()).code(),
                sown.sowFrom(),
                sown.sowUntil(),
                outlook.flatMap(InPlace::atStage).orElse(null),
                outlook.map(InPlace::chance).orElse(0.0),
                !sown.isHandedOver() && InPlaceBook.isDue(sown, clock.today()),
                sown.release(),
                SowingLines.of(
                        crops.crop(line.crop()), sown.spots(), sown.seedsPerSpot(), outlook.flatMap(InPlace::up)));
    }

    private OrderView view(Order order, LineViews views, List<Release> made, List<OrderChange> changes) {
        List<OrderView.LineView> lines = order.lines().stream().map(views::of).toList();
        List<OrderView.LineView> wanted =
                lines.stream().filter(line -> line.cancelledOn() == null).toList();
        return new OrderView(
                order.number(),
                order.growerId(),
                order.grower(),
                order.siteId(),
                order.site(),
                order.altitude(),
                order.target(),
                order.placedOn(),
                standing(wanted.stream().map(OrderView.LineView::standing).toList()),
                wanted.stream().mapToDouble(OrderView.LineView::chance).min().orElse(0),
                lines,
                made.stream()
                        .map(each -> new OrderView.ReleaseView(each.number(), each.day(), each.plants()))
                        .toList(),
                changes);
    }

    /** A whole order stands where its lines do; as soon as something has gone or is ready, that is what is to be said. */
    static Standing standing(List<Standing> lines) {
        Set<Standing> among = lines.isEmpty() ? Set.of() : EnumSet.copyOf(lines);
        if (among.isEmpty()) {
            return Standing.CANCELLED;
        }
        if (among.size() == 1) {
            return among.iterator().next();
        }
        if (among.contains(Standing.RELEASED) || among.contains(Standing.PART_RELEASED)) {
            return Standing.PART_RELEASED;
        }
        return among.contains(Standing.READY) ? Standing.READY : Standing.GROWING;
    }
}
