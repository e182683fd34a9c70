package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchId;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.crop.Container;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.DateSpread;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.harden.DayOutside;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.CountedIn;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchForecast;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Chances;
import kiver.core.outlook.Emerging;
import kiver.core.outlook.Grown;
import kiver.core.outlook.Journey;
import kiver.core.outlook.Promised;
import kiver.core.outlook.Sowing;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class RoundTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final TrayId TRAY = new TrayId(3);
    private static final PlaceId EMERGENCE = new PlaceId(1);

    @Test
    void sowingIsForTodayThenLate() {
        Situation planned = new Situation(BatchState.after(List.of()));
        assertThat(tasks(planned.plannedFor(TODAY.plusDays(1)))).isEmpty();
        assertThat(only(planned.plannedFor(TODAY))).isEqualTo(
                new RoundTask(TaskKind.SOW, Urgency.TODAY, new WhyNow.ToBeSown(TODAY, Optional.of(TODAY.plusDays(3)))));
        RoundTask late = only(planned.plannedFor(TODAY.minusDays(2)));
        assertThat(late.urgency()).isEqualTo(Urgency.LATE);
        assertThat(only(planned.plannedFor(TODAY.minusDays(9)).latestSowDay(TODAY.minusDays(1))).why())
                .isEqualTo(new WhyNow.ToBeSown(TODAY.minusDays(9), Optional.of(TODAY.minusDays(1))));
    }

    @Test
    void countingBeginsWhenSomethingShouldShowAndComesBackEveryOtherDay() {
        Situation sown = new Situation(sown(TODAY.minusDays(8)));
        assertThat(tasks(sown.expected(0.4))).isEmpty();
        assertThat(only(sown.expected(3)).kind()).isEqualTo(TaskKind.COUNT);
        assertThat(only(sown.expected(3)).urgency()).isEqualTo(Urgency.TODAY);
        assertThat(only(sown.expected(8)).urgency()).as("most should be up and nobody looked").isEqualTo(Urgency.LATE);
        assertThat(tasks(new Situation(counted(TODAY.minusDays(1), 2, false)).expected(3))).isEmpty();
        assertThat(only(new Situation(counted(TODAY.minusDays(2), 2, false)).expected(4)).why())
                .isEqualTo(new WhyNow.DueToBeCounted(4, Optional.of(TODAY.minusDays(2))));
    }

    @Test
    void plantsArePottedOnWhenTheyHaveTheirLeavesAndThereIsALargerContainerToCome() {
        Situation growing = new Situation(counted(TODAY.minusDays(3), 9, true));
        assertThat(tasks(growing)).isEmpty();
        assertThat(tasks(growing.pottingOn(TODAY.plusDays(1)))).isEmpty();
        RoundTask potting = only(growing.pottingOn(TODAY));
        assertThat(potting.kind()).isEqualTo(TaskKind.POT_ON);
        assertThat(potting.why()).isEqualTo(new WhyNow.ReadyForPotting(9, "Carrier of 28 pots"));
        assertThat(tasks(new Situation(sown(TODAY.minusDays(3))).expected(0).pottingOn(TODAY)))
                .as("nothing is up that could be potted").isEmpty();
    }

    @Test
    void lateAndFailingBatchesAreAtRisk() {
        Situation counted = new Situation(counted(TODAY.minusDays(2), 2, false)).expected(8);
        assertThat(only(counted.verdict(EmergenceVerdict.LATE)))
                .isEqualTo(new RoundTask(TaskKind.COUNT, Urgency.AT_RISK, new WhyNow.Late(8, 2)));
        RoundTask failing = only(counted.verdict(EmergenceVerdict.FAILING));
        assertThat(failing.kind()).isEqualTo(TaskKind.DECIDE_ON_FAILING);
        assertThat(failing.why()).isEqualTo(new WhyNow.Short(2, true, 8, Optional.of(TODAY.plusDays(3))));
        assertThat(tasks(counted.verdict(EmergenceVerdict.FAILING).latestSowDay(TODAY.minusDays(1))))
                .extracting(RoundTask::why).contains(new WhyNow.Short(2, true, 8, Optional.empty()));
    }

    /** Counted to the end, potted or hardening: what is short stays on the round. */
    @Test
    void aShortBatchIsDecidedUponWhereverItStands() {
        BatchState short32 = counted(TODAY.minusDays(20), 4, true);
        assertThat(tasks(new Situation(short32).verdict(EmergenceVerdict.FAILING)))
                .extracting(RoundTask::kind).containsExactly(TaskKind.DECIDE_ON_FAILING);
        BatchState hardening = short32.after(TODAY, new BatchChange.HardeningStarted(new PlaceId(9), 5))
                .after(TODAY, new BatchChange.HardenedForDay(2));
        assertThat(tasks(new Situation(hardening).verdict(EmergenceVerdict.FAILING)))
                .extracting(RoundTask::kind).containsExactly(TaskKind.DECIDE_ON_FAILING);
        assertThat(tasks(new Situation(short32).verdict(EmergenceVerdict.FAILING).wanted(0))).isEmpty();
    }

    @Test
    void whatIsPartSownWaitsForTheRest() {
        RoundTask rest = only(new Situation(sown(TODAY.minusDays(1))).expected(0).traysToSow(4));
        assertThat(rest.kind()).isEqualTo(TaskKind.SOW);
        assertThat(rest.why()).isEqualTo(new WhyNow.PartSown(4));
        assertThat(only(new Situation(sown(TODAY.minusDays(3))).expected(0).traysToSow(1).plannedFor(TODAY.minusDays(3))).urgency())
                .isEqualTo(Urgency.LATE);
    }

    @Test
    void frostThatCameIsAskedAbout() {
        RoundTask look = only(new Situation(ready()).target(TODAY.plusDays(9)).frost(-8));
        assertThat(look.kind()).isEqualTo(TaskKind.LOOK_FOR_FROST);
        assertThat(look.why()).isEqualTo(new WhyNow.NightWasCold(-8));
    }

    @Test
    void emergedBatchesMoveOn() {
        Situation up = new Situation(counted(TODAY, 6, false)).atEmergencePlace(true);
        assertThat(only(up)).isEqualTo(new RoundTask(TaskKind.MOVE_TO_GROW_ON, Urgency.TODAY, new WhyNow.IsUp(6, 10)));
        assertThat(tasks(up.atEmergencePlace(false))).isEmpty();
        assertThat(tasks(new Situation(counted(TODAY, 4, false)).atEmergencePlace(true))).isEmpty();
    }

    @Test
    void hardeningBeginsWithTheLeavesAndIsLateWhenTheDaysNoLongerFit() {
        Situation grown = new Situation(counted(TODAY.minusDays(20), 9, true));
        assertThat(tasks(grown.stageOn(TODAY.plusDays(1)))).isEmpty();
        assertThat(tasks(grown.stageOn(TODAY))).as("wanted in twenty days: held inside until five before").isEmpty();
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(5))).kind()).isEqualTo(TaskKind.START_HARDENING);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(5))).urgency()).isEqualTo(Urgency.TODAY);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(3))).urgency()).isEqualTo(Urgency.LATE);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(3))).why())
                .isEqualTo(new WhyNow.HardeningIsDue(5, TODAY.plusDays(3)));
        assertThat(only(grown.stageOn(TODAY).programme(0).target(TODAY)).why()).isEqualTo(new WhyNow.NeedsNoHardening());
    }

    @Test
    void eachDayOfHardeningIsAskedForOnceAndFollowsTheWeather() {
        BatchState hardening = counted(TODAY.minusDays(20), 9, true)
                .after(TODAY.minusDays(1), new BatchChange.HardeningStarted(new PlaceId(9), 2));
        Situation situation = new Situation(hardening);
        assertThat(only(situation)).isEqualTo(
                new RoundTask(TaskKind.HARDEN, Urgency.TODAY, new WhyNow.HardeningGoesOn(1, 2, DayOutside.OUT)));
        assertThat(only(situation.outside(DayOutside.IN_AT_NIGHT)).urgency()).isEqualTo(Urgency.AT_RISK);
        assertThat(only(situation.outside(DayOutside.STAY_IN)).why())
                .isEqualTo(new WhyNow.HardeningGoesOn(1, 2, DayOutside.STAY_IN));
        BatchState hadToday = hardening.after(TODAY, new BatchChange.HardenedForDay(3));
        assertThat(tasks(new Situation(hadToday))).isEmpty();
        BatchState done = hardening.after(TODAY.minusDays(1), new BatchChange.HardenedForDay(3))
                .after(TODAY, new BatchChange.HardenedForDay(5));
        assertThat(only(new Situation(done)))
                .isEqualTo(new RoundTask(TaskKind.END_HARDENING, Urgency.TODAY, new WhyNow.HardeningIsDone(2)));
    }

    @Test
    void readyPlantsAreReleasedAndLeftOversClearedAfterAFortnight() {
        BatchState ready = ready();
        Situation situation = new Situation(ready);
        assertThat(tasks(situation.target(TODAY.plusDays(4)))).isEmpty();
        assertThat(only(situation.target(TODAY.plusDays(1))).kind()).isEqualTo(TaskKind.RELEASE);
        assertThat(only(situation.target(TODAY.minusDays(1))).urgency()).isEqualTo(Urgency.LATE);
        assertThat(tasks(new Situation(spares(TODAY.minusDays(13))).wanted(0))).isEmpty();
        assertThat(only(new Situation(spares(TODAY.minusDays(14))).wanted(0))).isEqualTo(new RoundTask(
                TaskKind.CLEAR_SPARES, Urgency.TODAY, new WhyNow.SparesAreKept(4, TODAY.minusDays(14))));
    }

    @Test
    void aForecastThatMissesTheDayIsWatched() {
        Situation grown = new Situation(counted(TODAY.minusDays(20), 9, true)).stageOn(TODAY.plusDays(9));
        RoundTask late = only(grown.chance(0.2));
        assertThat(late.kind()).isEqualTo(TaskKind.WATCH_DATE);
        assertThat(late.why()).isEqualTo(new WhyNow.NotReadyInTime(Optional.of(TODAY.plusDays(14)), TODAY.plusDays(20)));
        RoundTask past = only(new Situation(ready()).target(TODAY.plusDays(30)).pastLimit(TODAY.plusDays(3)));
        assertThat(past.why()).isEqualTo(new WhyNow.PastItsBestTooSoon(TODAY.plusDays(3), TODAY.plusDays(30)));
        assertThat(tasks(grown.chance(0.2).wanted(0))).isEmpty();
    }

    @Test
    void deadAndGoneBatchesAreLeftAlone() {
        BatchState failed = counted(TODAY.minusDays(9), 2, true)
                .after(TODAY, new BatchChange.Lost(TRAY, List.of(1, 2), LossReason.DAMPING_OFF));
        assertThat(only(new Situation(failed)).kind()).as("nobody has its plants yet").isEqualTo(TaskKind.DECIDE_ON_FAILING);
        assertThat(tasks(new Situation(failed).wanted(0))).isEmpty();
        BatchState gone = ready().after(TODAY, new BatchChange.Released(501, new LineId(1), TRAY, IntStream.rangeClosed(1, 9).boxed().toList()));
        assertThat(tasks(new Situation(gone))).isEmpty();
    }

    private static RoundTask only(Situation situation) {
        List<RoundTask> tasks = tasks(situation);
        assertThat(tasks).hasSize(1);
        return tasks.get(0);
    }

    private static List<RoundTask> tasks(Situation situation) {
        return Round.tasksFor(situation.build(), TODAY);
    }

    private static BatchState sown(LocalDate day) {
        return BatchState.after(List.of())
                .after(day, new BatchChange.Sown(new CellRun(TRAY, 1, 10), 1, new LotId(5), "Mix", new PlaceId(1)));
    }

    private static BatchState counted(LocalDate day, int up, boolean complete) {
        Map<Integer, Integer> seedlings =
                IntStream.rangeClosed(1, up).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1));
        return sown(day.minusDays(6)).after(day, new BatchChange.Counted(TRAY, seedlings, complete));
    }

    /** Nine were ready, and five of them went on a day. */
    private static BatchState spares(LocalDate day) {
        return counted(day.minusDays(30), 9, true)
                .after(day.minusDays(6), new BatchChange.HardeningStarted(new PlaceId(9), 0))
                .after(day.minusDays(1), new BatchChange.HardeningEnded())
                .after(day, new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 2, 3, 4, 5)));
    }

    private static BatchState ready() {
        return counted(TODAY.minusDays(30), 9, true)
                .after(TODAY.minusDays(6), new BatchChange.HardeningStarted(new PlaceId(9), 0))
                .after(TODAY.minusDays(1), new BatchChange.HardeningEnded());
    }

    /** A situation like most, of which a test changes what it is about. */
    private record Situation(
            BatchState state, LocalDate planned, LocalDate target, int wanted, int toSow, int programme, boolean stays,
            Emerging emerging, BatchForecast forecast, BatchSituation about) {

        Situation(BatchState state) {
            this(state, TODAY, TODAY.plusDays(20), 8, 0, 5, true,
                    new Emerging(Optional.empty(), Optional.empty(), 5, EmergenceVerdict.ON_COURSE),
                    new BatchForecast(
                            Optional.of(day(TODAY)), List.of(), Optional.of(day(TODAY.plusDays(9))),
                            Optional.of(day(TODAY.plusDays(14))), Optional.of(day(TODAY.plusDays(40))), 0.9),
                    new BatchSituation(null, Optional.of(TODAY.plusDays(3)), DayOutside.OUT, Optional.empty()));
        }

        BatchSituation build() {
            PlaceId grown = stays ? EMERGENCE : new PlaceId(2);
            Container plugs = Samples.PLUGS;
            List<Container> containers = forecast.pottings().isEmpty() ? List.of(plugs) : List.of(plugs, Samples.POTS);
            ContainerPath.Kind kind = containers.size() == 1 ? ContainerPath.Kind.STRAIGHT : ContainerPath.Kind.POTTED_ONCE;
            Batch batch = new Batch(
                    new BatchId(1), 201, new Grown(1, "Grey Anvil", "kale"), new Sowing(new LotId(1), 1, 10, 9),
                    BatchPlan.of(planned, null, new Way(EMERGENCE, grown, new PlaceId(9)), kind,
                            containers.stream().map(Container::code).toList()),
                    programme == 0 ? HardeningProgramme.NONE : HardeningProgramme.BY_DAY,
                    new OrderLine(8, new LeafStage(4, 6), target, 0, CountedIn.PLANTS), 0, null);
            List<CellRun> runs = IntStream.range(0, toSow).mapToObj(more -> new CellRun(new TrayId(10 + more), 1, 10)).toList();
            List<Promised> promises = wanted == 0 ? List.of() : List.of(new Promised(new LineId(1), new BatchId(1), 101, 1, 1, "Alder Field", wanted, 0, target));
            BatchOutlook outlook = new BatchOutlook(
                    new BatchFile(batch, runs, promises, state), Samples.kale(60), new ContainerPath(kind, containers),
                    new Journey(new Path(4, 6, programme), Standing.sownAt(0), batch.way(), PaceSpread.BEFORE_ANY_COUNT),
                    emerging, new Chances(0.9, Map.of()), forecast, false, List.of(), 0, Optional.empty());
            return new BatchSituation(outlook, about.lastUsefulSowDay(), about.outside(), about.frostToLookFor());
        }

        private static DateSpread day(LocalDate day) {
            return new DateSpread(day, day, day);
        }

        private Situation with(Emerging changed) {
            return new Situation(state, planned, target, wanted, toSow, programme, stays, changed, forecast, about);
        }

        private Situation with(BatchForecast changed) {
            return new Situation(state, planned, target, wanted, toSow, programme, stays, emerging, changed, about);
        }

        private Situation with(BatchSituation changed) {
            return new Situation(state, planned, target, wanted, toSow, programme, stays, emerging, forecast, changed);
        }

        Situation plannedFor(LocalDate day) {
            return new Situation(state, day, target, wanted, toSow, programme, stays, emerging, forecast, about);
        }

        Situation latestSowDay(LocalDate day) {
            return with(new BatchSituation(null, Optional.of(day), about.outside(), about.frostToLookFor()));
        }

        Situation target(LocalDate day) {
            return new Situation(state, planned, day, wanted, toSow, programme, stays, emerging, forecast, about);
        }

        Situation wanted(int plants) {
            return new Situation(state, planned, target, plants, toSow, programme, stays, emerging, forecast, about);
        }

        Situation expected(double cells) {
            return with(new Emerging(Optional.empty(), Optional.empty(), cells, emerging.verdict()));
        }

        Situation verdict(EmergenceVerdict changed) {
            return with(new Emerging(Optional.empty(), Optional.empty(), emerging.expectedUp(), changed));
        }

        Situation atEmergencePlace(boolean there) {
            return new Situation(state, planned, target, wanted, toSow, programme, !there, emerging, forecast, about);
        }

        Situation stageOn(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(), forecast.pottings(), Optional.of(day(day)), Optional.of(day(day.plusDays(programme))),
                    forecast.pastLimit(), forecast.chanceOnTarget()));
        }

        Situation pastLimit(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(), forecast.pottings(), forecast.stageReached(), forecast.ready(), Optional.of(day(day)),
                    forecast.chanceOnTarget()));
        }

        Situation chance(double changed) {
            return with(new BatchForecast(
                    forecast.emerged(), forecast.pottings(), forecast.stageReached(), forecast.ready(), forecast.pastLimit(),
                    changed));
        }

        Situation outside(DayOutside changed) {
            return with(new BatchSituation(null, about.lastUsefulSowDay(), changed, about.frostToLookFor()));
        }

        Situation pottingOn(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(), List.of(day(day)), forecast.stageReached(), forecast.ready(), forecast.pastLimit(),
                    forecast.chanceOnTarget()));
        }

        Situation programme(int days) {
            return new Situation(state, planned, target, wanted, toSow, days, stays, emerging, forecast, about);
        }

        Situation traysToSow(int trays) {
            return new Situation(state, planned, target, wanted, trays, programme, stays, emerging, forecast, about);
        }

        Situation frost(double minimum) {
            return with(new BatchSituation(null, about.lastUsefulSowDay(), about.outside(), Optional.of(minimum)));
        }
    }
}
