package kiver.server.release;

import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Crop;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.crop.CropBook;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.grow.BatchViews;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.problem.NotFound;
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
        List<BatchAnalysis> all = analyst.all();
        List<Release> released = releases.releases();
        return visible.stream().map(order -> view(order, all, released)).toList();
    }

    OrderView one(int number, Person person) {
        return view(visibleOrder(number, person), analyst.all(), releases.releases());
    }

    Order visibleOrder(int number, Person person) {
        return Optional.of(orders.order(number))
                .filter(order -> person.role() != Role.GROWER || order.growerId() == person.growerId())
                .orElseThrow(() -> new NotFound("order " + number));
    }

    private OrderView view(Order order, List<BatchAnalysis> all, List<Release> allReleases) {
        List<BatchAnalysis> own = all.stream()
                .filter(batch -> batch.file().batch().orderNumber() == order.number())
                .toList();
        Crop crop = crops.crop(order.crop());
        int released = releases.releasedFor(
                order.number(), all.stream().map(BatchAnalysis::file).toList(), allReleases);
        int ready = own.stream()
                .filter(batch -> batch.stage() == BatchStage.READY)
                .mapToInt(batch -> batch.file().state().balance().alive())
                .sum();
        double chance = own.stream().mapToDouble(BatchAnalysis::chance).max().orElse(0);
        return new OrderView(
                order.number(), order.grower(), order.site(), order.altitude(), order.variety(), crop.name(),
                crops.container(order.container()).name(), order.plants(), order.leavesFrom(), order.leavesTo(),
                order.target(), order.placedOn(), released, Math.min(ready, order.plants() - released),
                standing(order, own, released, ready),
                released >= order.plants() ? 1 : chance,
                own.stream().map(batches::summary).toList(),
                allReleases.stream().filter(each -> each.orderNumber() == order.number()).toList(),
                PlantingLines.of(crop, order.target()));
    }

    private static OrderView.Standing standing(Order order, List<BatchAnalysis> own, int released, int ready) {
        if (released >= order.plants()) {
            return OrderView.Standing.RELEASED;
        }
        if (released > 0) {
            return OrderView.Standing.PART_RELEASED;
        }
        if (ready > 0) {
            return OrderView.Standing.READY;
        }
        if (own.stream().allMatch(batch -> batch.stage() == BatchStage.FAILED)) {
            return OrderView.Standing.FAILED;
        }
        return own.stream().allMatch(batch -> batch.stage() == BatchStage.PLANNED)
                ? OrderView.Standing.PLANNED
                : OrderView.Standing.GROWING;
    }
}
