package kiver.core.today;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.batch.RootsSeen;
import kiver.core.crop.SeedTraits;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.DateSpread;
import kiver.core.harden.Exposure;
import kiver.core.harden.Outing;
import kiver.core.order.PlantShares;

/** Works out what is to be done with a batch on a day. */
public final class Round {

    /** When somebody walks it, and what is called for in a day is called for. */
    public static final LocalTime BEGINS = LocalTime.of(8, 0);

    /** Seedlings not yet all up are looked at again after this many days. */
    private static final int DAYS_BETWEEN_COUNTS = 2;

    /** Covers come off on the day on which half are seen up, or the next. */
    private static final int DAYS_TO_UNCOVER = 1;

    /** A release is prepared this many days ahead. */
    private static final int DAYS_TO_PREPARE_RELEASE = 1;

    /** A forecast below this chance is worth a look every day. */
    private static final double WORRYING_CHANCE = 0.5;

    /** Hunger is slow; later than this it shows. */
    private static final int DAYS_FEED_WAITS = 3;

    private Round() {}

    /** The work, in the order in which it is done; empty when the batch can be left alone. */
    public static List<RoundTask> tasksFor(BatchSituation batch, LocalDate today) {
        List<RoundTask> tasks = new ArrayList<>();
        switch (batch.state().stage()) {
            case PLANNED -> {
                soaking(batch, today).ifPresent(tasks::add);
                sowing(batch, today).ifPresent(tasks::add);
            }
            case SOWN, EMERGING -> {
                counting(batch, today).ifPresent(tasks::add);
                uncovering(batch, today).ifPresent(tasks::add);
                moving(batch).ifPresent(tasks::add);
                potting(batch, today).ifPresent(tasks::add);
            }
            case GROWING_ON -> {
                uncovering(batch, today).ifPresent(tasks::add);
                moving(batch).ifPresent(tasks::add);
                potting(batch, today).ifPresent(tasks::add);
                startOfHardening(batch, today).ifPresent(tasks::add);
            }
            case HARDENING_OFF -> {
                hardening(batch, today).ifPresent(tasks::add);
                outgrown(batch).ifPresent(tasks::add);
            }
            case READY -> {
                releasing(batch, today).ifPresent(tasks::add);
                outgrown(batch).ifPresent(tasks::add);
                clearing(batch, today).ifPresent(tasks::add);
            }
            case RELEASED, FAILED -> {}
        }
        restOfSowing(batch, today).ifPresent(tasks::add);
        lookingForFrost(batch).ifPresent(tasks::add);
        deciding(batch, today).ifPresent(tasks::add);
        // Roots that have nowhere to go say all that a date could.
        if (tasks.stream().noneMatch(task -> task.kind() == TaskKind.WATCH_DATE)) {
            watching(batch, today).ifPresent(tasks::add);
        }
        feeding(batch, today).ifPresent(tasks::add);
        tasks.addAll(TendingTasks.of(batch, today));
        return List.copyOf(tasks);
    }

    /** Seed that was laid in water yesterday is to be sown; what was not sown then has drowned, and other seed is soaked. */
    private static Optional<RoundTask> soaking(BatchSituation batch, LocalDate today) {
        SeedTraits seed = batch.outlook().crop().seed();
        LocalDate due = seed.soakDay(batch.plannedSowDay());
        boolean inWater = batch.soakedOn()
                .filter(day -> day.isBefore(today) && !day.isBefore(today.minusDays(1)))
                .isPresent();
        if (batch.boughtIn() || seed.soakHours() == 0 || due.isAfter(today) || inWater) {
            return Optional.empty();
        }
        boolean late = due.isBefore(today);
        LocalDate sowDay = late && seed.soakDay(today).isBefore(today) ? today.plusDays(1) : batch.plannedSowDay();
        return Optional.of(new RoundTask(
                TaskKind.SOAK,
                late ? Urgency.LATE : Urgency.TODAY,
                new WhyNow.ToBeSoaked(seed.soakHours(), sowDay.isBefore(today) ? today : sowDay)));
    }

