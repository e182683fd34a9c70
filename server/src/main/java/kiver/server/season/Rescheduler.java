package kiver.server.season;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.grow.BatchForecast;
import kiver.core.grow.Rescheduling;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.server.batch.Batch;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.batch.BatchPlan;
import kiver.server.batch.PlanChanges;
import kiver.server.batch.Promised;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchSummary;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.PromiseService;
import kiver.server.wording.Difference;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what can be done for a batch whose day moves or that will not keep it, and does it. */
@Service
class Rescheduler {

    private static final double SURE_ENOUGH = 0.8;
    private static final int MOST_PLACES = 2;
    private static final int MOST_SWAPS = 2;

    private final SeasonBoard board;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final PlanChanges plans;
    private final BatchBook batches;
    private final OrderBook orders;
    private final PromiseService promises;
    private final Requests requests;

    Rescheduler(
            SeasonBoard board,
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

    /** What can be done. */
    enum RescheduleKind {
        /** Leave it as it is, for the day that is wanted now. */
        KEEP,
        /** Stand it cooler, so that it waits. */
        HOLD,
        /** Stand it warmer, so that it hurries. */
        BRING_ON,
        /** Sow it on another day; for what is not sown yet. */
        SOW_AGAIN_TIMED,
        /** Give this batch to another order and take that order's. */
        SWAP,
        /** Hand over a part on the day and grow the rest anew for later. */
        SPLIT,
        /** Agree on another day. */
        OTHER_DAY
    }

    /** One thing that can be done. */
    record RescheduleOption(
            RescheduleKind kind, Said words, LocalDate target, double chance, @Nullable Long placeId, @Nullable Integer otherBatch,
            @Nullable Integer plants) {}

    /** A batch with its options, the most likely to work first. */
    record BatchChoices(
            int batch, String variety, List<BatchSummary.PromiseView> promises, int plants, BatchStage stage, LocalDate targetBefore,
            LocalDate target, double chanceBefore, @Nullable DateSpread ready, @Nullable DateSpread pastLimit,
            List<RescheduleOption> options) {}

    /** The options for a batch whose day moves by so many days. */
    BatchChoices choices(int number, int days) {
        BatchAnalysis batch = board.batch(number);
        Batch planned = batch.file().batch();
        LocalDate today = clock.today();
        if (Math.abs(days) > Wish.DAYS_AHEAD) {
            throw new Refusal("days", Said.of("A day moves by at most {daysAhead} days.").with("daysAhead", Wish.DAYS_AHEAD));
        }
        LocalDate target = planned.target().plusDays(days);
        if (target.isBefore(today)) {
            throw new Refusal("days", Said.of("Batch {number} would be wanted on {target}, which has passed.")
                    .with("number", number).with("target", target));
        }
        double enough = batch.chance() == 0 ? 0 : Math.min(1, batch.chanceEnough());
        Rescheduling rescheduling = new Rescheduling(
                seasons.season(today), batch.crop(), batch.path(), batch.standing(), batch.way(), batch.pace());
        BatchForecast asItIs = rescheduling.asItIs(target);
        List<RescheduleOption> options = new ArrayList<>();
        options.add(new RescheduleOption(RescheduleKind.KEEP, Said.of("Leave it as it is for {day}.").with("day", target), target,
                asItIs.chanceOnTarget() * enough, null, null, null));
        if (batch.file().state().sownOn().isEmpty()) {
            timedAnew(batch, target).ifPresent(options::add);
        } else {
            places(rescheduling, target, today, enough, options);
        }
        swaps(batch, target, enough, options);
        split(batch, target, asItIs.chanceOnTarget(), options);
        LocalDate better = rescheduling.bestDayNear(target, today, SURE_ENOUGH);
        if (!better.equals(target)) {
            options.add(new RescheduleOption(RescheduleKind.OTHER_DAY, Said.of("Agree with {growers} on {day}.")
                    .with("growers", growers(batch)).with("day", better), better,
                    rescheduling.asItIs(better).chanceOnTarget() * enough, null, null, null));
        }
        options.sort((one, other) -> Double.compare(other.chance(), one.chance()));
        return new BatchChoices(
                number, planned.variety(), BatchSummary.promises(batch), planned.plants(), batch.stage(),
                planned.target(), target, batch.chance(), asItIs.ready().orElse(null), asItIs.pastLimit().orElse(null),
                options);
    }

    private Optional<RescheduleOption> timedAnew(BatchAnalysis batch, LocalDate target) {
        Batch moved = batch.file().batch().wantedOn(target);
        BatchAnalysis there = board.tried(batch, BatchPlan.of(moved), target);
        return board.windowFor(there, target).map(window -> new RescheduleOption(
                RescheduleKind.SOW_AGAIN_TIMED, Said.of("Sow it on {day} instead of {before}.").with("day", window.best())
                        .with("before", moved.sowDay()), target, window.chance() * batch.chanceEnough(), null, null, null));
    }

    private void places(
            Rescheduling rescheduling, LocalDate target, LocalDate today, double enough, List<RescheduleOption> options) {
        rescheduling.elsewhere(target, today).stream().limit(MOST_PLACES).forEach(each -> {
            String place = seasons.season(today).place(each.way().growingOn()).name().toLowerCase(Locale.ROOT);
            boolean hold = each.warmer() < 0;
            options.add(new RescheduleOption(
                    hold ? RescheduleKind.HOLD : RescheduleKind.BRING_ON,
                    (hold ? Said.of("Hold it in the {place}, {by} cooler{known, select, true {; ready about {ready}} other {}}.")
                            : Said.of("Bring it on in the {place}, {by} warmer{known, select, true {; ready about {ready}} other {}}."))
                            .with("place", place).with("by", new Difference(Math.abs(each.warmer())))
                            .when("known", each.ready().isPresent())
                            .with("ready", each.ready().map(DateSpread::middle).orElse(target)),
                    target, each.chance() * enough, each.way().growingOn().number(), null, null));
        });
    }

    /** Batches of the same variety in the same container, for other orders, that would suit this day better. */
    private void swaps(BatchAnalysis batch, LocalDate target, double enough, List<RescheduleOption> options) {
        Batch own = batch.file().batch();
        board.under(Map.of()).stream()
                .filter(other -> other.file().batch().number() != own.number()
                        && other.file().batch().variety().equals(own.variety())
                        && other.file().batch().container().equals(own.container())
                        && other.file().batch().stage().equals(own.stage())
                        && other.file().plantsReleased() == 0
                        && batch.file().plantsReleased() == 0
                        && !other.file().promises().isEmpty() && !batch.file().promises().isEmpty()
                        && alive(other) >= batch.file().wanted() && alive(batch) >= other.file().wanted())
                .map(other -> {
                    Rescheduling theirs = new Rescheduling(
                            seasons.season(), other.crop(), other.path(), other.standing(), other.way(), other.pace());
                    Rescheduling ours = new Rescheduling(
                            seasons.season(), batch.crop(), batch.path(), batch.standing(), batch.way(), batch.pace());
                    double both = Math.min(
                            theirs.asItIs(target).chanceOnTarget(),
                            ours.asItIs(other.file().batch().target()).chanceOnTarget());
                    return new RescheduleOption(RescheduleKind.SWAP, Said.of("Swap with batch {batch} for {growers}, wanted on {day}.")
                            .with("batch", other.file().batch().number()).with("growers", growers(other))
                            .with("day", other.file().batch().target()),
                            target, both * enough, null, other.file().batch().number(), null);
                })
                .filter(option -> option.chance() > 0)
                .sorted((one, other) -> Double.compare(other.chance(), one.chance()))
                .limit(MOST_SWAPS)
                .forEach(options::add);
    }

    private static int alive(BatchAnalysis batch) {
        return batch.file().state().sownOn().isEmpty()
                ? batch.file().batch().plants()
                : batch.file().plantsAlive();
    }

    /** Where fewer plants are alive than ordered, those there are on the day and the rest later. */
    private void split(BatchAnalysis batch, LocalDate target, double inTime, List<RescheduleOption> options) {
        int plants = batch.file().wanted();
        int alive = batch.file().plantsAlive();
        if (batch.file().promises().size() != 1) {
            return;
        }
        if (batch.file().state().isCompletelyCounted() && alive > 0 && alive < plants) {
            options.add(new RescheduleOption(RescheduleKind.SPLIT, Said.of("Hand over {alive} on the day and sow {rest} anew for later.")
                    .with("alive", alive).with("rest", plants - alive), target, inTime, null, null, alive));
        }
    }

    /** Does what was chosen. */
    @Transactional
    public void take(
            UUID requestId, int number, RescheduleKind kind, LocalDate target, @Nullable Long placeId, @Nullable Integer otherBatch,
            @Nullable Integer plants, long by) {
        List<?> content = Arrays.asList("reschedule", number, kind, target, placeId, otherBatch, plants, by);
        if (target.isBefore(clock.today()) || target.isAfter(clock.today().plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal("target", Said.of("Choose a day from today to {today}.").with("today", clock.today().plusDays(Wish.DAYS_AHEAD)));
        }
        requests.once(requestId, content, () -> {
            batches.lock(number);
            BatchAnalysis batch = board.batch(number);
            Batch planned = batch.file().batch();
            switch (kind) {
                case KEEP, OTHER_DAY -> { }
                case HOLD, BRING_ON -> moveTo(batch, required(placeId, "placeId"), by, requestId);
                case SOW_AGAIN_TIMED -> sowAgainTimed(batch, target, by);
                case SWAP -> batches.swapPromises(number, required(otherBatch, "otherBatch"));
                case SPLIT -> splitOff(batch.file(), target, required(plants, "plants"), by);
            }
            if (kind != RescheduleKind.SWAP) {
                move(batch.file(), ChronoUnit.DAYS.between(planned.target(), target), by);
            }
            return number;
        });
    }

    private void moveTo(BatchAnalysis batch, long placeId, long by, UUID requestId) {
        Batch planned = batch.file().batch();
        PlaceId place = new PlaceId(placeId);
        if (seasons.season().places().stream().noneMatch(each -> each.id().equals(place) && each.suits(PlaceUse.GROWING_ON))) {
            throw new Refusal("placeId", Said.of("Choose a place where plants grow on."));
        }
        Way way = new Way(planned.way().emergence(), place, planned.way().hardening());
        plans.change(by, Said.of("Grow batch {batch} on elsewhere").with("batch", planned.number()),
                Map.of(planned.number(), BatchPlan.of(planned).along(way, true)));
        if (batch.stage() == BatchStage.GROWING_ON) {
            batches.record(planned.number(), clock.today(), List.of(new BatchChange.Moved(place)), by, requestId);
        }
    }

    private void sowAgainTimed(BatchAnalysis batch, LocalDate target, long by) {
        Batch planned = batch.file().batch();
        LocalDate day = board.windowFor(board.tried(batch, BatchPlan.of(planned), target), target)
                .orElseThrow(() -> new Refusal("target", Said.of("It is too late to sow for this day.")))
                .best();
        plans.change(by, Said.of("Sow batch {batch} for another day").with("batch", planned.number()),
                Map.of(planned.number(), BatchPlan.of(planned).sownOn(day)));
    }

    /** The days of all lines that still wait for plants of a batch move together; one for nobody is grown for another day. */
    private void move(BatchFile file, long days, long by) {
        if (days == 0) {
            return;
        }
        if (file.promises().isEmpty()) {
            batches.aimAt(file.batch().number(), file.batch().target().plusDays(days));
        }
        Map<Long, Integer> released = file.releasedByLine();
        file.promises().stream()
                .filter(promise -> released.getOrDefault(promise.lineId(), 0) < promise.accepted())
                .forEach(promise -> {
                    OrderedLine line = orders.line(promise.lineId());
                    orders.moveLine(line, line.target().plusDays(days), clock.today(), by);
                });
    }

    /** The line keeps what is there; the rest becomes a line of its own for later. */
    private void splitOff(BatchFile file, LocalDate target, int plants, long by) {
        if (file.promises().size() != 1) {
            throw new Refusal("plants", Said.of("Batch {batch} is not for one line alone; change its orders one by one.")
                    .with("batch", file.batch().number()));
        }
        Promised promise = file.promises().get(0);
        OrderedLine line = orders.line(promise.lineId());
        int rest = promise.plants() - plants;
        if (plants < 1 || rest < 1) {
            throw new Refusal("plants", Said.of("Hand over from 1 to {plants} plants on the day.").with("plants", (promise.plants() - 1)));
        }
        LocalDate today = clock.today();
        orders.setPlants(line, line.plants() - rest, today, by);
        batches.setPromise(line.id(), file.batch().number(), plants);
        Wish wish = PromiseService.wishFor(line, rest, promises.firstDayFor(line, rest, target));
        long added = promises.addLine(line.orderNumber(), new PromiseService.LineWish(wish, null, null));
        orders.noteAdded(orders.line(added), today, by);
    }

    /** Whose plants they are, for example "Alder Field and Low Farm". */
    private static Said growers(BatchAnalysis batch) {
        List<String> names = batch.file().promises().stream().map(Promised::grower).distinct().toList();
        return names.isEmpty() ? Said.of("yourself") : names.size() == 1
                ? Said.plain(names.get(0))
                : Said.of("{some} and {last}").with("some", names.subList(0, names.size() - 1)).with("last", names.get(names.size() - 1));
    }

    private static <T> T required(@Nullable T value, String field) {
        if (value == null) {
            throw new Refusal(field, Said.of("This choice is not whole; look at the options again."));
        }
        return value;
    }
}
