package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import kiver.core.batch.BatchStage;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.server.batch.BatchBook;
import kiver.server.batch.PlanChanges;
import kiver.server.clock.NurseryClock;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.outlook.LastSowDays;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.PromiseService;
import kiver.server.promise.SownInPlace;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes orders that were taken: what the grower wants now is written to the line, what is promised follows, and what
 * cannot be met from the batches that grow for it is grown besides.
 */
@Component
class OrderEdits {

    private final OrderBook orders;
    private final BatchBook batches;
    private final BatchAnalyst analyst;
    private final PromiseService promises;
    private final PlanChanges plans;
    private final LastSowDays lastSowDays;
    private final InPlaceBook inPlace;
    private final NurseryClock clock;

    OrderEdits(
            OrderBook orders,
            BatchBook batches,
            BatchAnalyst analyst,
            PromiseService promises,
            PlanChanges plans,
            LastSowDays lastSowDays,
            InPlaceBook inPlace,
            NurseryClock clock) {
        this.inPlace = inPlace;
        this.orders = orders;
        this.batches = batches;
        this.analyst = analyst;
        this.promises = promises;
        this.plans = plans;
        this.lastSowDays = lastSowDays;
        this.clock = clock;
    }

    /** Plants that a line wants beyond what its batches can give; with a batch that is not sown yet, or by themselves. */
    record ToGrow(OrderedLine line, Wish wish, Optional<Integer> with) {}

    /**
     * Makes a change and answers what is still to be grown for it.
     *
     * @param by account number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<ToGrow> make(int number, OrderEdit edit, Long by) {
        // What is free is given to one at a time, as in bookings.
        orders.lockBookings();
        Order order = orders.orderHeld(number);
        List<OrderedLine> lines = edit.line() == null ? order.wanted() : List.of(order.line(edit.line()));
        if (lines.isEmpty()) {
            throw new Refusal(
                    "line",
                    Said.of("All of order {number} is cancelled already.").with("number", number));
        }
        if (edit.kind() == OrderEdit.Kind.PLANTS && lines.size() > 1) {
            throw new Refusal("line", Said.of("Say which line asks for other plants."));
        }
        List<ToGrow> toGrow = new ArrayList<>();
        for (OrderedLine line : lines) {
            if (line.cancelledOn() != null) {
                throw new Refusal(
                        "line",
                        Said.of("Line {position} is cancelled already; add it as a new one.")
                                .with("position", line.position()));
            }
            switch (edit.kind()) {
                case PLANTS ->
                    plants(
                                    line,
                                    required(edit.plants(), "plants", Said.of("Say how many plants.")),
                                    edit.withdraw(),
                                    by)
                            .ifPresent(toGrow::add);
                case DAY -> move(line, required(edit.target(), "target", Said.of("Choose the day.")), by);
                case CANCEL -> cancel(line, by, edit.withdraw());
            }
            followInPlace(orders.line(line.id()), by);
        }
        return toGrow;
    }

    /** Seed that is set aside is for whatever batches do not give. */
    private void followInPlace(OrderedLine line, Long by) {
        int promised = promisesOf(line).stream().mapToInt(Promised::plants).sum();
        inPlace.follow(line, line.cancelledOn() == null ? line.plants() - promised : 0, by);
    }

    private Optional<ToGrow> plants(OrderedLine line, int plants, boolean withdraw, Long by) {
        int released = gone(line);
        if (plants < released) {
            throw new Refusal(
                    "plants",
                    Said.of("{released} plants of this line have gone already; ask for at least as many.")
                            .with("released", released));
        }
        orders.setPlants(line, plants, clock.today(), by);
        Optional<SownInPlace> sown = inPlace.of(line);
        int promised = promisesOf(line).stream().mapToInt(Promised::plants).sum()
                + sown.filter(SownInPlace::isHandedOver)
                        .map(SownInPlace::plants)
                        .orElse(0);
        if (plants <= promised) {
            Set<Integer> grew = numbersOf(line);
            leave(
                    line,
                    plants
                            - sown.filter(SownInPlace::isHandedOver)
                                    .map(SownInPlace::plants)
                                    .orElse(0));
            if (withdraw) {
                withdraw(grew);
            }
            return Optional.empty();
        }
        if (sown.filter(each -> !each.isHandedOver()).isPresent()) {
            return Optional.empty();
        }
        int missing = plants - promised;
        for (BatchFile file : filesOf(line)) {
            int more = Math.min(missing, file.shares(clock.today()).free());
            if (more > 0) {
                batches.promise(line.id(), file.batch().number(), more);
                missing -= more;
            }
        }
        return missing == 0
                ? Optional.empty()
                : Optional.of(new ToGrow(
                        line,
                        PromiseService.wishFor(line, missing, line.target()),
                        filesOf(line).stream()
                                .filter(file -> file.state().stage() == BatchStage.PLANNED)
                                .map(file -> file.batch().number())
                                .findFirst()));
    }

