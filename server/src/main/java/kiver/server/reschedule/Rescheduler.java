package kiver.server.reschedule;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Way;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchForecast;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.core.outlook.Remedies;
import kiver.core.outlook.Remedy;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.SowWindow;
import kiver.server.batch.BatchBook;
import kiver.server.batch.PlanChanges;
import kiver.server.board.Board;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchSummary;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.PromiseService;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what can be done for a batch whose day moves or that will not keep it, and does it. */
@Service
class Rescheduler {

    private final Board board;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final PlanChanges plans;
    private final BatchBook batches;
    private final OrderBook orders;
    private final PromiseService promises;
    private final Requests requests;

    Rescheduler(
            Board board,
            SeasonService seasons,
            NurseryClock clock,
            PlanChanges plans,
            BatchBook batches,
            OrderBook orders,
            PromiseService promises,
            Requests requests) {
        this.board = board;
        this.seasons = seasons;
        this.clock = clock;
        this.plans = plans;
        this.batches = batches;
        this.orders = orders;
        this.promises = promises;
        this.requests = requests;
    }

    /** A batch with what can be done for it, the most likely to work first. */
    record BatchChoices(
            int batch,
            String variety,
            List<BatchSummary.PromiseView> promises,
            int plants,
            BatchStage stage,
            LocalDate targetBefore,
            LocalDate target,
            double chanceBefore,
            @Nullable DateSpread ready,
            @Nullable DateSpread pastLimit,
            List<Remedies.Choice> choices) {}

    /** What can be done for a batch whose day moves by so many days. */
    BatchChoices choices(int number, int days) {
        BatchOutlook batch = board.batch(number);
        Batch planned = batch.file().batch();
        LocalDate today = clock.today();
        if (Math.abs(days) > Wish.DAYS_AHEAD) {
            throw new Refusal(
                    "days", Said.of("A day moves by at most {daysAhead} days.").with("daysAhead", Wish.DAYS_AHEAD));
        }
        LocalDate target = planned.target().plusDays(days);
        if (target.isBefore(today)) {
            throw new Refusal(
                    "days",
                    Said.of("Batch {number} would be wanted on {target}, which has passed.")
                            .with("number", number)
                            .with("target", target));
        }
        Remedies remedies = new Remedies(seasons.season(today), today, batch, target);
        BatchForecast asItIs = remedies.asItIs();
        return new BatchChoices(
                number,
                planned.variety(),
                BatchSummary.promises(batch),
                planned.plants(),
                batch.stage(),
                planned.target(),
                target,
                batch.chance(),
                asItIs.ready().orElse(null),
                asItIs.pastLimit().orElse(null),
                remedies.choices(board.under(Map.of()), windowFor(batch, target)));
    }

    /** When a batch that is not sown yet can be sown for a day. */
    private Optional<SowWindow> windowFor(BatchOutlook batch, LocalDate target) {
        return batch.file().state().sownOn().isPresent()
                ? Optional.empty()
                : board.windowFor(board.tried(batch, batch.file().batch().plan(), target), target);
    }

    /** Does what was chosen. */
    @Transactional
    public void take(UUID requestId, int number, Remedy remedy, LocalDate target, long by) {
        if (target.isBefore(clock.today()) || target.isAfter(clock.today().plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal(
                    "target",
                    Said.of("Choose a day from today to {today}.")
                            .with("today", clock.today().plusDays(Wish.DAYS_AHEAD)));
        }
        requests.once(requestId, List.of("reschedule", number, remedy, target, by), () -> {
            batches.lock(number);
            carryOut(remedy, board.batch(number), target, by, requestId);
            return number;
        });
    }

    private void carryOut(Remedy remedy, BatchOutlook batch, LocalDate target, long by, UUID requestId) {
        if (remedy instanceof Remedy.Swap swap) {
            batches.swapPromises(batch.number(), swap.batch());
            return;
        }
        if (remedy instanceof Remedy.Hold hold) {
            growElsewhere(batch, hold.place(), by, requestId);
        } else if (remedy instanceof Remedy.BringOn bringOn) {
            growElsewhere(batch, bringOn.place(), by, requestId);
        } else if (remedy instanceof Remedy.SowOn) {
            sowOnAnotherDay(batch, target, by);
        } else if (remedy instanceof Remedy.Split split) {
            splitOff(batch.file(), target, split.alive(), by);
        }
        // Whatever was done besides, it is wanted on that day; to keep it or to agree on another day is this alone.
        move(batch.file(), ChronoUnit.DAYS.between(batch.file().batch().target(), target), by);
    }

    private void growElsewhere(BatchOutlook batch, PlaceId place, long by, UUID requestId) {
        Batch planned = batch.file().batch();
        if (seasons.season().places().stream()
                .noneMatch(each -> each.id().equals(place) && each.suits(PlaceUse.GROWING_ON))) {
            throw new Refusal("remedy", Said.of("Choose a place where plants grow on."));
        }
        Way way = new Way(planned.way().emergence(), place, planned.way().hardening());
        plans.change(
                by,
                Said.of("Grow batch {batch} on elsewhere").with("batch", planned.number()),
                Map.of(planned.number(), planned.plan().along(way, true)));
        if (batch.stage() == BatchStage.GROWING_ON) {
            batches.record(planned.number(), clock.today(), List.of(new BatchChange.Moved(place)), by, requestId);
        }
    }

    private void sowOnAnotherDay(BatchOutlook batch, LocalDate target, long by) {
        Batch planned = batch.file().batch();
        LocalDate day = windowFor(batch, target)
                .orElseThrow(() -> new Refusal("target", Said.of("It is too late to sow for this day.")))
                .best();
        plans.change(
                by,
                Said.of("Sow batch {batch} for another day").with("batch", planned.number()),
                Map.of(planned.number(), planned.plan().sownOn(day)));
    }

    /** The days of all lines that still wait for plants of a batch move together; one for nobody is grown for another day. */
    private void move(BatchFile file, long days, long by) {
        if (days == 0) {
            return;
        }
        if (file.promises().isEmpty()) {
            batches.aimAt(file.batch().number(), file.batch().target().plusDays(days));
        }
        Map<LineId, Integer> released = file.releasedByLine();
        file.promises().stream()
                .filter(promise -> released.getOrDefault(promise.line(), 0) < promise.accepted())
                .forEach(promise -> {
                    OrderedLine line = orders.line(promise.line());
                    orders.moveLine(line, line.target().plusDays(days), clock.today(), by);
                });
    }

    /** The line keeps what is there; the rest becomes a line of its own for later. */
    private void splitOff(BatchFile file, LocalDate target, int plants, long by) {
        if (file.promises().size() != 1) {
            throw new Refusal(
                    "plants",
                    Said.of("Batch {batch} is not for one line alone; change its orders one by one.")
                            .with("batch", file.batch().number()));
        }
        Promised promise = file.promises().get(0);
        OrderedLine line = orders.line(promise.line());
        int rest = promise.plants() - plants;
        if (plants < 1 || rest < 1) {
            throw new Refusal(
                    "plants",
                    Said.of("Hand over from 1 to {plants} plants on the day.").with("plants", (promise.plants() - 1)));
        }
        LocalDate today = clock.today();
        orders.setPlants(line, line.plants() - rest, today, by);
        batches.setPromise(line.id(), file.batch().number(), plants);
        Wish wish = PromiseService.wishFor(line, rest, promises.firstDayFor(line, rest, target));
        long added = promises.addLine(line.orderNumber(), new PromiseService.LineWish(wish, null, null))
                .number();
        orders.noteAdded(orders.line(new LineId(added)), today, by);
    }
}
