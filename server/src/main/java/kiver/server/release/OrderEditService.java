package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.Plan;
import kiver.core.promise.Answer;
import kiver.core.promise.Promise;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.PromiseService;
import kiver.server.promise.Source;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Shows what a change to an order would bring with it, and makes it. */
@Service
class OrderEditService {

    private final OrderEdits edits;
    private final OrderViews views;
    private final OrderBook orders;
    private final BatchBook batches;
    private final PromiseService promises;
    private final Requests requests;
    private final NurseryClock clock;
    private final TransactionTemplate transaction;

    OrderEditService(
            OrderEdits edits,
            OrderViews views,
            OrderBook orders,
            BatchBook batches,
            PromiseService promises,
            Requests requests,
            NurseryClock clock,
            TransactionTemplate transaction) {
        this.edits = edits;
        this.views = views;
        this.orders = orders;
        this.batches = batches;
        this.promises = promises;
        this.requests = requests;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** What a change would bring with it: it is made, looked at, and taken back. */
    Consequences consequences(int number, OrderEdit edit, Person person) {
        OrderView before = views.one(number, person);
        Map<Integer, BatchFile> filesBefore = filesByNumber();
        return transaction.execute(status -> {
            status.setRollbackOnly();
            List<OrderEdits.ToGrow> toGrow = edits.make(number, edit, person.id());
            return compare(before, views.one(number, person), filesBefore, filesByNumber(), toGrow);
        });
    }

    /** Makes a change; what its batches cannot give is sown for. */
    @Transactional
    public void make(UUID requestId, int number, OrderEdit edit, Person person) {
        requests.once(requestId, Arrays.asList("order edit", number, edit, person.id()), () -> {
            for (OrderEdits.ToGrow more : edits.make(number, edit, person.id())) {
                promises.supply(more.line().id(), new PromiseService.LineWish(more.wish(), pooledWith(more), null));
            }
            return number;
        });
    }

    /** Adds a line to an order that was taken. */
    @Transactional
    public void addLine(UUID requestId, int number, PromiseService.LineWish line, Person person) {
        requests.once(requestId, Arrays.asList("order line", number, line, person.id()), () -> {
            orders.lockBookings();
            long site = orders.orderHeld(number).siteId();
            LineId added = promises.addLine(
                    number, new PromiseService.LineWish(line.wish().at(site), line.fromBatch(), line.seen()));
            orders.noteAdded(orders.line(added), clock.today(), person.id());
            return number;
        });
    }

    /** Gives free plants of another variety in the place of some of a line, which is smaller by them afterwards, or cancelled. */
    @Transactional
    public void substitute(UUID requestId, int number, int position, int fromBatch, int plants, Person person) {
        requests.once(requestId, Arrays.asList("substitute", number, position, fromBatch, plants, person.id()), () -> {
            orders.lockBookings();
            OrderedLine line = orders.orderHeld(number).line(position);
            OrderView.LineView view = views.one(number, person).lines().get(position - 1);
            int missing = line.plants() - view.released();
            if (line.cancelledOn() != null || plants > missing) {
                throw new Refusal(
                        "plants",
                        Said.of("Line {position} still wants {missing} plants; give at most that many.")
                                .with("position", position)
                                .with("missing", line.cancelledOn() != null ? 0 : missing));
            }
            LineId added = promises.addLine(
                    number,
                    new PromiseService.LineWish(
                            PromiseService.wishFor(line, plants, line.target())
                                    .of(batches.file(fromBatch).batch().varietyId()),
                            fromBatch,
                            null));
            orders.noteAdded(orders.line(added), clock.today(), person.id());
            edits.make(
                    number,
                    plants == line.plants()
                            ? new OrderEdit(position, OrderEdit.Kind.CANCEL, null, null, false)
                            : new OrderEdit(position, OrderEdit.Kind.PLANTS, line.plants() - plants, null, false),
                    person.id());
            return number;
        });
    }

    /** Grows what a line was not promised yet, or takes it of a batch. */
    @Transactional
    public void supply(UUID requestId, int number, int position, Integer fromBatch, Person person) {
        requests.once(requestId, Arrays.asList("order supply", number, position, fromBatch, person.id()), () -> {
            orders.lockBookings();
            OrderedLine line = orders.orderHeld(number).line(position);
            OrderView.LineView view = views.one(number, person).lines().get(position - 1);
            int missing = line.plants() - view.promised();
            if (line.cancelledOn() != null || missing < 1) {
                throw new Refusal(
                        "line",
                        Said.of("All plants of line {position} are promised already.")
                                .with("position", position));
            }
            edits.countOnWhatIsThere(line);
            promises.supply(
                    line.id(),
                    new PromiseService.LineWish(PromiseService.wishFor(line, missing, line.target()), fromBatch, null));
            return number;
        });
    }

    /**
     * Sows anew for so many plants of a batch that comes up badly: the new sowing takes over their lines, those promised last
     * first; what is up stays promised to the others. What has not come up may be given up with it.
     */
    @Transactional
    public void resow(UUID requestId, int batch, int plants, boolean giveUp, Person person) {
        requests.once(requestId, Arrays.asList("resow", batch, plants, giveUp, person.id()), () -> {
            orders.lockBookings();
            Map<LineId, Integer> let = edits.letGo(batch, plants);
            if (let.isEmpty()) {
                throw new Refusal(
                        "plants",
                        Said.of("Nobody waits for plants of batch {batch} any more.")
                                .with("batch", batch));
            }
            let.forEach((id, missing) -> {
                OrderedLine line = orders.line(id);
                promises.supply(
                        id,
                        new PromiseService.LineWish(PromiseService.wishFor(line, missing, line.target()), null, null));
            });
            if (giveUp) {
                giveUp(requestId, batch, person);
            }
            return batch;
        });
    }

    /** The last look at every tray in which something is still waited for. */
    private void giveUp(UUID requestId, int batch, Person person) {
        BatchState state = batches.file(batch).state();
        List<BatchChange> lastLooks = state.trays().stream()
                .filter(tray -> !state.cellsIn(tray, CellCondition.WAITING).isEmpty())
                .<BatchChange>map(tray -> new BatchChange.Counted(tray, Map.of(), true))
                .toList();
        if (!lastLooks.isEmpty()) {
            batches.record(batch, clock.today(), lastLooks, person.id(), requestId);
        }
    }

    private Consequences compare(
            OrderView before,
            OrderView after,
            Map<Integer, BatchFile> filesBefore,
            Map<Integer, BatchFile> filesAfter,
            List<OrderEdits.ToGrow> toGrow) {
        List<Consequences.LineConsequence> lines = new ArrayList<>();
        for (int index = 0; index < before.lines().size(); index++) {
            OrderView.LineView was = before.lines().get(index);
            OrderView.LineView is = after.lines().get(index);
            Consequences.Growing growing = toGrow.stream()
                    .filter(more -> more.line().position() == was.line())
                    .findFirst()
                    .map(this::growing)
                    .orElse(null);
            if (growing != null
                    || was.asked().plants() != is.asked().plants()
                    || !was.asked().target().equals(is.asked().target())
                    || (was.cancelledOn() == null) != (is.cancelledOn() == null)) {
                boolean gone = is.cancelledOn() != null;
                lines.add(new Consequences.LineConsequence(
                        was.line(),
                        was.asked().variety(),
                        was.asked().plants(),
                        gone ? 0 : is.asked().plants(),
                        was.asked().target(),
                        is.asked().target(),
                        was.chance(),
                        growing == null ? is.chance() : growing.chance(),
                        growing));
            }
        }
        LocalDate today = clock.today();
        List<Consequences.BatchConsequence> changed = new ArrayList<>();
        filesBefore.forEach((number, was) -> {
            BatchFile is = filesAfter.getOrDefault(number, was);
            if (!was.promises().equals(is.promises())
                    || !was.batch().sowDay().equals(is.batch().sowDay())) {
                changed.add(new Consequences.BatchConsequence(
                        number,
                        was.state().stage(),
                        was.shares(today).promised(),
                        is.shares(today).promised(),
                        was.shares(today).free(),
                        is.shares(today).free(),
                        was.batch().sowDay(),
                        is.batch().sowDay(),
                        OrderEdits.canBeWithdrawn(is),
                        PromiseService.isTooLarge(is) && is.wanted() < was.wanted() ? is.wanted() : null));
            }
        });
        return new Consequences(lines, changed);
    }

    private Consequences.Growing growing(OrderEdits.ToGrow more) {
        Optional<Source> pooled = more.with().flatMap(batch -> promises.source(batch, more.wish()));
        if (pooled.isPresent()) {
            Source source = pooled.get();
            return new Consequences.Growing(
                    more.wish().plants(), source.batch(), Answer.YES, source.chance(), source.sowDay());
        }
        Promise promise = promises.check(more.wish(), false).promise();
        Plan plan = promise.plan();
        return new Consequences.Growing(
                more.wish().plants(),
                null,
                promise.answer(),
                plan.chance(),
                plan.sowDay().orElse(null));
    }

    /** The batch with which more of a line is sown; null where it is sown by itself. */
    private Integer pooledWith(OrderEdits.ToGrow more) {
        return more.with()
                .filter(batch -> promises.source(batch, more.wish()).isPresent())
                .orElse(null);
    }

    private Map<Integer, BatchFile> filesByNumber() {
        return batches.files().stream()
                .collect(Collectors.toMap(file -> file.batch().number(), Function.identity()));
    }
}
