package kiver.server.batch;

import java.time.LocalDate;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.OrderLine;
import kiver.core.plan.ContainerPath;

/**
 * A batch to be planned.
 *
 * @param varietyId to grow
 * @param lotId to sow from
 * @param seedsPerCell 1 to 10
 * @param cells 1 or more
 * @param cellsNeeded cells in which something must come up
 * @param sowDay planned
 * @param latestSowDay last safe day, or null
 * @param way the places it will pass through
 * @param programme of hardening
 * @param containerPath kind of path through its containers
 * @param containers codes of the containers it passes, in order, separated by spaces
 * @param aim what it is to give, and when
 * @param countedIn what the number of its plants counts
 * @param leavesOnArrival true leaves of plants that are bought in; null where seed is sown
 */
public record NewBatch(
        long varietyId, long lotId, int seedsPerCell, int cells, int cellsNeeded, LocalDate sowDay,
        LocalDate latestSowDay, Way way, HardeningProgramme programme, ContainerPath.Kind containerPath, String containers,
        OrderLine aim, Batch.CountedIn countedIn, Double leavesOnArrival) {}
