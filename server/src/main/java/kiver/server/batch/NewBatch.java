package kiver.server.batch;

import kiver.core.harden.HardeningProgramme;
import kiver.core.order.OrderLine;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Sowing;

/**
 * A batch to be planned.
 *
 * @param varietyId to grow
 * @param sowing how much of which lot
 * @param plan when, where and in what
 * @param programme of hardening
 * @param aim what it is to give, and when
 * @param leavesOnArrival true leaves of plants that are bought in; null where seed is sown
 */
public record NewBatch(
        long varietyId,
        Sowing sowing,
        BatchPlan plan,
        HardeningProgramme programme,
        OrderLine aim,
        Double leavesOnArrival) {}
