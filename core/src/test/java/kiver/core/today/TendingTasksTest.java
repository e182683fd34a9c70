package kiver.core.today;

import static kiver.core.Samples.TODAY;
import static kiver.core.today.RoundSituations.counted;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.ChangeRefused;
import kiver.core.batch.Tended;
import kiver.core.crop.PotDepth;
import kiver.core.crop.Tending;
import kiver.core.growth.Standing;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Journey;
import kiver.core.today.RoundSituations.Situation;
import org.junit.jupiter.api.Test;

class TendingTasksTest {

    private static final Tending ALL = new Tending(true, 6, 8);
    private static final BatchState UP = counted(TODAY.minusDays(20), 10, true);

    private static List<RoundTask> tasks(BatchState state, Tending tending, double leaves) {
        BatchSituation plain = new Situation(state).build(Samples.kale(60).tended(tending, PotDepth.DEEP));
        BatchOutlook of = plain.outlook();
        BatchOutlook grown = new BatchOutlook(
                of.file(),
                of.crop(),
                of.containers(),
                new Journey(
                        of.journey().path(),
                        Standing.arrivingAt(0, leaves),
                        of.journey().way(),
                        of.journey().paces()),
                of.emerging(),
                of.chances(),
                of.forecast(),
                of.rooting(),
                of.leggy(),
                of.stays(),
                of.lossTonight(),
                of.trouble());
        return TendingTasks.of(
                new BatchSituation(
                        grown, Optional.empty(), plain.outing(), Optional.empty(), Optional.empty(), Optional.empty()),
                TODAY);
    }

    private static List<TaskKind> kinds(BatchState state, double leaves) {
        return tasks(state, ALL, leaves).stream().map(RoundTask::kind).toList();
    }

    @Test
    void nothingIsAskedWhereNobodyWantsIt() {
        assertThat(tasks(UP, Tending.NONE, 9)).isEmpty();
        assertThat(kinds(counted(TODAY, 0, false), 9)).as("nothing is alive").isEmpty();
    }

    @Test
    void eachStepComesWithItsLeaves() {
        assertThat(kinds(UP, 1.5)).isEmpty();
        assertThat(kinds(UP, 2)).containsExactly(TaskKind.BRUSH);
        assertThat(kinds(UP, 6)).containsExactly(TaskKind.BRUSH, TaskKind.PINCH);
        assertThat(tasks(UP, ALL, 8))
                .contains(
                        new RoundTask(TaskKind.TAKE_FLOWERS, Urgency.TODAY, new WhyNow.MayFlower(8, Optional.empty())));
    }

    @Test
    void whatWasDoneIsNotAskedAgainUntilItIsDue() {
        assertThat(kinds(UP.after(TODAY, new Tended(Tended.Step.BRUSHED)), 3)).isEmpty();
        assertThat(kinds(UP.after(TODAY.minusDays(1), new Tended(Tended.Step.BRUSHED)), 3))
                .as("every day")
                .containsExactly(TaskKind.BRUSH);
        BatchState pinched = UP.after(TODAY.minusDays(9), new Tended(Tended.Step.PINCHED));
        assertThat(kinds(pinched, 7)).as("once").containsExactly(TaskKind.BRUSH);
        BatchState wrong =
                pinched.after(TODAY, new BatchChange.Corrected(pinched.changes().size()));
        assertThat(kinds(wrong, 7)).as("it was another batch").contains(TaskKind.PINCH);
        assertThat(kinds(UP.after(TODAY.minusDays(6), new Tended(Tended.Step.FLOWERS_OFF)), 9))
                .doesNotContain(TaskKind.TAKE_FLOWERS);
        assertThat(kinds(UP.after(TODAY.minusDays(7), new Tended(Tended.Step.FLOWERS_OFF)), 9))
                .contains(TaskKind.TAKE_FLOWERS);
    }

    @Test
    void whatHardensIsBrushedByTheWind() {
        BatchState outside =
                UP.after(TODAY.minusDays(1), new BatchChange.HardeningStarted(new kiver.core.place.PlaceId(9), 5));
        assertThat(kinds(outside, 5)).isEmpty();
        assertThat(kinds(outside, 6)).containsExactly(TaskKind.PINCH);
    }

    @Test
    void nobodyTendsWhatIsNotThere() {
        assertThatThrownBy(() -> counted(TODAY, 0, false).after(TODAY, new Tended(Tended.Step.PINCHED)))
                .isInstanceOf(ChangeRefused.class);
        assertThatThrownBy(() -> new Tending(false, 21, 0)).hasMessageContaining("0 to 20");
    }
}
