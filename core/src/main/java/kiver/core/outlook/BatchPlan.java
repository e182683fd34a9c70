package kiver.core.outlook;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import org.jspecify.annotations.Nullable;

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
 * @param overWinter whether its plants stand over winter where they harden
 */
public record BatchPlan(
        LocalDate sowDay,
        @Nullable LocalDate latestSowDay,
        long emergencePlaceId,
        long growingPlaceId,
        long hardeningPlaceId,
        boolean pinned,
        ContainerPath.Kind containerPath,
        String containers,
        boolean pottedLate,
        boolean overWinter) {

    /** A plan with places that Kiver chose. */
    public static BatchPlan of(
            LocalDate sowDay,
            @Nullable LocalDate latestSowDay,
            Way way,
            ContainerPath.Kind containerPath,
            List<ContainerCode> containers) {
        return new BatchPlan(
                sowDay,
                latestSowDay,
                way.emergence().number(),
                way.growingOn().number(),
                way.hardening().number(),
                false,
                containerPath,
                joined(containers.stream()),
                false,
                false);
    }

    /** The same, standing over winter or not. */
    public BatchPlan overWinter(boolean over) {
        return new BatchPlan(
                sowDay,
                latestSowDay,
                emergencePlaceId,
                growingPlaceId,
                hardeningPlaceId,
                pinned,
                containerPath,
                containers,
                pottedLate,
                over);
    }

    /** The same along another way. */
    public BatchPlan along(Way way, boolean byHand) {
        return new BatchPlan(
                sowDay,
                latestSowDay,
                way.emergence().number(),
                way.growingOn().number(),
                way.hardening().number(),
                byHand,
                containerPath,
                containers,
                pottedLate,
                overWinter);
    }

    /** The same sown on another day. */
    public BatchPlan sownOn(LocalDate day) {
        return sownOn(day, latestSowDay);
    }

    /** The same sown on another day, with another last safe one. */
    public BatchPlan sownOn(LocalDate day, @Nullable LocalDate latest) {
        return new BatchPlan(
                day,
                latest,
                emergencePlaceId,
                growingPlaceId,
                hardeningPlaceId,
                pinned,
                containerPath,
                containers,
                pottedLate,
                overWinter);
    }

    /** The same potted at the usual time, or as late as its roots allow. */
    public BatchPlan pottedLate(boolean late) {
        return new BatchPlan(
                sowDay,
                latestSowDay,
                emergencePlaceId,
                growingPlaceId,
                hardeningPlaceId,
                pinned,
                containerPath,
                containers,
                late,
                overWinter);
    }

    /** The same in other containers. */
    public BatchPlan in(ContainerPath path) {
        return new BatchPlan(
                sowDay,
                latestSowDay,
                emergencePlaceId,
                growingPlaceId,
                hardeningPlaceId,
                pinned,
                path.kind(),
                joined(path.containers().stream().map(Container::code)),
                pottedLate,
                overWinter);
    }

    /** Whether it is sown on the same day, in the same place and into the same containers as another. */
    public boolean sowsLike(BatchPlan other) {
        return sowDay.equals(other.sowDay)
                && containers.equals(other.containers)
                && containerPath == other.containerPath
                && emergencePlaceId == other.emergencePlaceId;
    }

    /** Codes of the containers, from the one it is sown in to the one it is handed over in. */
    public List<ContainerCode> containerCodes() {
        return Stream.of(containers.split(" ")).map(ContainerCode::new).toList();
    }

    /** Code of the container its plants are handed over in. */
    public ContainerCode lastContainer() {
        return new ContainerCode(containers.substring(containers.lastIndexOf(' ') + 1));
    }

    private static String joined(Stream<ContainerCode> codes) {
        return codes.map(ContainerCode::written).collect(Collectors.joining(" "));
    }

    /** The places. */
    public Way way() {
        return new Way(new PlaceId(emergencePlaceId), new PlaceId(growingPlaceId), new PlaceId(hardeningPlaceId));
    }
}