    private static Optional<RoundTask> feeding(BatchSituation batch, LocalDate today) {
        if (batch.state().balance().alive() == 0) {
            return Optional.empty();
        }
        return batch.feed()
                .filter(feed -> feed.due().filter(due -> !due.isAfter(today)).isPresent())
                .map(feed -> new RoundTask(
                        TaskKind.FEED,
                        feed.due().orElseThrow().isBefore(today.minusDays(DAYS_FEED_WAITS))
                                ? Urgency.LATE
                                : Urgency.TODAY,
                        new WhyNow.WantsFeed(feed.reserveEnds(), feed.lastFed())));
    }

    private static Optional<RoundTask> sowing(BatchSituation batch, LocalDate today) {
        if (batch.plannedSowDay().isAfter(today)) {
            return Optional.empty();
        }
        boolean late = batch.plannedSowDay().isBefore(today);
        if (batch.boughtIn()) {
            return Optional.of(new RoundTask(
                    TaskKind.TAKE_IN, late ? Urgency.LATE : Urgency.TODAY, new WhyNow.ToArrive(batch.plannedSowDay())));
        }
        return Optional.of(new RoundTask(
                TaskKind.SOW,
                late ? Urgency.LATE : Urgency.TODAY,
                new WhyNow.ToBeSown(batch.plannedSowDay(), batch.lastUsefulSowDay())));
    }

    /** A batch whose first trays are sown and whose others wait. */
    private static Optional<RoundTask> restOfSowing(BatchSituation batch, LocalDate today) {
        if (batch.traysToSow() == 0 || batch.state().stage() == BatchStage.PLANNED) {
            return Optional.empty();
        }
        boolean late = batch.plannedSowDay().isBefore(today);
        return Optional.of(new RoundTask(
                batch.boughtIn() ? TaskKind.TAKE_IN : TaskKind.SOW,
                late ? Urgency.LATE : Urgency.TODAY,
                batch.boughtIn()
                        ? new WhyNow.ToArrive(batch.plannedSowDay())
                        : new WhyNow.PartSown(batch.traysToSow())));
    }

    private static Optional<RoundTask> lookingForFrost(BatchSituation batch) {
        return batch.frostToLookFor()
                .map(minimum ->
                        new RoundTask(TaskKind.LOOK_FOR_FROST, Urgency.AT_RISK, new WhyNow.NightWasCold(minimum)));
    }

    /** What will stay short of its order: said with what to do and until when. */
    private static Optional<RoundTask> deciding(BatchSituation batch, LocalDate today) {
        BatchStage stage = batch.state().stage();
        if (batch.plantsStillWanted() == 0 || stage == BatchStage.PLANNED || stage == BatchStage.RELEASED) {
            return Optional.empty();
        }
        boolean failed = stage == BatchStage.FAILED && batch.state().balance().released() == 0;
        if (!failed && batch.verdict() != EmergenceVerdict.FAILING) {
            return Optional.empty();
        }
        return Optional.of(new RoundTask(
                TaskKind.DECIDE_ON_FAILING,
                Urgency.AT_RISK,
                new WhyNow.Short(
                        batch.plantsAlive(),
                        batch.state().balance().waiting() > 0,
                        batch.plantsAccepted(),
                        batch.lastUsefulSowDay().filter(day -> !day.isBefore(today)))));
    }

    private static Optional<RoundTask> counting(BatchSituation batch, LocalDate today) {
        if (batch.verdict() == EmergenceVerdict.FAILING) {
            return Optional.empty();
        }
        LocalDate lastCount = batch.state().cellsUp().isEmpty()
                ? null
                : batch.state().cellsUp().lastKey();
        if (lastCount == null && batch.cellsExpectedUp() < 1) {
            return Optional.empty();
        }
        if (lastCount != null && ChronoUnit.DAYS.between(lastCount, today) < DAYS_BETWEEN_COUNTS) {
            return Optional.empty();
        }
        long up = Math.round(batch.cellsExpectedUp());
        if (batch.verdict() == EmergenceVerdict.LATE) {
            return Optional.of(new RoundTask(
                    TaskKind.COUNT,
                    Urgency.AT_RISK,
                    new WhyNow.Late(up, batch.state().emerged())));
        }
        boolean overdue = lastCount == null
                && batch.cellsExpectedUp() > batch.state().balance().sown() / 2.0;
        return Optional.of(new RoundTask(
                TaskKind.COUNT,
                overdue ? Urgency.LATE : Urgency.TODAY,
                new WhyNow.DueToBeCounted(up, Optional.ofNullable(lastCount))));
    }

