package kiver.server.release;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import kiver.server.account.Person;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderChange;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.BuyingIn;
import kiver.server.promise.Consignment;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.PromiseService;
import kiver.server.promise.SownInPlace;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows the ways in which a line can be met, and goes over from one to another in one edit. */
@Service
class Routes {

    private final RouteComparison comparison;
    private final OrderBook orders;
    private final OrderEdits edits;
    private final PromiseService promises;
    private final InPlaceBook inPlace;
    private final BuyingIn buying;
    private final BatchAnalyst analyst;
    private final Requests requests;

    Routes(
            RouteComparison comparison,
            OrderBook orders,
            OrderEdits edits,
            PromiseService promises,
            InPlaceBook inPlace,
            BuyingIn buying,
            BatchAnalyst analyst,
            Requests requests) {
        this.comparison = comparison;
        this.orders = orders;
        this.edits = edits;
        this.promises = promises;
        this.inPlace = inPlace;
        this.buying = buying;
        this.analyst = analyst;
        this.requests = requests;
    }

    /** The ways of a line. */
    @Transactional(readOnly = true)
    public RouteComparison.RoutesView of(int number, int position) {
        OrderedLine line = orders.order(number).line(position);
        return comparison.of(line, stillToGo(line));
    }

    private int stillToGo(OrderedLine line) {
        int gone = edits.gone(line);
        if (line.cancelledOn() != null || gone >= line.plants()) {
            throw new Refusal(
                    "line",
                    Said.of("Nothing of line {position} is wanted any more.").with("position", line.position()));
        }
        return line.plants() - gone;
    }

    /**
     * Meets what has not gone of a line in another way: what was promised of batches is free, a batch that is not sown and for
     * nobody else is taken out of the plan, seed that was set aside is put back.
     *
     * @param consignment what is bought; for {@link Route#BOUGHT_IN} only
     */
    @Transactional
    public void take(UUID requestId, int number, int position, Route route, Consignment consignment, Person person) {
        requests.once(requestId, Arrays.asList("route", number, position, route, consignment, person.id()), () -> {
            orders.lockBookings();
            OrderedLine line = orders.orderHeld(number).line(position);
            int plants = stillToGo(line);
            List<String> before = routesOf(line);
            if (inPlace.of(line).filter(SownInPlace::isHandedOver).isPresent()) {
                throw new Refusal("route", Said.of("The seed of this line has gone; take it back first."));
            }
            inPlace.putBack(line);
            edits.giveUp(line);
            switch (route) {
                case RAISED ->
                    promises.supply(
                            line.id(),
                            new PromiseService.LineWish(
                                    PromiseService.wishFor(line, plants, line.target()), null, null));
                case IN_PLACE -> inPlace.setAside(line, plants, person.id());
                case BOUGHT_IN -> {
                    if (consignment == null) {
                        throw new Refusal("consignment", Said.of("Say what is bought."));
                    }
                    buying.buyFor(line, plants, consignment);
                }
            }
            orders.note(
                    line,
                    OrderChange.Kind.ROUTE_CHANGED,
                    String.join(" ", before),
                    route.name(),
                    edits.today(),
                    person.id());
            return number;
        });
    }

    /** Takes back that the seed of a line went. */
    @Transactional
    public void takeSeedBack(UUID requestId, int number, int position, Person person) {
        requests.once(requestId, Arrays.asList("seed back", number, position, person.id()), () -> {
            inPlace.takeBack(orders.orderHeld(number).line(position));
            return number;
        });
    }

    private List<String> routesOf(OrderedLine line) {
        List<String> found = new ArrayList<>();
        analyst.of(List.of(line.id()))
                .forEach(batch ->
                        found.add((batch.file().batch().isBoughtIn() ? Route.BOUGHT_IN : Route.RAISED).name()));
        inPlace.of(line).ifPresent(sown -> found.add(Route.IN_PLACE.name()));
        return found.stream().distinct().toList();
    }
}
