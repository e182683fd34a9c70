package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.LossReason;
import kiver.core.batch.Tended;
import kiver.core.crop.Container;
import kiver.core.harden.HardeningProgramme;
import kiver.core.harden.Outing;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.core.place.PlaceId;
import kiver.core.release.ReadySample;
import kiver.core.today.RoundTask;
import kiver.core.today.TaskKind;
import kiver.core.today.WhyNow;
import kiver.core.tray.CellRun;
import kiver.server.batch.RecordingService;
import kiver.server.care.FeedBook;
import kiver.server.clock.NurseryClock;
import kiver.server.pot.PottingService;
import kiver.server.problem.Refusal;
import kiver.server.release.ReleaseService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.stock.Filling;
import kiver.server.stock.MixLot;
import kiver.server.today.RoundService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * People who walk the round and do most of what it asks, through the same services as anybody: in the demonstration, and where a
 * season is played. What they find in the cells comes from {@link Luck}, what they have at hand from {@link HandsWays}.
 */
@Component
public class Hands {

    private static final double USUALLY = 0.85;
    private static final double NEARLY_ALWAYS = 0.99;
    private static final Set<TaskKind> HARDENING =
            EnumSet.of(TaskKind.START_HARDENING, TaskKind.HARDEN, TaskKind.END_HARDENING);
    private static final double MILLILITRES_IN_LITRE = 1000;

    private final RoundService round;
    private final RecordingService recording;
    private final PottingService pottings;
    private final ReleaseService releases;
    private final SeedStore seeds;
    private final NurseryClock clock;
    private final Luck luck;
    private final HandsWays ways;
    private final Filling filling;
    private final FeedBook feeds;
    private final CellsFound cells;
    private final HandsInTheEvening evening;
    private final TransactionTemplate transaction;

    Hands(
            RoundService round,
            RecordingService recording,
            PottingService pottings,
            ReleaseService releases,
            SeedStore seeds,
            NurseryClock clock,
            Luck luck,
            HandsWays ways,
            Filling filling,
            FeedBook feeds,
            CellsFound cells,
            HandsInTheEvening evening,
            TransactionTemplate transaction) {
        this.cells = cells;
        this.evening = evening;
        this.luck = luck;
        this.ways = ways;
        this.filling = filling;
        this.feeds = feeds;
        this.transaction = transaction;
        this.round = round;
        this.recording = recording;
        this.pottings = pottings;
        this.releases = releases;
        this.seeds = seeds;
        this.clock = clock;
    }

    /** Does a day's work. */
    public void work() {
        LocalDate today = clock.today();
        ways.water();
        Set<Integer> hardenedAndDue = new HashSet<>();
        boolean nightMatters = false;
        for (RoundService.Stop stop : round.stops()) {
            BatchOutlook batch = stop.batch();
            int number = batch.number();
            boolean busy = false;
            boolean hardens = false;
            for (RoundTask task : stop.tasks()) {
                if (isThoughtOf(task, number, today) && isDone(task, stop, today)) {
                    busy = true;
                    hardens |= HARDENING.contains(task.kind());
                }
            }
            if (hardens && !batch.file().batch().target().isAfter(today)) {
                hardenedAndDue.add(number);
            }
            nightMatters |= hardens || batch.lossTonight() > 0;
            // What was seen this morning may no longer be so after the work; the dead are noted tomorrow then.
            List<BatchChange> losses = busy ? List.of() : cells.losses(batch, today);
            if (!losses.isEmpty()) {
                record(number, today, "losses", losses);
            }
        }
        handOver(hardenedAndDue, today);
        if (nightMatters) {
            evening.seeToTheNight(today);
        }
    }

    /** What has become ready by the morning's work goes the same day. */
    private void handOver(Set<Integer> hardenedAndDue, LocalDate today) {
        if (hardenedAndDue.isEmpty()) {
            return;
        }
        for (RoundService.Stop stop : round.stops()) {
            if (hardenedAndDue.contains(stop.batch().number())) {
                stop.tasks().stream()
                        .filter(task -> task.kind() == TaskKind.RELEASE)
                        .filter(task -> isThoughtOf(task, stop.batch().number(), today))
                        .forEach(task -> isDone(task, stop, today));
            }
        }
    }

