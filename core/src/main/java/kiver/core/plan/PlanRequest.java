package kiver.core.plan;

import java.time.LocalDate;
import java.util.Objects;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.order.OrderLine;
import kiver.core.seed.Germination;

/**
 * All that a plan depends on but the weather.
 *
 * @param line the wish
 * @param crop of the variety
 * @param container in which the plants are wanted
 * @param germination what is known of the lot; null when there is no lot
 * @param seedsInStock of that lot, 0 or more
 * @param allowances how much to grow beyond the wish
 * @param seedsPerCell chosen by hand, or 0 to let the plan choose
 * @param hardeningDays of the batch's programme
 * @param today the day on which the plan is made
 */
public record PlanRequest(
        OrderLine line,
        Crop crop,
        Container container,
        Germination germination,
        int seedsInStock,
        Allowances allowances,
        int seedsPerCell,
        int hardeningDays,
        LocalDate today) {

    public PlanRequest {
        Objects.requireNonNull(line);
        Objects.requireNonNull(crop);
        Objects.requireNonNull(container);
        Objects.requireNonNull(allowances);
        if (seedsInStock < 0 || seedsPerCell < 0) {
            throw new IllegalArgumentException("Seeds cannot be negative.");
        }
    }
}