    /** Where seedlings stay in the place they came up in, half of them up is the sign: cover off, light on. */
    private static Optional<RoundTask> uncovering(BatchSituation batch, LocalDate today) {
        int sown = batch.state().balance().sown();
        Optional<LocalDate> halfUp = batch.state().cellsUp().entrySet().stream()
                .filter(seen -> 2 * seen.getValue() >= sown)
                .map(Map.Entry::getKey)
                .findFirst();
        if (batch.boughtIn()
                || !batch.comesUpWhereItGrowsOn()
                || halfUp.isEmpty()
                || halfUp.get().plusDays(DAYS_TO_UNCOVER).isBefore(today)) {
            return Optional.empty();
        }
        return Optional.of(new RoundTask(
                TaskKind.UNCOVER, Urgency.TODAY, new WhyNow.IsUp(batch.state().emerged(), sown)));
    }

    private static Optional<RoundTask> moving(BatchSituation batch) {
        boolean halfUp = 2 * batch.state().emerged() >= batch.state().balance().sown();
        if (!batch.atEmergencePlace() || !(halfUp || batch.state().stage() == BatchStage.GROWING_ON)) {
            return Optional.empty();
        }
        return Optional.of(new RoundTask(
                TaskKind.MOVE_TO_GROW_ON,
                Urgency.TODAY,
                new WhyNow.IsUp(batch.state().emerged(), batch.state().balance().sown())));
    }

    /** Roots that have outgrown what they stand in wait for no leaf. */
    private static Optional<RoundTask> outgrown(BatchSituation batch) {
        int alive = batch.state().balance().alive();
        return batch.state()
                .roots()
                .filter(roots -> roots.isOutgrown() && alive > 0)
                .map(roots -> new RoundTask(
                        batch.nextContainer().isPresent() ? TaskKind.POT_ON : TaskKind.WATCH_DATE,
                        roots == RootsSeen.CIRCLING ? Urgency.AT_RISK : Urgency.TODAY,
                        new WhyNow.RootsHaveOutgrown(roots, alive, batch.nextContainer())));
    }

    private static Optional<RoundTask> potting(BatchSituation batch, LocalDate today) {
        Optional<RoundTask> outgrown = outgrown(batch);
        if (outgrown.isPresent()) {
            return outgrown;
        }
        Optional<LocalDate> due =
                batch.forecast().pottings().stream().findFirst().map(DateSpread::middle);
        if (batch.nextContainer().isEmpty()
                || batch.state().balance().alive() == 0
                || due.isEmpty()
                || due.get().isAfter(today)) {
            return Optional.empty();
        }
        Optional<LocalDate> by = batch.outlook().rooting().potBy();
        return Optional.of(new RoundTask(
                TaskKind.POT_ON,
                by.filter(day -> day.isBefore(today)).isPresent() ? Urgency.LATE : Urgency.TODAY,
                new WhyNow.ReadyForPotting(
                        batch.state().balance().alive(), batch.nextContainer().get(), by)));
    }

    /** Counted back from the release: plants that have their leaves early are held inside until then. */
    private static Optional<RoundTask> startOfHardening(BatchSituation batch, LocalDate today) {
        Optional<LocalDate> stage = batch.forecast().stageReached().map(DateSpread::middle);
        LocalDate start = batch.forecast().hardeningFrom().orElse(batch.target());
        if (stage.isEmpty() || stage.get().isAfter(today) || start.isAfter(today)) {
            return Optional.empty();
        }
        if (batch.outlook().file().batch().plan().overWinter()) {
            return Optional.of(new RoundTask(
                    TaskKind.START_HARDENING,
                    Urgency.TODAY,
                    new WhyNow.StandsOverWinter(batch.programmeDays(), batch.target())));
        }
        if (batch.programmeDays() == 0) {
            return Optional.of(new RoundTask(TaskKind.START_HARDENING, Urgency.TODAY, new WhyNow.NeedsNoHardening()));
        }
        return Optional.of(new RoundTask(
                TaskKind.START_HARDENING,
                start.isBefore(today) ? Urgency.LATE : Urgency.TODAY,
                new WhyNow.HardeningIsDue(batch.programmeDays(), batch.target())));
    }

