package kiver.server.batch;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;

/**
 * What of a batch's plan can be changed afterwards.
 *
 * @param sowDay planned
 * @param latestSowDay last day that is safe for the order; null when there was none
 * @param emergencePlaceId where the seed is to lie
 * @param growingPlaceId where seedlings are to grow on
 * @param hardeningPlaceId where they are to harden
 * @param pinned whether the places were chosen by hand
 * @param containerPath kind of path through its containers
 * @param containers codes of the containers it passes, in order, separated by spaces
 * @param pottedLate whether it stays in each of them as long as its roots allow
 */
public record BatchPlan(
        LocalDate sowDay, @Nullable LocalDate latestSowDay, long emergencePlaceId, long growingPlaceId,
        long hardeningPlaceId, boolean pinned, ContainerPath.Kind containerPath, String containers,
        boolean pottedLate) {

    /** The plan of a batch as it stands. */
    public static BatchPlan of(Batch batch) {
        return new BatchPlan(
                batch.sowDay(), batch.latestSowDay(), batch.emergencePlaceId(), batch.growingPlaceId(),
                batch.hardeningPlaceId(), batch.pinned(), batch.containerPath(), batch.containers(), batch.pottedLate());
    }

    /** The same along another way. */
    public BatchPlan along(Way way, boolean byHand) {
        return new BatchPlan(
                sowDay, latestSowDay, way.emergence().number(), way.growingOn().number(), way.hardening().number(),
                byHand, containerPath, containers, pottedLate);
    }

    /** The same sown on another day. */
    public BatchPlan sownOn(LocalDate day) {
        return new BatchPlan(day, latestSowDay, emergencePlaceId, growingPlaceId, hardeningPlaceId, pinned,
                containerPath, containers, pottedLate);
    }

    /** The same potted at the usual time, or as late as its roots allow. */
    public BatchPlan pottedLate(boolean late) {
        return new BatchPlan(sowDay, latestSowDay, emergencePlaceId, growingPlaceId, hardeningPlaceId, pinned,
                containerPath, containers, late);
    }

    /** The same in other containers. */
    public BatchPlan in(ContainerPath path) {
        return new BatchPlan(
                sowDay, latestSowDay, emergencePlaceId, growingPlaceId, hardeningPlaceId, pinned, path.kind(),
                path.containers().stream().map(Container::code).collect(Collectors.joining(" ")),
                pottedLate);
    }

    /** Whether it is sown on the same day, in the same place and into the same containers as another. */
    public boolean sowsLike(BatchPlan other) {
        return sowDay.equals(other.sowDay) && containers.equals(other.containers) && containerPath == other.containerPath
                && emergencePlaceId == other.emergencePlaceId;
    }

    /** The container its plants are handed over in. */
    public String lastContainer() {
        return containers.substring(containers.lastIndexOf(' ') + 1);
    }

    /** The places. */
    public Way way() {
        return new Way(new PlaceId(emergencePlaceId), new PlaceId(growingPlaceId), new PlaceId(hardeningPlaceId));
    }

    /** The batch as it would be with this plan. */
    public Batch applied(Batch batch) {
        return applied(batch, batch.target());
    }

    /** The batch as it would be with this plan, wanted on another day. */
    public Batch applied(Batch batch, LocalDate target) {
        return new Batch(
                batch.id(), batch.number(), batch.lotId(), batch.seedsPerCell(), batch.cells(), batch.cellsNeeded(),
                sowDay, latestSowDay, emergencePlaceId, growingPlaceId, hardeningPlaceId, batch.hardeningProgramme(),
                containerPath, containers, pottedLate, pinned, batch.varietyId(), batch.variety(), batch.crop(),
                batch.plants(), batch.leavesFrom(), batch.leavesTo(), target, batch.under(), batch.countedIn(),
                batch.planVersion(), batch.leavesOnArrival());
    }
}
