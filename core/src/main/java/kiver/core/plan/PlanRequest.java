package kiver.core.plan;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.order.OrderLine;
import kiver.core.order.OutdoorSeason;
import kiver.core.seed.Germination;
import kiver.core.sow.Allowances;

/**
 * All that a plan depends on but the weather.
 *
 * @param line the wish
 * @param crop of the variety
 * @param containers that the plants pass through
 * @param outdoors when the crop may stand at the grower's site; empty while no site is chosen
 * @param germination what is known of the lot; null when there is no lot
 * @param seedsInStock of that lot, 0 or more
 * @param allowances how much to grow beyond the wish
 * @param seedsPerCell chosen by hand, or 0 to let the plan choose
 * @param hardeningDays of the batch's programme
 * @param overWinter whether its plants are to stand over winter, cold, before they are planted
 * @param today the day on which the plan is made
 */
public record PlanRequest(
        OrderLine line,
        Crop crop,
        ContainerPath containers,
        Optional<OutdoorSeason> outdoors,
        Germination germination,
        int seedsInStock,
        Allowances allowances,
        int seedsPerCell,
        int hardeningDays,
        boolean overWinter,
        LocalDate today) {

    public PlanRequest {
        Objects.requireNonNull(line);
        Objects.requireNonNull(crop);
        Objects.requireNonNull(containers);
        Objects.requireNonNull(outdoors);
        Objects.requireNonNull(allowances);
        if (seedsInStock < 0 || seedsPerCell < 0) {
            throw new IllegalArgumentException("Seeds cannot be negative.");
        }
    }

    /** For plants that leave when they are ready. */
    public PlanRequest(
            OrderLine line,
            Crop crop,
            ContainerPath containers,
            Optional<OutdoorSeason> outdoors,
            Germination germination,
            int seedsInStock,
            Allowances allowances,
            int seedsPerCell,
            int hardeningDays,
            LocalDate today) {
        this(
                line,
                crop,
                containers,
                outdoors,
                germination,
                seedsInStock,
                allowances,
                seedsPerCell,
                hardeningDays,
                false,
                today);
    }

    /** The container that seed is sown in. */
    public Container sownIn() {
        return containers.first();
    }

    /** From sowing to release, as far as containers, leaves and days set it. */
    public Path path() {
        Container last = containers.last();
        double limit = Math.min(line.stage().to() + 1.0, crop.leafLimitIn(last));
        Path straight = new Path(
                containers.pottings(crop, line.stage().from()),
                line.stage().from(),
                limit,
                crop.dayLimitIn(last),
                hardeningDays);
        return overWinter ? crop.overWinter(straight) : straight;
    }

    /** The same for another wish. */
    public PlanRequest with(OrderLine otherLine) {
        return new PlanRequest(
                otherLine,
                crop,
                containers,
                outdoors,
                germination,
                seedsInStock,
                allowances,
                seedsPerCell,
                hardeningDays,
                overWinter,
                today);
    }

    /** The same at another site. */
    public PlanRequest at(OutdoorSeason otherSite) {
        return new PlanRequest(
                line,
                crop,
                containers,
                Optional.of(otherSite),
                germination,
                seedsInStock,
                allowances,
                seedsPerCell,
                hardeningDays,
                overWinter,
                today);
    }

    /** The same in other containers. */
    public PlanRequest in(ContainerPath otherContainers) {
        return new PlanRequest(
                line,
                crop,
                otherContainers,
                outdoors,
                germination,
                seedsInStock,
                allowances,
                seedsPerCell,
                hardeningDays,
                overWinter,
                today);
    }
}
