package kiver.core.outlook;

import java.time.LocalDate;
import kiver.core.order.OrderLine;

/**
 * So many plants of a batch for a line of an order.
 *
 * @param lineId in the database
 * @param batchId in the database
 * @param orderNumber as written, from 101
 * @param position of the line on its order, from 1
 * @param growerId whose order it is
 * @param grower name
 * @param plants promised
 * @param under share of them that the grower takes as whole when it is missing, 0 to 0.5
 * @param target day on which they are wanted
 */
public record Promised(
        long lineId, long batchId, int orderNumber, int position, long growerId, String grower, int plants, double under,
        LocalDate target) {

    /** The fewest plants that the grower takes as all of them. */
    public int accepted() {
        return OrderLine.accepted(plants, under);
    }
}
