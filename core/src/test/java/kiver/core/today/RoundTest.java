package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LookedOver;
import kiver.core.batch.LossReason;
import kiver.core.batch.RootsSeen;
import kiver.core.care.FeedClock;
import kiver.core.care.FeedSchool;
import kiver.core.crop.Crop;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

class RoundTest extends RoundSituations {

    @Test
    void sowingIsForTodayThenLate() {
        Situation planned = new Situation(BatchState.after(List.of()));
        assertThat(tasks(planned.plannedFor(TODAY.plusDays(1)))).isEmpty();
        assertThat(only(planned.plannedFor(TODAY)))
                .isEqualTo(new RoundTask(
                        TaskKind.SOW, Urgency.TODAY, new WhyNow.ToBeSown(TODAY, Optional.of(TODAY.plusDays(3)))));
        RoundTask late = only(planned.plannedFor(TODAY.minusDays(2)));
        assertThat(late.urgency()).isEqualTo(Urgency.LATE);
        assertThat(only(planned.plannedFor(TODAY.minusDays(9)).latestSowDay(TODAY.minusDays(1)))
                        .why())
                .isEqualTo(new WhyNow.ToBeSown(TODAY.minusDays(9), Optional.of(TODAY.minusDays(1))));
    }

    @Test
    void slowSeedLiesInWaterTheNightBeforeAndNotLonger() {
        Situation planned = new Situation(BatchState.after(List.of()));
        Crop overnight = Samples.soaked(12);
        assertThat(Round.tasksFor(planned.plannedFor(TODAY.plusDays(2)).build(overnight), TODAY))
                .isEmpty();
        assertThat(Round.tasksFor(planned.plannedFor(TODAY.plusDays(1)).build(overnight), TODAY))
                .containsExactly(
                        new RoundTask(TaskKind.SOAK, Urgency.TODAY, new WhyNow.ToBeSoaked(12, TODAY.plusDays(1))));
        Situation dueToday = planned.plannedFor(TODAY);
        assertThat(kinds(dueToday.soakedOn(TODAY.minusDays(1)).build(overnight)))
                .as("it lay in water this night")
                .containsExactly(TaskKind.SOW);
        assertThat(Round.tasksFor(dueToday.build(overnight), TODAY))
                .as("forgotten: tonight, for tomorrow")
                .contains(new RoundTask(TaskKind.SOAK, Urgency.LATE, new WhyNow.ToBeSoaked(12, TODAY.plusDays(1))));
        assertThat(kinds(planned.plannedFor(TODAY.minusDays(3))
                        .soakedOn(TODAY.minusDays(3))
                        .build(overnight)))
                .as("what lay in water for three days has drowned")
                .containsExactly(TaskKind.SOAK, TaskKind.SOW);
        assertThat(Round.tasksFor(dueToday.build(Samples.soaked(2)), TODAY))
                .as("two hours, the same morning")
                .contains(new RoundTask(TaskKind.SOAK, Urgency.TODAY, new WhyNow.ToBeSoaked(2, TODAY)));
    }

    @Test
    void rootsThatHaveOutgrownTheirCellWaitForNoLeaf() {
        BatchState up = counted(TODAY.minusDays(20), 10, true);
        BatchState out = up.after(TODAY.minusDays(1), new LookedOver(List.of(), Optional.of(RootsSeen.OUT)));
        assertThat(tasks(new Situation(out).pottingOn(TODAY.plusDays(9))))
                .contains(new RoundTask(
                        TaskKind.POT_ON,
                        Urgency.TODAY,
                        new WhyNow.RootsHaveOutgrown(RootsSeen.OUT, 10, Optional.of("Carrier of 28 pots"))));
        BatchState circling = up.after(TODAY.minusDays(1), new LookedOver(List.of(), Optional.of(RootsSeen.CIRCLING)));
        assertThat(tasks(new Situation(circling)))
                .as("there is no larger pot on its path")
                .filteredOn(task -> task.kind() == TaskKind.WATCH_DATE)
                .containsExactly(new RoundTask(
                        TaskKind.WATCH_DATE,
                        Urgency.AT_RISK,
                        new WhyNow.RootsHaveOutgrown(RootsSeen.CIRCLING, 10, Optional.empty())));
        BatchState ready = ready().after(TODAY, new LookedOver(List.of(), Optional.of(RootsSeen.CIRCLING)));
        assertThat(tasks(new Situation(ready)))
                .as("what is ready and waits is told, too")
                .anyMatch(task -> task.why() instanceof WhyNow.RootsHaveOutgrown);
    }

    @Test
    void whatItsMixNoLongerFeedsIsFed() {
        FeedClock hungry = new FeedClock(
                FeedSchool.BY_RESERVE, TODAY.minusDays(20), TODAY.minusDays(1), Optional.empty(), TODAY.plusDays(20));
        Situation up = new Situation(counted(TODAY.minusDays(20), 10, true));
        assertThat(tasks(up.feed(hungry)))
                .contains(new RoundTask(
                        TaskKind.FEED, Urgency.TODAY, new WhyNow.WantsFeed(TODAY.minusDays(1), Optional.empty())));
        FeedClock waited = new FeedClock(
                FeedSchool.BY_RESERVE, TODAY.minusDays(20), TODAY.minusDays(6), Optional.empty(), TODAY.plusDays(20));
        assertThat(tasks(up.feed(waited)))
                .anyMatch(task -> task.kind() == TaskKind.FEED && task.urgency() == Urgency.LATE);
        FeedClock fed = new FeedClock(
                FeedSchool.BY_RESERVE,
                TODAY.minusDays(20),
                TODAY.minusDays(6),
                Optional.of(TODAY.minusDays(2)),
                TODAY.plusDays(20));
        assertThat(tasks(up.feed(fed))).noneMatch(task -> task.kind() == TaskKind.FEED);
        assertThat(tasks(new Situation(counted(TODAY, 0, false)).feed(waited)))
                .as("nothing is alive")
                .noneMatch(task -> task.kind() == TaskKind.FEED);
    }

