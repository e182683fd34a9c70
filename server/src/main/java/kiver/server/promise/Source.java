package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;

/**
 * A batch that could give what is wished.
 *
 * @param kind whether its free plants are enough, or it is to be sown larger
 * @param batch number
 * @param stage on its path
 * @param free plants of it that nobody was promised
 * @param place where it stands or will, by name
 * @param sowDay when it was sown or will be
 * @param ready when it will be ready
 * @param chance that everybody who was promised of it is served whole and in time, the new wish among them, 0 to 1
 * @param saving what one sowing saves against two; missing where nothing is sown for the wish
 */
public record Source(
        Kind kind,
        int batch,
        BatchStage stage,
        int free,
        String place,
        LocalDate sowDay,
        @Nullable DateSpread ready,
        double chance,
        @Nullable Saving saving) {

    /** How it would be met. */
    public enum Kind {
        /** From plants that grow already, or are to be sown anyway. */
        FREE,
        /** By sowing more of a batch that is planned. */
        POOLED
    }

    /** What one sowing saves against two. */
    public record Saving(int trays, int seeds, long minutes) {}
}
