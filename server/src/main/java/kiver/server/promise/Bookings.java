package kiver.server.promise;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntSupplier;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.BatchSize;
import kiver.core.outlook.Sowing;
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

/** Writes down what was agreed: orders, their lines, batches with trays, and what of them is promised. */
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

    /** Writes an order without lines and answers its number. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int openOrder(long growerId, long siteId, LocalDate target, Integer succession) {
        return orders.add(growerId, siteId, target, clock.today(), succession);
    }

    /** Writes a line as it was asked and answers its number in the database. */
    @Transactional(propagation = Propagation.MANDATORY)
    public LineId addLine(int order, Wish wish) {
        return orders.addLine(order, wish.varietyId(), wish.container(), wish.line(clock.today()), wish.protection());
    }

    /** Promises plants of a batch for a line; a batch that is to be sown larger for it is. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void promise(LineId lineId, int batch, int plants, Optional<BatchSize> size) {
        size.ifPresent(larger -> resize(batch, larger));
        batches.promise(lineId, batch, plants);
    }

    /** Has a batch that is not sown yet sown in another amount; its cells are laid out anew. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void resize(int batch, BatchSize size) {
        ContainerCode container = batches.file(batch).batch().containerCodes().get(0);
        batches.resize(batch, size, layout.runs(container, size.cells()));
    }

    /** Takes a batch out of the plan. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void withdraw(int number) {
        batches.withdraw(number, clock.today());
    }

    /** Cells in which something must come up for a plan to be met. */
    static int cellsNeeded(PlanRequests.Prepared prepared, SowingOption option) {
        int needed = (int) Math.ceil(prepared.request().line().plants()
                / prepared.request().crop().learnt().living().mean()
                / plantsToACellThatIsUp(prepared));
        return Math.min(needed, option.cells());
    }

    /** One plant, or where the order counts the seedlings of clumps, as many as stand in a clump that is up. */
    private static double plantsToACellThatIsUp(PlanRequests.Prepared prepared) {
        var request = prepared.request();
        if (request.containers().kind() != ContainerPath.Kind.CLUMPS
                || request.line().inClumps()) {
            return 1;
        }
        CellHabits habits = request.crop().cells();
        ClumpSizes sizes = new ClumpSizes(
                GerminationNodes.of(request.germination()), habits.clumpSeeds(), habits.seedlingsPerSeed());
        return Math.max(1, sizes.mean() / (1 - sizes.distribution()[0]));
    }

    /** Plans a batch into new trays and answers its number; it is for nobody until it is promised. */
    @Transactional(propagation = Propagation.MANDATORY)
    public int addBatch(Wish wish, PromiseService.Checked checked) {
        PlanRequests.Prepared prepared = checked.prepared();
        Plan plan = checked.promise().plan();
        SowingOption option = plan.chosen().orElseThrow();
        ContainerPath path = prepared.request().containers();
        return batches.add(
                new NewBatch(
                        wish.varietyId(),
                        new Sowing(
                                prepared.lot().orElseThrow().id(),
                                option.seedsPerCell(),
                                option.cells(),
                                cellsNeeded(prepared, option)),
                        BatchPlan.of(
                                        plan.sowDay().orElseThrow(),
                                        plan.window().map(SowWindow::latest).orElse(null),
                                        checked.promise().way(),
                                        path.kind(),
                                        path.containers().stream()
                                                .map(Container::code)
                                                .toList())
                                .overWinter(prepared.request().overWinter()),
                        prepared.programme(),
                        prepared.request().line(),
                        null),
                layout.runs(path.first().code(), option.cells()));
    }
}
