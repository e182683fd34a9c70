package kiver.server.release;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.crop.CropBook;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.grow.BatchViews;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.problem.NotFound;
import kiver.server.release.OrderView.Standing;
import org.springframework.stereotype.Component;

/** Shows orders to those who may see them: a grower sees their own, and is told that others do not exist. */
@Component
class OrderViews {

    private final OrderBook orders;
    private final BatchAnalyst analyst;
    private final BatchViews batches;
    private final ReleaseService releases;
    private final CropBook crops;

    OrderViews(
            OrderBook orders, BatchAnalyst analyst, BatchViews batches, ReleaseService releases, CropBook crops) {
        this.orders = orders;
        this.analyst = analyst;
        this.batches = batches;
        this.releases = releases;
        this.crops = crops;
    }

    List<OrderView> visibleTo(Person person) {
        List<Order> visible = person.role() == Role.GROWER ? orders.ordersOf(person.growerId()) : orders.orders();
        return views(visible);
    }

    OrderView one(int number, Person person) {
        return views(List.of(visibleOrder(number, person))).get(0);
    }

    Order visibleOrder(int number, Person person) {
        return Optional.of(orders.order(number))
                .filter(order -> person.role() != Role.GROWER || order.growerId() == person.growerId())
                .orElseThrow(() -> new NotFound("order " + number));
    }

    private List<OrderView> views(List<Order> shown) {
        List<BatchAnalysis> all = analyst.all();
        List<Release> made = releases.releases(all.stream().map(BatchAnalysis::file).toList());
        LineViews lines = new LineViews(all, batches.summarising(), crops);
        return shown.stream().map(order -> view(order, lines, made)).toList();
    }

    private OrderView view(Order order, LineViews views, List<Release> made) {
        List<OrderView.LineView> lines = order.lines().stream().map(views::of).toList();
        List<OrderView.LineView> wanted = lines.stream().filter(line -> line.cancelledOn() == null).toList();
        return new OrderView(
                order.number(), order.growerId(), order.grower(), order.siteId(), order.site(), order.altitude(), order.target(),
                order.placedOn(), standing(wanted.stream().map(OrderView.LineView::standing).toList()),
                wanted.stream().mapToDouble(OrderView.LineView::chance).min().orElse(0), lines,
                made.stream()
                        .filter(each -> each.orderNumber() == order.number())
                        .map(each -> new OrderView.ReleaseView(each.number(), each.day(), each.plants()))
                        .toList(),
                orders.changes(order));
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
