package kiver.server.order;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.order.CountedIn;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.order.Protection;

/**
 * One line of an order: so many plants of one variety at one stage in one container.
 *
 * @param id in the database
 * @param orderId in the database
 * @param orderNumber as written, from 101
 * @param position on the order, from 1
 * @param growerId who ordered
 * @param siteId where they are to stand
 * @param varietyId ordered
 * @param variety name
 * @param crop code
 * @param container code
 * @param plants ordered
 * @param leavesFrom fewest true leaves
 * @param leavesTo most true leaves
 * @param target day on which they are wanted: the order's, unless another was agreed for this line
 * @param placedOn day on which the order was taken
 * @param under share that the grower takes as whole when it is missing
 * @param countedIn what the number ordered counts
 * @param protection what they will stand under, where the grower said so; null for what the site has
 * @param cancelledOn day since which it is not wanted any more; null while it is
 */
public record OrderedLine(
        LineId id,
        long orderId,
        int orderNumber,
        int position,
        long growerId,
        long siteId,
        long varietyId,
        String variety,
        CropCode crop,
        ContainerCode container,
        int plants,
        int leavesFrom,
        int leavesTo,
        LocalDate target,
        LocalDate placedOn,
        double under,
        CountedIn countedIn,
        @Nullable Protection protection,
        @Nullable LocalDate cancelledOn) {

    /** As the core knows it. */
    public OrderLine wish() {
        return new OrderLine(plants, new LeafStage(leavesFrom, leavesTo), target, under, countedIn);
    }

    /** The fewest plants that the grower takes as the whole line. */
    public int accepted() {
        return OrderLine.accepted(plants, under);
    }
}