    private static List<TaskKind> kinds(BatchSituation situation) {
        return Round.tasksFor(situation, TODAY).stream().map(RoundTask::kind).toList();
    }

    @Test
    void countingBeginsWhenSomethingShouldShowAndComesBackEveryOtherDay() {
        Situation sown = new Situation(sown(TODAY.minusDays(8)));
        assertThat(tasks(sown.expected(0.4))).isEmpty();
        assertThat(only(sown.expected(3)).kind()).isEqualTo(TaskKind.COUNT);
        assertThat(only(sown.expected(3)).urgency()).isEqualTo(Urgency.TODAY);
        assertThat(only(sown.expected(8)).urgency())
                .as("most should be up and nobody looked")
                .isEqualTo(Urgency.LATE);
        assertThat(tasks(new Situation(counted(TODAY.minusDays(1), 2, false)).expected(3)))
                .isEmpty();
        assertThat(only(new Situation(counted(TODAY.minusDays(2), 2, false)).expected(4))
                        .why())
                .isEqualTo(new WhyNow.DueToBeCounted(4, Optional.of(TODAY.minusDays(2))));
    }

    @Test
    void coversComeOffWhenHalfAreUpAndOnlyThen() {
        assertThat(tasks(new Situation(counted(TODAY, 4, false)))).isEmpty();
        assertThat(only(new Situation(counted(TODAY, 5, false))))
                .isEqualTo(new RoundTask(TaskKind.UNCOVER, Urgency.TODAY, new WhyNow.IsUp(5, 10)));
        assertThat(tasks(new Situation(counted(TODAY.minusDays(2), 5, false))))
                .extracting(RoundTask::kind)
                .doesNotContain(TaskKind.UNCOVER);
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
                .extracting(RoundTask::why)
                .contains(new WhyNow.Short(2, true, 8, Optional.empty()));
    }

    /** Counted to the end, potted or hardening: what is short stays on the round. */
    @Test
    void aShortBatchIsDecidedUponWhereverItStands() {
        BatchState short32 = counted(TODAY.minusDays(20), 4, true);
        assertThat(tasks(new Situation(short32).verdict(EmergenceVerdict.FAILING)))
                .extracting(RoundTask::kind)
                .containsExactly(TaskKind.DECIDE_ON_FAILING);
        BatchState hardening = short32.after(TODAY, new BatchChange.HardeningStarted(new PlaceId(9), 5))
                .after(TODAY, new BatchChange.HardenedForDay(2));
        assertThat(tasks(new Situation(hardening).verdict(EmergenceVerdict.FAILING)))
                .extracting(RoundTask::kind)
                .containsExactly(TaskKind.DECIDE_ON_FAILING);
        assertThat(tasks(
                        new Situation(short32).verdict(EmergenceVerdict.FAILING).wanted(0)))
                .isEmpty();
    }

    @Test
    void whatIsPartSownWaitsForTheRest() {
        RoundTask rest =
                only(new Situation(sown(TODAY.minusDays(1))).expected(0).traysToSow(4));
        assertThat(rest.kind()).isEqualTo(TaskKind.SOW);
        assertThat(rest.why()).isEqualTo(new WhyNow.PartSown(4));
        assertThat(only(new Situation(sown(TODAY.minusDays(3)))
                                .expected(0)
                                .traysToSow(1)
                                .plannedFor(TODAY.minusDays(3)))
                        .urgency())
                .isEqualTo(Urgency.LATE);
    }

    @Test
    void frostThatCameIsAskedAbout() {
        RoundTask look = only(new Situation(ready()).target(TODAY.plusDays(9)).frost(-8));
        assertThat(look.kind()).isEqualTo(TaskKind.LOOK_FOR_FROST);
        assertThat(look.why()).isEqualTo(new WhyNow.NightWasCold(-8));
    }

    @Test
    void deadAndGoneBatchesAreLeftAlone() {
        BatchState failed = counted(TODAY.minusDays(9), 2, true)
                .after(TODAY, new BatchChange.Lost(TRAY, List.of(1, 2), LossReason.DAMPING_OFF));
        assertThat(only(new Situation(failed)).kind())
                .as("nobody has its plants yet")
                .isEqualTo(TaskKind.DECIDE_ON_FAILING);
        assertThat(tasks(new Situation(failed).wanted(0))).isEmpty();
        BatchState gone = ready().after(
                        TODAY,
                        new BatchChange.Released(
                                501,
                                new LineId(1),
                                TRAY,
                                IntStream.rangeClosed(1, 9).boxed().toList()));
        assertThat(tasks(new Situation(gone))).isEmpty();
    }
}
