package kiver.core.outlook;

import java.time.LocalDate;
import kiver.core.batch.BatchId;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;

/**
 * So many plants of a batch for a line of an order.
 *
 * @param line promised to
 * @param batch whose plants they are
 * @param orderNumber as written, from 101
 * @param position of the line on its order, from 1
 * @param growerId whose order it is
 * @param grower name
 * @param plants promised
 * @param under share of them that the grower takes as whole when it is missing, 0 to 0.5
 * @param target day on which they are wanted
 */
public record Promised(
        LineId line,
        BatchId batch,
        int orderNumber,
        int position,
        long growerId,
        String grower,
        int plants,
        double under,
        LocalDate target) {

    /** The fewest plants that the grower takes as all of them. */
    public int accepted() {
        return OrderLine.accepted(plants, under);
    }
}
