package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import kiver.core.order.OrderLine;

/**
 * A change to an order that was taken.
 *
 * @param line its position; missing for all lines that are still wanted
 * @param kind of change
 * @param plants wanted from now on; for {@link Kind#PLANTS}
 * @param target day on which they are wanted from now on; for {@link Kind#DAY}
 * @param withdraw whether batches that are not sown are taken out of the plan where they are for nobody afterwards, and
 *     sown for fewer plants where fewer are wanted
 */
record OrderEdit(
        @Nullable Integer line,
        @NotNull(message = "Say what changes.") Kind kind,

        @Nullable
        @Min(value = 1, message = "Order at least 1 plant, or cancel the line.")
        @Max(value = OrderLine.MOST_PLANTS, message = "Order at most 100,000 plants in one line.")
        Integer plants,

        @Nullable LocalDate target,
        boolean withdraw) {

    /** What changes. */
    enum Kind {
        /** How many are wanted. */
        PLANTS,
        /** The day on which they are wanted. */
        DAY,
        /** They are not wanted any more; what has gone stays gone. */
        CANCEL
    }
}
