package kiver.core.learning;

import java.util.Optional;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.crop.CropCode;
import kiver.core.crop.SurvivalLessons.LivedOn;

/** What a batch tells of how many plants live on. */
public final class Survived {

    private Survived() {}

    /**
     * That of a batch whose plants have gone out, failed or been hardened.
     *
     * @param crop it is of
     * @param state of its record
     * @return empty as long as deaths are to come, or nothing came up
     */
    public static Optional<LivedOn> of(CropCode crop, BatchState state) {
        BatchStage stage = state.stage();
        if (stage != BatchStage.READY && stage != BatchStage.RELEASED && stage != BatchStage.FAILED) {
            return Optional.empty();
        }
        Balance balance = state.balance();
        int emerged = balance.sown() - balance.waiting() - balance.empty() - notNeeded(state);
        int lived = balance.alive() + balance.released();
        return emerged <= 0 ? Optional.empty() : Optional.of(new LivedOn(crop, emerged, Math.min(lived, emerged)));
    }

    /** Spares that were cleared did not die of themselves. */
    private static int notNeeded(BatchState state) {
        return state.changes().stream()
                .filter(recorded -> !state.isCorrected(recorded.sequence()))
                .map(recorded -> recorded.change())
                .filter(change -> change instanceof BatchChange.Lost lost && lost.reason() == LossReason.NOT_NEEDED)
                .mapToInt(change -> ((BatchChange.Lost) change).cells().size())
                .sum();
    }
}
