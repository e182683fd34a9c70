package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.BatchStage;
import kiver.core.promise.Answer;

/**
 * What a change to an order brings with it.
 *
 * @param lines that change
 * @param batches of which other plants are promised, free or sown than before
 */
record Consequences(List<LineConsequence> lines, List<BatchConsequence> batches) {

    /** Plants that would be sown for besides, with a batch that is planned or by themselves. */
    record Growing(
            int plants,
            @Nullable Integer withBatch,
            Answer answer,
            double chance,
            @Nullable LocalDate sowDay) {}

    /** A line before and after; no plants after it is cancelled. */
    record LineConsequence(
            int line,
            String variety,
            int plantsBefore,
            int plantsAfter,
            LocalDate targetBefore,
            LocalDate targetAfter,
            double chanceBefore,
            double chanceAfter,
            @Nullable Growing growing) {}

    /**
     * A batch before and after; not sown, it could be taken out of the plan when it is for nobody then, or sown for only so
     * many plants.
     */
    record BatchConsequence(
            int batch,
            BatchStage stage,
            int promisedBefore,
            int promisedAfter,
            int freeBefore,
            int freeAfter,
            LocalDate sowDayBefore,
            LocalDate sowDayAfter,
            boolean canBeWithdrawn,
            @Nullable Integer canBeSownFor) {}
}
