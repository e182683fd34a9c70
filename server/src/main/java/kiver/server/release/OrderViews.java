package kiver.server.release;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Crop;
import kiver.core.order.OrderLine;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.crop.CropBook;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.grow.BatchSummary;
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
        Map<Integer, Integer> released = ReleaseService.releasedByOrder(made);
        Map<Integer, List<BatchAnalysis>> byOrder =
                all.stream().collect(Collectors.groupingBy(batch -> batch.file().batch().orderNumber()));
        Function<BatchAnalysis, BatchSummary> summary = batches.summarising();
        return shown.stream()
                .map(order -> view(
                        order, byOrder.getOrDefault(order.number(), List.of()), released.getOrDefault(order.number(), 0),
                        made, summary))
                .toList();
    }

    private OrderView view(
            Order order, List<BatchAnalysis> own, int released, List<Release> made,
            Function<BatchAnalysis, BatchSummary> summary) {
        Crop crop = crops.crop(order.crop());
        int ready = own.stream()
                .filter(batch -> batch.stage() == BatchStage.READY)
                .mapToInt(batch -> batch.file().plantsAlive())
                .sum();
        double chance = own.stream().mapToDouble(BatchAnalysis::chance).max().orElse(0);
        return new OrderView(
                order.number(), order.grower(), order.site(), order.altitude(), order.variety(), crop.name(),
                crops.container(order.container()).name(), order.plants(), order.leavesFrom(), order.leavesTo(),
                order.target(), order.placedOn(), order.under(), order.countedIn(), released, Math.min(ready, order.plants() - released),
                standing(order, own, released, ready),
                released >= OrderLine.accepted(order.plants(), order.under()) ? 1 : chance,
                own.stream().map(summary).toList(),
                made.stream().filter(each -> each.orderNumber() == order.number()).toList(),
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