    private boolean isThoughtOf(RoundTask task, int batch, LocalDate today) {
        double likelihood = switch (task.kind()) {
            case START_HARDENING, HARDEN, END_HARDENING, SOW, RELEASE -> NEARLY_ALWAYS;
            default -> USUALLY;
        };
        return luck.getsDone(batch, today.toEpochDay(), task.kind().ordinal(), likelihood);
    }

    /** What is refused is left for another day, where hands go on after a refusal. */
    private boolean isDone(RoundTask task, RoundService.Stop stop, LocalDate today) {
        try {
            perform(task, stop, today);
            return true;
        } catch (Refusal refused) {
            if (!ways.goOnAfterARefusal()) {
                throw refused;
            }
            return false;
        }
    }

    private void perform(RoundTask task, RoundService.Stop stop, LocalDate today) {
        BatchOutlook analysis = stop.batch();
        Batch batch = analysis.file().batch();
        BatchState state = analysis.file().state();
        String purpose = task.kind().name();
        switch (task.kind()) {
            case SOW -> sow(analysis, today);
            case TAKE_IN -> record(batch.number(), today, purpose, arrival(analysis));
            case COUNT, DECIDE_ON_FAILING -> {
                if (state.balance().waiting() > 0) {
                    record(batch.number(), today, purpose, cells.counts(analysis, today));
                }
            }
            case MOVE_TO_GROW_ON ->
                record(
                        batch.number(),
                        today,
                        purpose,
                        List.of(new BatchChange.Moved(new PlaceId(batch.plan().growingPlaceId()))));
            case POT_ON -> potOn(analysis, today);
            case START_HARDENING -> {
                HardeningProgramme programme = batch.hardeningProgramme();
                List<BatchChange> changes = new ArrayList<>();
                changes.add(new BatchChange.HardeningStarted(
                        new PlaceId(batch.plan().hardeningPlaceId()), programme.days()));
                if (programme.days() == 0) {
                    changes.add(new BatchChange.HardeningEnded());
                } else {
                    changes.add(new BatchChange.HardenedForDay(programme.on(1).hours()));
                }
                record(batch.number(), today, purpose, changes);
            }
            case HARDEN -> {
                if (!staysIn(task)) {
                    int day = state.hardeningDays() + 1;
                    List<BatchChange> changes = new ArrayList<>();
                    changes.add(new BatchChange.HardenedForDay(
                            batch.hardeningProgramme().on(day).hours()));
                    if (day >= state.programmeDays()) {
                        changes.add(new BatchChange.HardeningEnded());
                    }
                    record(batch.number(), today, purpose, changes);
                }
            }
            case END_HARDENING -> record(batch.number(), today, purpose, List.of(new BatchChange.HardeningEnded()));
            case RELEASE -> {
                int alive = stop.batch().file().plantsAlive();
                for (Promised promise : stop.batch().file().promises()) {
                    int gone = stop.batch().file().releasedByLine().getOrDefault(promise.line(), 0);
                    int plants = Math.min(alive, promise.plants() - gone);
                    if (plants > 0 && !promise.target().isAfter(today) && !ways.waitsForTheRound(promise, today)) {
                        alive -= plants;
                        releases.release(
                                id(
                                        batch.number(),
                                        today,
                                        purpose + promise.line().number()),
                                promise.orderNumber(),
                                List.of(new ReleaseService.Parting(promise.position(), plants, 0, ReadySample.NONE)),
                                List.of(),
                                null);
                    }
                }
            }
            case CLEAR_SPARES ->
                record(
                        batch.number(),
                        today,
                        purpose,
                        state.trays().stream()
                                .filter(tray -> !state.cellsIn(tray, CellCondition.ALIVE)
                                        .isEmpty())
                                .map(tray -> (BatchChange) new BatchChange.Lost(
                                        tray, state.cellsIn(tray, CellCondition.ALIVE), LossReason.NOT_NEEDED))
                                .toList());
            case FEED -> feed(batch.number(), today);
            case BRUSH, PINCH, TAKE_FLOWERS ->
                record(batch.number(), today, purpose, List.of(new Tended(step(task.kind()))));
            case SOAK, UNCOVER, LOOK_FOR_FROST, WATCH_DATE -> {}
        }
    }

    private static Tended.Step step(TaskKind kind) {
        return switch (kind) {
            case BRUSH -> Tended.Step.BRUSHED;
            case PINCH -> Tended.Step.PINCHED;
            default -> Tended.Step.FLOWERS_OFF;
        };
    }

