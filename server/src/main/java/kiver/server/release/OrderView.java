package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import kiver.server.batch.Batch;
import kiver.server.grow.BatchSummary;

/**
 * An order and how it stands.
 *
 * @param number as written
 * @param grower name
 * @param site name
 * @param altitude of the site, m
 * @param variety name
 * @param crop name
 * @param container name
 * @param plants ordered
 * @param leavesFrom fewest true leaves
 * @param leavesTo most true leaves
 * @param target day on which they are wanted
 * @param placedOn day on which it was taken
 * @param under share that the grower takes as whole when it is missing
 * @param countedIn what the number ordered counts
 * @param released plants that have gone
 * @param ready plants ready to go now
 * @param standing where it is
 * @param chance that it is met whole and in time, 0 to 1
 * @param batches that grow it
 * @param releases made so far
 * @param planting how to plant, in lines
 */
record OrderView(
        int number, String grower, String site, int altitude, String variety, String crop, String container,
        int plants, int leavesFrom, int leavesTo, LocalDate target, LocalDate placedOn, double under, Batch.CountedIn countedIn, int released, int ready,
        Standing standing, double chance, List<BatchSummary> batches, List<Release> releases, List<String> planting) {

    /** Where an order is. */
    enum Standing {
        PLANNED,
        GROWING,
        READY,
        PART_RELEASED,
        RELEASED,
        FAILED
    }
}
