package kiver.server.promise;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.growth.Season;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchSize;
import kiver.core.outlook.Promised;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Plan;
import kiver.core.plan.SowWindow;
import kiver.core.promise.Promise;
import kiver.core.promise.PromiseCheck;
import kiver.core.sow.SowingOption;
import kiver.core.space.Rates;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.space.BatchOutlooks;
import kiver.server.space.SpaceBook;
import org.springframework.stereotype.Component;

/** Finds batches that could give what is wished: from what is free of them, or by sowing more at once. */
@Component
class Sources {

    /** Below this a batch is not offered. */
    private static final double TOO_UNLIKELY = 0.5;

    /** Sowings further apart are not one. */
    private static final int MOST_DAYS_APART = 21;

    private static final int MOST_POOLED = 2;

    /** Stands for the line that is not written down yet. */
    private static final LineId NEW_LINE = new LineId(-1);

    private static final double SECONDS_IN_MINUTE = 60;

    private final BatchOutlooks outlooks;
    private final PlanRequests plans;
    private final SpaceBook space;
    private final SeasonService seasons;
    private final NurseryClock clock;

    Sources(BatchOutlooks outlooks, PlanRequests plans, SpaceBook space, SeasonService seasons, NurseryClock clock) {
        this.outlooks = outlooks;
        this.plans = plans;
        this.space = space;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** A source with what must be written down to use it. */
    record Found(Source source, Optional<BatchSize> size) {}

    /**
     * The sources for a wish, the surest first; what is free before what would have to be sown.
     *
     * @param alone how it would be sown by itself; empty where it could not be
     */
    List<Source> of(Wish wish, Optional<SowingOption> alone, Rates rates) {
        List<Source> free = new ArrayList<>();
        List<Source> pooled = new ArrayList<>();
        for (BatchOutlook batch : growing(wish)) {
            Optional<Found> found = isAlike(batch, wish) ? find(batch, wish, alone, rates) : Optional.empty();
            found.map(Found::source)
                    .filter(source -> source.chance() >= TOO_UNLIKELY)
                    .ifPresent(source -> (source.kind() == Source.Kind.FREE ? free : pooled).add(source));
        }
        Comparator<Source> surest = Comparator.comparingDouble(Source::chance).reversed();
        List<Source> sources = new ArrayList<>(free.stream().sorted(surest).toList());
        pooled.stream().sorted(surest).limit(MOST_POOLED).forEach(sources::add);
        return sources;
    }

    /** What a batch could give for a wish; empty where it cannot give all of it. */
    Optional<Found> in(int number, Wish wish) {
        return growing(wish).stream()
                .filter(batch -> batch.number() == number && isAlike(batch, wish))
                .findFirst()
                .flatMap(batch -> find(batch, wish, Optional.empty(), null));
    }

    /** The batches of the variety that are not over and can be worked out. */
    private List<BatchOutlook> growing(Wish wish) {
        return outlooks.all().stream()
                .filter(batch -> batch.file().batch().varietyId() == wish.varietyId()
                        && batch.trouble().isEmpty()
                        && batch.stage() != BatchStage.RELEASED
                        && batch.stage() != BatchStage.FAILED)
                .toList();
    }

    private static boolean isAlike(BatchOutlook growing, Wish wish) {
        Batch batch = growing.file().batch();
        boolean clumps = batch.containerPath() == ContainerPath.Kind.CLUMPS;
        return batch.container().equals(wish.container())
                && clumps == (wish.containerPath() == ContainerPath.Kind.CLUMPS)
                && batch.aim().countedIn() == wish.counted()
                && Math.max(batch.stage().from(), wish.leavesFrom())
                        <= Math.min(batch.stage().to(), wish.leavesTo());
    }

    private Optional<Found> find(BatchOutlook batch, Wish wish, Optional<SowingOption> alone, Rates rates) {
        LocalDate today = clock.today();
        int free = batch.file().shares(today).free();
        if (free >= wish.plants()) {
            BatchOutlook promised = outlooks.trial(batch.file().promising(promiseFor(batch.file(), wish)));
            return Optional.of(new Found(source(Source.Kind.FREE, promised, free, null), Optional.empty()));
        }
        boolean near =
                Math.abs(ChronoUnit.DAYS.between(batch.file().batch().target(), wish.target())) <= MOST_DAYS_APART;
        // What is bought in is not sown larger; more of it would have to be bought.
        boolean sownHere =
                batch.stage() == BatchStage.PLANNED && !batch.file().batch().isBoughtIn();
        return sownHere && near ? pooled(batch, wish, free, alone, rates) : Optional.empty();
    }

    /**
     * How a batch that is planned would be sown on its day for so many plants; empty where its day has passed.
     *
     * @param plants 1 or more
     */
    Optional<BatchSize> sizeFor(BatchFile planned, int plants) {
        Batch batch = planned.batch();
        if (batch.target().isBefore(clock.today())) {
            return Optional.empty();
        }
        Wish wish = new Wish(
                batch.varietyId(),
                batch.container(),
                plants,
                batch.stage().from(),
                batch.stage().to(),
                batch.target(),
                batch.seedsPerCell(),
                batch.lot().number(),
                null,
                batch.containerPath(),
                batch.aim().under(),
                batch.aim().countedIn(),
                null,
                batch.plan().overWinter());
        PlanRequests.Prepared prepared = plans.prepareInsteadOf(wish, planned);
        return new PromiseCheck(
                        prepared.season(), space.occupancy().with(batch.number(), List.of()), List.of(), List::of)
                .answer(prepared.request())
                .plan()
                .chosen()
                .map(option -> new BatchSize(
                        plants,
                        batch.target(),
                        option.seedsPerCell(),
                        option.cells(),
                        Bookings.cellsNeeded(prepared, option),
                        batch.sowDay(),
                        batch.plan().latestSowDay()));
    }

    private Optional<Found> pooled(
            BatchOutlook planned, Wish wish, int free, Optional<SowingOption> alone, Rates rates) {
        Batch batch = planned.file().batch();
        LocalDate first = batch.target().isBefore(wish.target()) ? batch.target() : wish.target();
        if (first.isBefore(clock.today())) {
            return Optional.empty();
        }
        Wish together = new Wish(
                wish.varietyId(),
                wish.container(),
                batch.plants() + wish.plants() - free,
                batch.stage().from(),
                batch.stage().to(),
                first,
                batch.seedsPerCell(),
                batch.lot().number(),
                wish.siteId(),
                batch.containerPath(),
                batch.aim().under(),
                batch.aim().countedIn(),
                wish.protection(),
                batch.plan().overWinter());
        PlanRequests.Prepared prepared = plans.prepareInsteadOf(together, planned.file());
        Promise promise = new PromiseCheck(
                        prepared.season(), space.occupancy().with(batch.number(), List.of()), List.of(), List::of)
                .answer(prepared.request());
        Plan plan = promise.plan();
        if (!plan.isPossible() || plan.chosen().isEmpty()) {
            return Optional.empty();
        }
        SowingOption option = plan.chosen().get();
        BatchSize size = new BatchSize(
                together.plants(),
                batch.target(),
                option.seedsPerCell(),
                option.cells(),
                Bookings.cellsNeeded(prepared, option),
                plan.sowDay().orElseThrow(),
                plan.window().map(SowWindow::latest).orElse(null));
        BatchFile larger = planned.file().with(batch.resized(size)).promising(promiseFor(planned.file(), wish));
        Source.Saving saving = alone.map(
                        by -> saving(by, batch, prepared.request().sownIn().cells(), option, rates))
                .orElse(null);
        return Optional.of(
                new Found(source(Source.Kind.POOLED, outlooks.trial(larger), free, saving), Optional.of(size)));
    }

    private static Source.Saving saving(
            SowingOption alone, Batch planned, int cellsToATray, SowingOption together, Rates rates) {
        int trays = alone.trays() + (int) Math.ceil(planned.cells() / (double) cellsToATray) - together.trays();
        int seeds = alone.seeds() + planned.cells() * planned.seedsPerCell() - together.seeds();
        int cells = alone.cells() + planned.cells() - together.cells();
        return new Source.Saving(trays, seeds, Math.round(cells * rates.secondsToSow() / SECONDS_IN_MINUTE));
    }

    private Source source(Source.Kind kind, BatchOutlook batch, int free, Source.Saving saving) {
        Season season = seasons.season();
        BatchFile file = batch.file();
        double least = file.promises().stream()
                .mapToDouble(promise -> batch.chanceFor(promise.line()))
                .min()
                .orElse(0);
        return new Source(
                kind,
                batch.number(),
                batch.stage(),
                free,
                season.place(batch.place()).name(),
                batch.began(),
                batch.forecast().ready().orElse(null),
                least,
                saving);
    }

    private static Promised promiseFor(BatchFile file, Wish wish) {
        return new Promised(NEW_LINE, file.batch().id(), 0, 0, 0, "", wish.plants(), wish.tolerance(), wish.target());
    }
}
