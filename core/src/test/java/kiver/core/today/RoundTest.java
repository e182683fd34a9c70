package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.DateSpread;
import kiver.core.harden.DayOutside;
import kiver.core.outlook.BatchForecast;
import kiver.core.place.PlaceId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class RoundTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final TrayId TRAY = new TrayId(3);

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
        Situation filled = situation.target(TODAY.minusDays(14)).wanted(0);
        assertThat(tasks(filled.releasedOn(TODAY.minusDays(13)))).isEmpty();
        assertThat(only(filled.releasedOn(TODAY.minusDays(14)))).isEqualTo(new RoundTask(
                TaskKind.CLEAR_SPARES, Urgency.TODAY, new WhyNow.SparesAreKept(9, TODAY.minusDays(14))));
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
        BatchState gone = ready().after(TODAY, new BatchChange.Released(501, 1, TRAY, IntStream.rangeClosed(1, 9).boxed().toList()));
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
                .after(day, new BatchChange.Sown(new CellRun(TRAY, 1, 10), 1, 5, "Mix", new PlaceId(1)));
    }

    private static BatchState counted(LocalDate day, int up, boolean complete) {
        Map<Integer, Integer> seedlings =
                IntStream.rangeClosed(1, up).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1));
        return sown(day.minusDays(6)).after(day, new BatchChange.Counted(TRAY, seedlings, complete));
    }

    private static BatchState ready() {
        return counted(TODAY.minusDays(30), 9, true)
                .after(TODAY.minusDays(6), new BatchChange.HardeningStarted(new PlaceId(9), 0))
                .after(TODAY.minusDays(1), new BatchChange.HardeningEnded());
    }

    /** A situation like most, of which a test changes what it is about. */
    private record Situation(
            BatchState state, LocalDate planned, LocalDate latest, LocalDate target, int wanted, LocalDate released,
            double expected, EmergenceVerdict verdict, boolean atEmergencePlace, LocalDate stage, LocalDate past,
            double chance, DayOutside outside, int programme, LocalDate potting, int toSow, Double frost) {

        Situation(BatchState state) {
            this(state, TODAY, TODAY.plusDays(3), TODAY.plusDays(20), 8, null, 5, EmergenceVerdict.ON_COURSE, false,
                    TODAY.plusDays(9), TODAY.plusDays(40), 0.9, DayOutside.OUT, 5, null, 0, null);
        }

        BatchSituation build() {
            DateSpread ready = day(stage.plusDays(programme));
            BatchForecast forecast = new BatchForecast(
                    Optional.of(day(TODAY)), potting == null ? List.of() : List.of(day(potting)), Optional.of(day(stage)), Optional.of(ready), Optional.of(day(past)), chance);
            return new BatchSituation(state, planned, Optional.of(latest), target, wanted,
                    Optional.ofNullable(released), expected, verdict, 9, atEmergencePlace,
                    Optional.ofNullable(potting).map(due -> "Carrier of 28 pots"), forecast, outside, programme, toSow,
                    state.balance().alive(), 8, 0.9, false, Optional.ofNullable(frost));
        }

        private static DateSpread day(LocalDate day) {
            return new DateSpread(day, day, day);
        }

        Situation plannedFor(LocalDate day) {
            return new Situation(state, day, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation latestSowDay(LocalDate day) {
            return new Situation(state, planned, day, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation target(LocalDate day) {
            return new Situation(state, planned, latest, day, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation wanted(int plants) {
            return new Situation(state, planned, latest, target, plants, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation releasedOn(LocalDate day) {
            return new Situation(state, planned, latest, target, wanted, day, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation expected(double cells) {
            return new Situation(state, planned, latest, target, wanted, released, cells, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation verdict(EmergenceVerdict changed) {
            return new Situation(state, planned, latest, target, wanted, released, expected, changed, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation atEmergencePlace(boolean there) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, there, stage, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation stageOn(LocalDate day) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, day, past, chance, outside, programme, potting, toSow, frost);
        }

        Situation pastLimit(LocalDate day) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, day, chance, outside, programme, potting, toSow, frost);
        }

        Situation chance(double changed) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, changed, outside, programme, potting, toSow, frost);
        }

        Situation outside(DayOutside changed) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, changed, programme, potting, toSow, frost);
        }

        Situation pottingOn(LocalDate day) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, day, toSow, frost);
        }

        Situation programme(int days) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, days, potting, toSow, frost);
        }

        Situation traysToSow(int trays) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, trays, frost);
        }

        Situation frost(double minimum) {
            return new Situation(state, planned, latest, target, wanted, released, expected, verdict, atEmergencePlace, stage, past, chance, outside, programme, potting, toSow, minimum);
        }
    }
}
