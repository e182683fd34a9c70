package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;

/**
 * A batch as it was planned, with the order it is for.
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
 * @param orderId in the database
 * @param orderNumber as written, from 101
 * @param growerId whose order it is
 * @param grower name
 * @param variety name
 * @param crop code
 * @param container code
 * @param plants ordered
 * @param leavesFrom fewest true leaves ordered
 * @param leavesTo most true leaves ordered
 * @param target day on which the plants are wanted
 * @param under share of them that the grower takes as whole when it is missing, 0 to 0.5
 * @param countedIn what the number ordered counts
 * @param planVersion how often its plan was changed
 */
public record Batch(
        long id, int number, long lotId, int seedsPerCell, int cells, int cellsNeeded, LocalDate sowDay,
        LocalDate latestSowDay, long emergencePlaceId, long growingPlaceId, long hardeningPlaceId,
        HardeningProgramme hardeningProgramme, ContainerPath.Kind containerPath, String containers, boolean pottedLate,
        boolean pinned, long orderId, int orderNumber, long growerId, String grower, String variety,
        String crop, String container, int plants, int leavesFrom, int leavesTo, LocalDate target, double under,
        CountedIn countedIn, int planVersion) {

    /** What the number of an order counts. */
    public enum CountedIn { PLANTS, CLUMPS }


    /** The places it is planned to pass through. */
    public Way way() {
        return new Way(new PlaceId(emergencePlaceId), new PlaceId(growingPlaceId), new PlaceId(hardeningPlaceId));
    }

    /** Codes of the containers it passes, from the one it is sown in to the one it is handed over in. */
    public List<String> containerCodes() {
        return List.of(containers.split(" "));
    }

    /** The stage ordered. */
    public LeafStage stage() {
        return new LeafStage(leavesFrom, leavesTo);
    }
}
