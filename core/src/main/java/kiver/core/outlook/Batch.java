package kiver.core.outlook;

import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.BatchId;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import org.jspecify.annotations.Nullable;

/**
 * A batch as it was planned: what the nursery decided to grow, whoever it is for.
 *
 * @param id in the record
 * @param number as written on labels, from 201
 * @param grown what it is of
 * @param sowing how much of which lot
 * @param plan when, where and in what
 * @param hardeningProgramme chosen
 * @param aim plants it was planned to give, at which stage, and the day for which it is grown: that of the first line still
 *     waiting for its plants, or the one it was planned for
 * @param planVersion how often its plan was changed
 * @param leavesOnArrival true leaves its plants have when they arrive from somebody who raised them; null where it is sown
 */
public record Batch(
        BatchId id,
        int number,
        Grown grown,
        Sowing sowing,
        BatchPlan plan,
        HardeningProgramme hardeningProgramme,
        OrderLine aim,
        int planVersion,
        @Nullable Double leavesOnArrival) {

    /** The same with another plan. */
    public Batch with(BatchPlan otherPlan) {
        return new Batch(id, number, grown, sowing, otherPlan, hardeningProgramme, aim, planVersion, leavesOnArrival);
    }

    /** The same grown for another day. */
    public Batch wantedOn(LocalDate otherTarget) {
        return new Batch(
                id, number, grown, sowing, plan, hardeningProgramme, aim.on(otherTarget), planVersion, leavesOnArrival);
    }

    /** The same in another amount, sown on another day. */
    public Batch resized(BatchSize size) {
        return new Batch(
                id,
                number,
                grown,
                new Sowing(sowing.lot(), size.seedsPerCell(), size.cells(), size.cellsNeeded()),
                plan.sownOn(size.sowDay(), size.latestSowDay()),
                hardeningProgramme,
                aim.of(size.plants()).on(size.target()),
                planVersion,
                leavesOnArrival);
    }

    /** Whether its plants are raised elsewhere and arrive on its sow day. */
    public boolean isBoughtIn() {
        return leavesOnArrival != null;
    }

    /** Variety it is of, in the database. */
    public long varietyId() {
        return grown.varietyId();
    }

    /** Name of the variety. */
    public String variety() {
        return grown.variety();
    }

    /** Code of the crop. */
    public CropCode crop() {
        return grown.crop();
    }

    /** Seed lot it was planned from. */
    public LotId lot() {
        return sowing.lot();
    }

    /** Seeds planned for a cell. */
    public int seedsPerCell() {
        return sowing.seedsPerCell();
    }

    /** Cells planned. */
    public int cells() {
        return sowing.cells();
    }

    /** Cells in which something must come up. */
    public int cellsNeeded() {
        return sowing.cellsNeeded();
    }

    /** Planned sow day, or day of arrival. */
    public LocalDate sowDay() {
        return plan.sowDay();
    }

    /** The places it is planned to pass through. */
    public Way way() {
        return plan.way();
    }

    /** Codes of the containers it passes, from the one it is sown in to the one it is handed over in. */
    public List<ContainerCode> containerCodes() {
        return plan.containerCodes();
    }

    /** Code of the container its plants are handed over in. */
    public ContainerCode container() {
        return plan.lastContainer();
    }

    /** Kind of path through its containers. */
    public ContainerPath.Kind containerPath() {
        return plan.containerPath();
    }

    /** Plants it was planned to give. */
    public int plants() {
        return aim.plants();
    }

    /** The stage it is grown to. */
    public LeafStage stage() {
        return aim.stage();
    }

    /** The day for which it is grown. */
    public LocalDate target() {
        return aim.target();
    }
}