    /** Leaves promised of each batch what the line can count on; the rest is to come from elsewhere. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void countOnWhatIsThere(OrderedLine line) {
        for (BatchFile file : filesOf(line)) {
            int there = file.plantsByLine().getOrDefault(line.id(), 0);
            if (there < promiseIn(file, line).plants()) {
                batches.setPromise(line.id(), file.batch().number(), there);
            }
        }
    }

    /** Of a batch's promises so many plants are let go, the last promised first; answers how many of which line. */
    Map<LineId, Integer> letGo(int batch, int plants) {
        BatchFile file = batches.file(batch);
        List<Promised> promises = new ArrayList<>(file.promises());
        Collections.reverse(promises);
        Map<LineId, Integer> let = new LinkedHashMap<>();
        int left = plants;
        for (Promised promise : promises) {
            int waiting = promise.plants() - file.releasedByLine().getOrDefault(promise.line(), 0);
            int less = Math.min(left, waiting);
            if (less > 0) {
                batches.setPromise(promise.line(), batch, promise.plants() - less);
                let.put(promise.line(), less);
                left -= less;
            }
        }
        return let;
    }

    /** Leaves so many plants promised, the last promised given up first; what has gone stays promised. */
    private void leave(OrderedLine line, int plants) {
        int over = promisesOf(line).stream().mapToInt(Promised::plants).sum() - plants;
        List<BatchFile> files = new ArrayList<>(filesOf(line));
        Collections.reverse(files);
        for (BatchFile file : files) {
            Promised promise = promiseIn(file, line);
            int gone = file.releasedByLine().getOrDefault(line.id(), 0);
            int less = Math.min(over, promise.plants() - gone);
            if (less > 0) {
                batches.setPromise(line.id(), file.batch().number(), promise.plants() - less);
                over -= less;
            }
        }
    }

    /** Moves a line; a batch that is not sown and for this line alone is sown for the new day. */
    private void move(OrderedLine line, LocalDate target, Long by) {
        LocalDate today = clock.today();
        if (target.isBefore(today) || target.isAfter(today.plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal(
                    "target",
                    Said.of("Choose a day from today to {today}.").with("today", today.plusDays(Wish.DAYS_AHEAD)));
        }
        if (gone(line) >= line.accepted()) {
            return;
        }
        orders.moveLine(line, target, today, by);
        for (BatchFile file : filesOf(line)) {
            if (file.promises().size() == 1 && file.state().sownOn().isEmpty()) {
                Batch batch = file.batch();
                BatchOutlook moved = analyst.trial(file);
                lastSowDays
                        .windowFor(moved, target)
                        .ifPresent(window -> plans.change(
                                by,
                                Said.of("Sow batch {batch} for another day").with("batch", batch.number()),
                                Map.of(batch.number(), batch.plan().sownOn(window.best()))));
            }
        }
    }

    private void cancel(OrderedLine line, Long by, boolean withdraw) {
        int released = gone(line);
        Set<Integer> grew = numbersOf(line);
        leave(line, released(line));
        if (released > 0) {
            orders.setPlants(line, released, clock.today(), by);
        } else {
            orders.cancel(line, clock.today(), by);
        }
        if (withdraw) {
            withdraw(grew);
        }
    }

    /** Of batches that are not sown yet: none is for nobody, and none larger than is wanted of it. */
    private void withdraw(Set<Integer> numbers) {
        for (BatchFile file : numbers.stream().map(batches::file).toList()) {
            if (canBeWithdrawn(file)) {
                batches.withdraw(file.batch().number(), clock.today());
            } else {
                promises.sowOnlyWhatIsWanted(file);
            }
        }
    }

    /** Leaves nothing promised to a line but what has gone; a batch that is not sown and for nobody else leaves the plan. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void giveUp(OrderedLine line) {
        Set<Integer> grew = numbersOf(line);
        leave(line, released(line));
        withdraw(grew);
    }

    /** The nursery's day. */
    LocalDate today() {
        return clock.today();
    }

    /** Plants of a line that have gone, and those for which its seed has. */
    int gone(OrderedLine line) {
        return released(line)
                + inPlace.of(line)
                        .filter(SownInPlace::isHandedOver)
                        .map(SownInPlace::plants)
                        .orElse(0);
    }

    static boolean canBeWithdrawn(BatchFile file) {
        return file.promises().isEmpty() && file.state().stage() == BatchStage.PLANNED;
    }

    private int released(OrderedLine line) {
        return filesOf(line).stream()
                .mapToInt(file -> file.releasedByLine().getOrDefault(line.id(), 0))
                .sum();
    }

    private List<Promised> promisesOf(OrderedLine line) {
        return filesOf(line).stream().map(file -> promiseIn(file, line)).toList();
    }

    private static Promised promiseIn(BatchFile file, OrderedLine line) {
        return file.promises().stream()
                .filter(promise -> promise.line().equals(line.id()))
                .findFirst()
                .orElseThrow();
    }

    private Set<Integer> numbersOf(OrderedLine line) {
        return new TreeSet<>(
                filesOf(line).stream().map(file -> file.batch().number()).toList());
    }

    /** The batches that are promised to a line, in the order of their numbers. */
    private List<BatchFile> filesOf(OrderedLine line) {
        return batches.filesOf(List.of(line.id()));
    }

    private static <T> T required(T value, String field, Said message) {
        if (value == null) {
            throw new Refusal(field, message);
        }
        return value;
    }
}
