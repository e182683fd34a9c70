package kiver.server.batch;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import kiver.core.crop.ContainerCode;
import kiver.core.outlook.BatchPlan;
import kiver.core.plan.ContainerPath;

/**
 * A change to a batch's plan; what is missing stays as it is.
 *
 * @param batch number
 * @param sowDay to sow on
 * @param emergencePlaceId where the seed is to lie
 * @param growingPlaceId where seedlings are to grow on
 * @param hardeningPlaceId where they are to harden
 * @param container code of the container they are handed over in, sown straight into it
 * @param containerPath kind of path into that container
 * @param pottedLate whether it is to stay in each container as long as its roots allow
 */
public record PlanEdit(
        @NotNull Integer batch,
        @Nullable LocalDate sowDay,
        @Nullable Long emergencePlaceId,
        @Nullable Long growingPlaceId,
        @Nullable Long hardeningPlaceId,
        @Nullable ContainerCode container,
        @Nullable ContainerPath.Kind containerPath,
        @Nullable Boolean pottedLate) {

    /** What makes one plan of a batch another in the same containers. */
    public static PlanEdit between(int batch, BatchPlan before, BatchPlan after) {
        return new PlanEdit(
                batch,
                differing(before.sowDay(), after.sowDay()),
                differing(before.emergencePlaceId(), after.emergencePlaceId()),
                differing(before.growingPlaceId(), after.growingPlaceId()),
                differing(before.hardeningPlaceId(), after.hardeningPlaceId()),
                null,
                null,
                differing(before.pottedLate(), after.pottedLate()));
    }

    private static <T> @Nullable T differing(T before, T after) {
        return before.equals(after) ? null : after;
    }
}
