package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.ContainerCode;
import kiver.core.growth.DateSpread;
import kiver.core.order.CountedIn;
import kiver.core.order.Protection;
import kiver.server.order.OrderChange;
import kiver.server.outlook.BatchSummary;
import kiver.server.wording.Said;

/**
 * An order and how it stands.
 *
 * @param number as written
 * @param growerId who ordered
 * @param grower name
 * @param siteId of the site
 * @param site name
 * @param altitude of the site, m
 * @param target day on which the plants are wanted
 * @param placedOn day on which it was taken
 * @param standing where it is as a whole
 * @param chance of its least sure line, 0 to 1
 * @param lines in order, cancelled ones among them
 * @param releases made so far
 * @param changes since it was taken
 */
record OrderView(
        int number,
        long growerId,
        String grower,
        long siteId,
        String site,
        int altitude,
        LocalDate target,
        LocalDate placedOn,
        Standing standing,
        double chance,
        List<LineView> lines,
        List<ReleaseView> releases,
        List<OrderChange> changes) {

    /** Where an order or a line is. */
    enum Standing {
        /** Nothing grows for it. */
        OPEN,
        PLANNED,
        GROWING,
        READY,
        PART_RELEASED,
        RELEASED,
        FAILED,
        CANCELLED
    }

    /**
     * Plants of a batch that a line was promised.
     *
     * @param chance that they come whole and in time, 0 to 1
     * @param counted whether they are among those that the line's chance rests on: the surest that cover what counts as whole
     */
    record SupplyView(int plants, double chance, boolean counted, BatchSummary batch) {}

    /**
     * Plants of a line that are sown in place.
     *
     * @param plants that it is to give
     * @param seeds that go
     * @param lot code
     * @param sowFrom first day on which it is to be sown
     * @param sowUntil last day
     * @param atStage when plants are as they were wanted; missing where that is not known
     * @param chance of enough of them in time, 0 to 1
     * @param due whether the seed is to go by now
     * @param note with which it went; missing while it is here
     * @param how to sow it, in lines
     */
    record InPlaceView(
            int plants,
            int seeds,
            String lot,
            LocalDate sowFrom,
            LocalDate sowUntil,
            @Nullable DateSpread atStage,
            double chance,
            boolean due,
            @Nullable Integer note,
            List<Said> how) {}

    /** A release; of no plants when it was taken back. */
    record ReleaseView(int number, LocalDate day, int plants) {}

    /**
     * What a line asks for.
     *
     * @param varietyId ordered
     * @param variety name
     * @param crop name
     * @param containerCode code of the container
     * @param container name
     * @param plants ordered
     * @param leavesFrom fewest true leaves
     * @param leavesTo most true leaves
     * @param target day on which they are wanted
     * @param under share that the grower takes as whole when it is missing
     * @param accepted the fewest that the grower takes as whole
     * @param countedIn what the number ordered counts
     * @param protection what they will stand under, where the grower said so
     */
    record Asked(
            long varietyId,
            String variety,
            String crop,
            ContainerCode containerCode,
            String container,
            int plants,
            int leavesFrom,
            int leavesTo,
            LocalDate target,
            double under,
            int accepted,
            CountedIn countedIn,
            @Nullable Protection protection) {}

    /**
     * A line and how it stands.
     *
     * @param line its position on the order
     * @param asked what it asks for
     * @param cancelledOn day since which it is not wanted; missing while it is
     * @param released plants that have gone
     * @param ready plants ready to go now
     * @param readyMixed plants that are ready, of which nobody is sure what they are
     * @param promised plants that it can count on: they have gone, live, or are to be sown
     * @param standing where it is
     * @param chance that it is met whole and in time, 0 to 1
     * @param supplies batches that grow it
     * @param inPlace what of it is sown in place
     * @param planting how to plant, in lines
     * @param before what to make ready before they come, in lines
     * @param after how to look after them in their first weeks, in lines
     */
    record LineView(
            int line,
            Asked asked,
            @Nullable LocalDate cancelledOn,
            int released,
            int ready,
            int readyMixed,
            int promised,
            Standing standing,
            double chance,
            List<SupplyView> supplies,
            @Nullable InPlaceView inPlace,
            List<Said> planting,
            List<Said> before,
            List<Said> after) {}
}
