package kiver.server.order;

import java.time.LocalDate;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.server.batch.Batch;

/**
 * What a grower ordered.
 *
 * @param id in the database
 * @param number as written, from 101
 * @param growerId who ordered
 * @param grower name
 * @param site name
 * @param altitude of the site, m
 * @param varietyId ordered
 * @param variety name
 * @param crop code
 * @param container code
 * @param plants ordered
 * @param leavesFrom fewest true leaves
 * @param leavesTo most true leaves
 * @param target day on which they are wanted
 * @param placedOn day on which the order was taken
 * @param siteId of the site
 * @param under share that the grower takes as whole when it is missing
 * @param countedIn what the number ordered counts
 * @param succession shared by parts of a succession or standing order; null for an order by itself
 */
public record Order(
        long id, int number, long growerId, String grower, String site, int altitude, long varietyId, String variety,
        String crop, String container, int plants, int leavesFrom, int leavesTo, LocalDate target,
        LocalDate placedOn, long siteId, double under, Batch.CountedIn countedIn, Integer succession) {

    /** As the core knows it. */
    public OrderLine line() {
        return new OrderLine(plants, new LeafStage(leavesFrom, leavesTo), target, under, countedIn == Batch.CountedIn.CLUMPS);
    }
}