    /** With what stands in the store, as strong as the nursery usually feeds. */
    private void feed(int number, LocalDate today) {
        feeds.feeds().stream()
                .filter(feed -> feed.nitrogen() > 0)
                .findFirst()
                .ifPresent(feed -> feeds.give(
                        id(number, today, "FEED"),
                        number,
                        feed.id(),
                        feeds.way().strength(),
                        null,
                        today,
                        null));
    }

    /** Plants that were bought come with the leaves that were promised, and stand where they are to grow on. */
    private static List<BatchChange> arrival(BatchOutlook outlook) {
        Batch batch = outlook.file().batch();
        Double leaves = batch.leavesOnArrival();
        return outlook.file().toSow().stream()
                .<BatchChange>map(run -> new BatchChange.BroughtIn(
                        run,
                        batch.lot(),
                        leaves == null ? 0 : leaves,
                        batch.way().growingOn()))
                .toList();
    }

    /** Cells are filled from the heap that fits, and what they take is taken off it. */
    private void sow(BatchOutlook analysis, LocalDate today) {
        int number = analysis.number();
        Container container = analysis.containers().containers().get(0);
        int cells = analysis.file().toSow().stream().mapToInt(CellRun::length).sum();
        Optional<MixLot> mix = ways.mixForSowing(
                number,
                container.kind() == Container.Kind.BLOCKS,
                cells * container.cellVolume() / MILLILITRES_IN_LITRE,
                today);
        List<BatchChange> changes = sowing(analysis, mix.map(MixLot::words).orElse(""));
        int sown = changes.stream()
                .mapToInt(change ->
                        change instanceof BatchChange.Sown run ? run.run().length() : 0)
                .sum();
        transaction.executeWithoutResult(status -> {
            record(number, today, "SOW", changes);
            if (sown > 0 && mix.isPresent()) {
                filling.fill(
                        mix.get(),
                        number,
                        List.of(new Filling.Filled(container, sown)),
                        today,
                        null,
                        id(number, today, "FILL"));
            }
        });
    }

    private List<BatchChange> sowing(BatchOutlook analysis, String medium) {
        Batch batch = analysis.file().batch();
        SeedLot lot = seeds.lot(batch.lot());
        List<BatchChange> changes = new ArrayList<>();
        int left = lot.seedsLeft();
        for (CellRun run : analysis.file().toSow()) {
            int needed = run.length() * batch.seedsPerCell();
            if (needed <= left) {
                changes.add(new BatchChange.Sown(
                        run,
                        batch.seedsPerCell(),
                        batch.lot(),
                        medium,
                        new PlaceId(batch.plan().emergencePlaceId())));
                left -= needed;
            } else {
                changes.add(new BatchChange.LeftUnsown(run.tray()));
            }
        }
        return changes;
    }

    /** What the round says is to be left in today is left in. */
    private static boolean staysIn(RoundTask task) {
        return task.why() instanceof WhyNow.HardeningGoesOn goesOn && goesOn.byDay() == Outing.Day.IN;
    }

    /** All that live go on into the next container of their path. */
    private void potOn(BatchOutlook analysis, LocalDate today) {
        if (!ways.findsTimeToPot(today)) {
            return;
        }
        int number = analysis.file().batch().number();
        BatchState state = analysis.file().state();
        Container into =
                analysis.containers().containers().get(analysis.standing().pottingsDone() + 1);
        int alive = state.balance().alive();
        if (alive > 0) {
            pottings.pot(
                    id(number, today, "POT_ON"),
                    number,
                    today,
                    new PottingService.Potted(List.of(), into.code(), alive),
                    PottingService.Parted.NOT,
                    ways.mixForPots(alive * into.cellVolume() / MILLILITRES_IN_LITRE, today)
                            .map(MixLot::number)
                            .orElse(null),
                    null);
        }
    }

    private void record(int batch, LocalDate today, String purpose, List<BatchChange> changes) {
        if (!changes.isEmpty()) {
            recording.record(id(batch, today, purpose), batch, today, changes, null);
        }
    }

    /** The same work on the same day is the same request, so a day that was cut short can simply be done again. */
    private static UUID id(int batch, LocalDate day, String purpose) {
        return UUID.nameUUIDFromBytes((batch + "/" + day + "/" + purpose).getBytes(StandardCharsets.UTF_8));
    }
}