    private static Optional<RoundTask> hardening(BatchSituation batch, LocalDate today) {
        int done = batch.state().hardeningDays();
        if (done >= batch.state().programmeDays()) {
            return Optional.of(new RoundTask(TaskKind.END_HARDENING, Urgency.TODAY, new WhyNow.HardeningIsDone(done)));
        }
        if (batch.state().lastHardeningDay().filter(today::equals).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(new RoundTask(
                TaskKind.HARDEN,
                batch.outing().because().isEmpty() ? Urgency.TODAY : Urgency.AT_RISK,
                goesOn(batch, done + 1)));
    }

    private static WhyNow goesOn(BatchSituation batch, int day) {
        Exposure exposure = batch.exposureOn(day);
        Outing outing = batch.outing();
        return new WhyNow.HardeningGoesOn(
                day,
                batch.state().programmeDays(),
                exposure.hours(),
                exposure.inSun(),
                exposure.inWind(),
                outing.byDay(),
                outing.because().stream()
                        .filter(cause -> cause != Outing.Cause.COLD_NIGHT)
                        .findFirst(),
                outing.because().contains(Outing.Cause.COLD_NIGHT),
                outing.atNight());
    }

    private static Optional<RoundTask> releasing(BatchSituation batch, LocalDate today) {
        if (batch.plantsStillWanted() == 0
                || batch.target().minusDays(DAYS_TO_PREPARE_RELEASE).isAfter(today)) {
            return Optional.empty();
        }
        boolean late = batch.target().isBefore(today);
        return Optional.of(new RoundTask(
                TaskKind.RELEASE, late ? Urgency.LATE : Urgency.TODAY, new WhyNow.IsWanted(batch.target())));
    }

    private static Optional<RoundTask> clearing(BatchSituation batch, LocalDate today) {
        Optional<LocalDate> over = batch.lastReleasedOn().map(day -> day.plusDays(PlantShares.DAYS_SPARES_ARE_KEPT));
        if (batch.plantsStillWanted() > 0 || over.isEmpty() || over.get().isAfter(today)) {
            return Optional.empty();
        }
        return Optional.of(new RoundTask(
                TaskKind.CLEAR_SPARES,
                Urgency.TODAY,
                new WhyNow.SparesAreKept(
                        batch.state().balance().alive(), batch.lastReleasedOn().get())));
    }

    private static Optional<RoundTask> watching(BatchSituation batch, LocalDate today) {
        if (batch.plantsStillWanted() == 0) {
            return Optional.empty();
        }
        BatchStage stage = batch.state().stage();
        boolean onItsWay = stage == BatchStage.SOWN
                || stage == BatchStage.EMERGING
                || stage == BatchStage.GROWING_ON
                || stage == BatchStage.HARDENING_OFF;
        if (stage == BatchStage.READY || onItsWay) {
            Optional<LocalDate> past = batch.forecast().pastLimit().map(DateSpread::middle);
            if (past.isPresent() && past.get().isBefore(batch.target())) {
                return Optional.of(new RoundTask(
                        TaskKind.WATCH_DATE,
                        Urgency.AT_RISK,
                        new WhyNow.PastItsBestTooSoon(past.get(), batch.target())));
            }
        }
        if (onItsWay
                && batch.forecast().chanceOnTarget() < WORRYING_CHANCE
                && !batch.target().isBefore(today)) {
            return Optional.of(new RoundTask(
                    TaskKind.WATCH_DATE,
                    Urgency.AT_RISK,
                    new WhyNow.NotReadyInTime(batch.forecast().ready().map(DateSpread::middle), batch.target())));
        }
        return Optional.empty();
    }
}
