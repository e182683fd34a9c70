package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.harden.Outing;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

/** The round from potting on to clearing what is left over. */
class RoundFromLeavesToReleaseTest extends RoundSituations {

    @Test
    void plantsArePottedOnWhenTheyHaveTheirLeavesAndThereIsALargerContainerToCome() {
        Situation growing = new Situation(counted(TODAY.minusDays(3), 9, true));
        assertThat(tasks(growing)).isEmpty();
        assertThat(tasks(growing.pottingOn(TODAY.plusDays(1)))).isEmpty();
        RoundTask potting = only(growing.pottingOn(TODAY));
        assertThat(potting.kind()).isEqualTo(TaskKind.POT_ON);
        assertThat(potting.why()).isEqualTo(new WhyNow.ReadyForPotting(9, "Carrier of 28 pots", Optional.empty()));
        RoundTask soon = only(growing.pottingOn(TODAY).potBy(TODAY.plusDays(4)));
        assertThat(soon.urgency()).isEqualTo(Urgency.TODAY);
        assertThat(soon.why())
                .isEqualTo(new WhyNow.ReadyForPotting(9, "Carrier of 28 pots", Optional.of(TODAY.plusDays(4))));
        assertThat(only(growing.pottingOn(TODAY).potBy(TODAY.minusDays(1))).urgency())
                .as("roots are about to circle")
                .isEqualTo(Urgency.LATE);
        assertThat(tasks(new Situation(sown(TODAY.minusDays(3))).expected(0).pottingOn(TODAY)))
                .as("nothing is up that could be potted")
                .isEmpty();
    }

    @Test
    void emergedBatchesMoveOn() {
        Situation up = new Situation(counted(TODAY, 6, false)).atEmergencePlace(true);
        assertThat(only(up)).isEqualTo(new RoundTask(TaskKind.MOVE_TO_GROW_ON, Urgency.TODAY, new WhyNow.IsUp(6, 10)));
        assertThat(tasks(up.atEmergencePlace(false)))
                .extracting(RoundTask::kind)
                .containsExactly(TaskKind.UNCOVER);
        assertThat(tasks(new Situation(counted(TODAY, 4, false)).atEmergencePlace(true)))
                .isEmpty();
    }

    @Test
    void hardeningBeginsWithTheLeavesAndIsLateWhenTheDaysNoLongerFit() {
        Situation grown = new Situation(counted(TODAY.minusDays(20), 9, true));
        assertThat(tasks(grown.stageOn(TODAY.plusDays(1)))).isEmpty();
        assertThat(tasks(grown.stageOn(TODAY)))
                .as("wanted in twenty days: held inside until five before")
                .isEmpty();
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(5))).kind()).isEqualTo(TaskKind.START_HARDENING);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(5))).urgency())
                .isEqualTo(Urgency.TODAY);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(3))).urgency())
                .isEqualTo(Urgency.LATE);
        assertThat(only(grown.stageOn(TODAY).target(TODAY.plusDays(3))).why())
                .isEqualTo(new WhyNow.HardeningIsDue(5, TODAY.plusDays(3)));
        assertThat(only(grown.stageOn(TODAY).programme(0).target(TODAY)).why())
                .isEqualTo(new WhyNow.NeedsNoHardening());
    }

    @Test
    void eachDayOfHardeningIsAskedForOnceAndFollowsTheWeather() {
        BatchState hardening = counted(TODAY.minusDays(20), 9, true)
                .after(TODAY.minusDays(1), new BatchChange.HardeningStarted(new PlaceId(9), 2));
        Situation situation = new Situation(hardening);
        RoundTask out = only(situation);
        assertThat(out.urgency()).isEqualTo(Urgency.TODAY);
        assertThat(out.why())
                .isEqualTo(new WhyNow.HardeningGoesOn(
                        1, 2, 6, false, false, Outing.Day.OUT, Optional.empty(), false, Outing.Night.IN));
        Outing cold = new Outing(Outing.Day.OUT, Outing.Night.FLEECE, List.of(Outing.Cause.COLD_NIGHT));
        assertThat(only(situation.outing(cold)).urgency()).isEqualTo(Urgency.AT_RISK);
        assertThat(only(situation.outing(cold)).why())
                .isEqualTo(new WhyNow.HardeningGoesOn(
                        1, 2, 6, false, false, Outing.Day.OUT, Optional.empty(), true, Outing.Night.FLEECE));
        BatchState hadToday = hardening.after(TODAY, new BatchChange.HardenedForDay(3));
        assertThat(tasks(new Situation(hadToday))).isEmpty();
        BatchState done = hardening
                .after(TODAY.minusDays(1), new BatchChange.HardenedForDay(3))
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
        assertThat(only(new Situation(spares(TODAY.minusDays(14))).wanted(0)))
                .isEqualTo(new RoundTask(
                        TaskKind.CLEAR_SPARES, Urgency.TODAY, new WhyNow.SparesAreKept(4, TODAY.minusDays(14))));
    }

    @Test
    void aForecastThatMissesTheDayIsWatched() {
        Situation grown = new Situation(counted(TODAY.minusDays(20), 9, true)).stageOn(TODAY.plusDays(9));
        RoundTask late = only(grown.chance(0.2));
        assertThat(late.kind()).isEqualTo(TaskKind.WATCH_DATE);
        assertThat(late.why())
                .isEqualTo(new WhyNow.NotReadyInTime(Optional.of(TODAY.plusDays(14)), TODAY.plusDays(20)));
        RoundTask past = only(new Situation(ready()).target(TODAY.plusDays(30)).pastLimit(TODAY.plusDays(3)));
        assertThat(past.why()).isEqualTo(new WhyNow.PastItsBestTooSoon(TODAY.plusDays(3), TODAY.plusDays(30)));
        assertThat(tasks(grown.chance(0.2).wanted(0))).isEmpty();
    }

    /** Nine were ready, and five of them went on a day. */
    private static BatchState spares(LocalDate day) {
        return counted(day.minusDays(30), 9, true)
                .after(day.minusDays(6), new BatchChange.HardeningStarted(new PlaceId(9), 0))
                .after(day.minusDays(1), new BatchChange.HardeningEnded())
                .after(day, new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 2, 3, 4, 5)));
    }
}
