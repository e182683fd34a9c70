package kiver.core.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.batch.Tended;
import kiver.core.crop.Tending;

/** The optional steps that a nursery takes with a crop: brushing, pinching, early flowers. */
final class TendingTasks {

    /** Smaller ones are torn out or bent. */
    private static final double BRUSHED_FROM_LEAVES = 2;

    /** Freshly potted, they take no brushing. */
    private static final int DAYS_TO_SETTLE = 3;

    /** New flowers come within a week. */
    private static final int DAYS_BETWEEN_FLOWERS = 7;

    private TendingTasks() {}

    /** Those that are called for today. */
    static List<RoundTask> of(BatchSituation batch, LocalDate today) {
        Tending tending = batch.outlook().crop().tending();
        if (tending.equals(Tending.NONE) || batch.state().balance().alive() == 0) {
            return List.of();
        }
        double leaves = batch.outlook().leavesNow();
        List<RoundTask> tasks = new ArrayList<>();
        boolean growing =
                batch.state().stage() == BatchStage.GROWING_ON || batch.state().stage() == BatchStage.EMERGING;
        if (tending.brushed()
                && growing
                && leaves >= BRUSHED_FROM_LEAVES
                && isSettled(batch, today)
                && last(batch, Tended.Step.BRUSHED).filter(today::equals).isEmpty()) {
            tasks.add(task(TaskKind.BRUSH, new WhyNow.WantsBrushing()));
        }
        if (tending.pinchedFrom() > 0
                && leaves >= tending.pinchedFrom()
                && last(batch, Tended.Step.PINCHED).isEmpty()) {
            tasks.add(task(TaskKind.PINCH, new WhyNow.HasLeavesForPinching(Math.round(leaves))));
        }
        if (tending.flowersOffFrom() > 0
                && leaves >= tending.flowersOffFrom()
                && last(batch, Tended.Step.FLOWERS_OFF)
                        .filter(day -> day.isAfter(today.minusDays(DAYS_BETWEEN_FLOWERS)))
                        .isEmpty()) {
            tasks.add(task(
                    TaskKind.TAKE_FLOWERS,
                    new WhyNow.MayFlower(Math.round(leaves), last(batch, Tended.Step.FLOWERS_OFF))));
        }
        return tasks;
    }

    private static boolean isSettled(BatchSituation batch, LocalDate today) {
        return batch.state()
                .lastPottedOn()
                .filter(day -> day.isAfter(today.minusDays(DAYS_TO_SETTLE)))
                .isEmpty();
    }

    private static Optional<LocalDate> last(BatchSituation batch, Tended.Step step) {
        return Tended.last(batch.state(), step);
    }

    private static RoundTask task(TaskKind kind, WhyNow why) {
        return new RoundTask(kind, Urgency.TODAY, why);
    }
}
