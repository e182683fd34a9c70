package kiver.server.promise;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.IntSupplier;
import java.util.stream.Collectors;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Container;
import kiver.core.plan.Allowances;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Plan;
import kiver.core.plan.SowWindow;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.ClumpSizes;
import kiver.core.sow.SowingOption;
import kiver.server.batch.BatchBook;
import kiver.server.batch.NewBatch;
import kiver.server.batch.TrayLayout;
import kiver.server.clock.NurseryClock;
import kiver.server.order.OrderBook;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.problem.Requests;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes an accepted plan down: the order, its batch, and trays for it. */
@Component
class Bookings {

    private final NurseryClock clock;
    private final OrderBook orders;
    private final BatchBook batches;
    private final TrayLayout layout;
    private final Requests requests;

    Bookings(NurseryClock clock, OrderBook orders, BatchBook batches, TrayLayout layout, Requests requests) {
        this.clock = clock;
        this.orders = orders;
        this.batches = batches;
        this.layout = layout;
        this.requests = requests;
    }

    /** Carries a booking out once, however often it is asked for. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int once(UUID requestId, List<?> content, IntSupplier booking) {
        return (int) requests.once(requestId, content, booking::getAsInt);
    }

    /** Lets one booking at a time look at seed, room and plants and take of them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void oneAtATime() {
        orders.lockBookings();
    }

    /** Writes the order and its batch; answers the number of the order. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int book(long growerId, Wish wish, Integer succession, PromiseService.Checked checked) {
        LocalDate today = clock.today();
        int order = orders.add(
                growerId, wish.siteId(), wish.varietyId(), wish.container(), wish.line(today), wish.counted(), today, succession);
        addBatch(orders.order(order).id(), checked);
        return order;
    }

    /** One plant, or where the order counts the seedlings of clumps, as many as stand in a clump that is up. */
    private static double plantsToACellThatIsUp(PlanRequests.Prepared prepared) {
        var request = prepared.request();
        if (request.containers().kind() != ContainerPath.Kind.CLUMPS || request.line().clumps()) {
            return 1;
        }
        CellHabits habits = request.crop().cells();
        ClumpSizes sizes = new ClumpSizes(
                GerminationNodes.of(request.germination()), habits.clumpSeeds(), habits.seedlingsPerSeed());
        return Math.max(1, sizes.mean() / (1 - sizes.distribution()[0]));
    }

    private void addBatch(long orderId, PromiseService.Checked checked) {
        PlanRequests.Prepared prepared = checked.prepared();
        Plan plan = checked.promise().plan();
        SowingOption option = plan.chosen().orElseThrow();
        ContainerPath path = prepared.request().containers();
        int cellsNeeded = (int) Math.ceil(
                prepared.request().line().plants() / Allowances.USUAL.survival() / plantsToACellThatIsUp(prepared));
        batches.add(
                new NewBatch(
                        orderId,
                        prepared.lot().orElseThrow().id(),
                        option.seedsPerCell(),
                        option.cells(),
                        Math.min(cellsNeeded, option.cells()),
                        plan.sowDay().orElseThrow(),
                        plan.window().map(SowWindow::latest).orElse(null),
                        checked.promise().way(),
                        prepared.programme(),
                        path.kind(),
                        path.containers().stream().map(Container::code).collect(Collectors.joining(" "))),
                layout.runs(path.first().code(), option.cells()));
    }
}
