package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;

/**
 * A batch as it was planned: what the nursery decided to grow, whoever it is for.
 *
 * @param id in the database
 * @param number as written on labels, from 201
 * @param lotId seed lot it was planned from
 * @param seedsPerCell planned
 * @param cells planned
 * @param cellsNeeded cells in which something must come up for the order to be met
 * @param sowDay planned
 * @param latestSowDay last day that is safe for the order; null when there was none
 * @param emergencePlaceId where the seed is to lie
 * @param growingPlaceId where seedlings are to grow on
 * @param hardeningPlaceId where they are to harden
 * @param hardeningProgramme chosen
 * @param containerPath kind of path through its containers
 * @param containers codes of the containers it passes, in order, separated by spaces
 * @param pottedLate whether it stays in each container as long as its roots allow
 * @param pinned whether its places were chosen by hand
 * @param varietyId grown
 * @param variety name
 * @param crop code
 * @param plants it was planned to give
 * @param leavesFrom fewest true leaves
 * @param leavesTo most true leaves
 * @param target day for which it is grown: that of the first line still waiting for its plants, or the one it was planned for
 * @param under share of its plants that may be missing, 0 to 0.5
 * @param countedIn what the number of its plants counts
 * @param planVersion how often its plan was changed
 * @param leavesOnArrival true leaves its plants have when they arrive from somebody who raised them; null where it is sown
 */
public record Batch(
        long id, int number, long lotId, int seedsPerCell, int cells, int cellsNeeded, LocalDate sowDay,
        LocalDate latestSowDay, long emergencePlaceId, long growingPlaceId, long hardeningPlaceId,
        HardeningProgramme hardeningProgramme, ContainerPath.Kind containerPath, String containers, boolean pottedLate,
        boolean pinned, long varietyId, String variety, String crop, int plants, int leavesFrom, int leavesTo,
        LocalDate target, double under, CountedIn countedIn, int planVersion, Double leavesOnArrival) {

    /** What the number of an order counts. */
    public enum CountedIn { PLANTS, CLUMPS }

    /** Whether its plants are raised elsewhere and arrive on its sow day. */
    public boolean isBoughtIn() {
        return leavesOnArrival != null;
    }

    /** The places it is planned to pass through. */
    public Way way() {
        return new Way(new PlaceId(emergencePlaceId), new PlaceId(growingPlaceId), new PlaceId(hardeningPlaceId));
    }

    /** Codes of the containers it passes, from the one it is sown in to the one it is handed over in. */
    public List<String> containerCodes() {
        return List.of(containers.split(" "));
    }

    /** Code of the container its plants are handed over in. */
    public String container() {
        return containers.substring(containers.lastIndexOf(' ') + 1);
    }

    /** The same grown for another day. */
    public Batch wantedOn(LocalDate otherTarget) {
        return BatchPlan.of(this).applied(this, otherTarget);
    }

    /** The same in another amount, sown on another day. */
    public Batch resized(BatchSize size) {
        return new Batch(
                id, number, lotId, size.seedsPerCell(), size.cells(), size.cellsNeeded(), size.sowDay(), size.latestSowDay(),
                emergencePlaceId, growingPlaceId, hardeningPlaceId, hardeningProgramme, containerPath, containers, pottedLate,
                pinned, varietyId, variety, crop, size.plants(), leavesFrom, leavesTo, size.target(), under, countedIn,
                planVersion, leavesOnArrival);
    }

    /** The stage it is grown to. */
    public LeafStage stage() {
        return new LeafStage(leavesFrom, leavesTo);
    }
}
