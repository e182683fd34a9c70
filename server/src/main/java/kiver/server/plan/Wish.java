package kiver.server.plan;

import com.fasterxml.jackson.annotation.JsonIgnore;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import kiver.core.crop.ContainerCode;
import kiver.core.order.CountedIn;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.order.Protection;
import kiver.core.plan.ContainerPath;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;

/**
 * What is typed when an order is entered; grower and site may still be open while it is planned.
 *
 * @param varietyId wanted
 * @param container code
 * @param plants wanted
 * @param leavesFrom fewest true leaves
 * @param leavesTo most true leaves
 * @param target day on which they are wanted
 * @param seedsPerCell chosen by hand; null or 0 to let the plan choose
 * @param lotId chosen by hand; null to let the plan choose
 * @param siteId where they are to stand; null while it is open
 * @param containerPath kind of path; null for straight
 * @param under share that the grower takes as whole when it is missing; null for 3 of 100
 * @param countedIn what the number counts; null for plants
 * @param protection what they will stand under, where that was said; null for what the site has
 * @param overWinter whether they are sown in late summer and stand over winter, cold; null for no
 */
public record Wish(
        @NotNull(message = "Choose a variety.") Long varietyId,
        @NotNull(message = "Choose a container.") ContainerCode container,

        @NotNull(message = "Say how many plants.")
        @Min(value = 1, message = "Order at least 1 plant.")
        @Max(value = OrderLine.MOST_PLANTS, message = "Order at most 100,000 plants in one order.")
        Integer plants,

        @NotNull(message = "Say how many true leaves at least.")
        @Min(value = 1, message = "At least 1 true leaf.")
        @Max(value = 20, message = "At most 20 true leaves.")
        Integer leavesFrom,

        @NotNull(message = "Say how many true leaves at most.")
        @Min(value = 1, message = "At least 1 true leaf.")
        @Max(value = 20, message = "At most 20 true leaves.")
        Integer leavesTo,

        @NotNull(message = "Choose the day on which the plants are wanted.")
        LocalDate target,

        @Nullable
        @Min(value = 0, message = "Seeds per cell cannot be negative.")
        @Max(value = 10, message = "At most 10 seeds go into a cell.")
        Integer seedsPerCell,

        @Nullable Long lotId,
        @Nullable Long siteId,
        @Nullable ContainerPath.Kind containerPath,

        @Nullable
        @DecimalMin(value = "0", message = "The tolerance cannot be negative.")
        @DecimalMax(value = "0.5", message = "A grower takes at most half under.")
        Double under,

        @Nullable CountedIn countedIn,
        @Nullable Protection protection,
        @Nullable Boolean overWinter) {

    /** So many days ahead plants can be promised. */
    public static final int DAYS_AHEAD = 370;

    /** A wish with the usual tolerance, counted in plants. */
    public Wish(
            Long varietyId,
            ContainerCode container,
            Integer plants,
            Integer leavesFrom,
            Integer leavesTo,
            LocalDate target,
            Integer seedsPerCell,
            Long lotId,
            Long siteId,
            ContainerPath.Kind containerPath) {
        this(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                siteId,
                containerPath,
                null,
                null,
                null,
                null);
    }

    /** A wish at no site yet, sown where it stays. */
    public Wish(
            Long varietyId,
            ContainerCode container,
            Integer plants,
            Integer leavesFrom,
            Integer leavesTo,
            LocalDate target,
            Integer seedsPerCell,
            Long lotId) {
        this(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    /** The same on another path through containers. */
    public Wish along(ContainerPath.Kind path) {
        return new Wish(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                siteId,
                path,
                under,
                countedIn,
                protection,
                overWinter);
    }

    /** The same for other plants and another day. */
    public Wish with(int otherPlants, LocalDate otherTarget) {
        return new Wish(
                varietyId,
                container,
                otherPlants,
                leavesFrom,
                leavesTo,
                otherTarget,
                seedsPerCell,
                lotId,
                siteId,
                containerPath,
                under,
                countedIn,
                protection,
                overWinter);
    }

    /** The same of another variety. */
    public Wish of(long variety) {
        return new Wish(
                variety,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                siteId,
                containerPath,
                under,
                countedIn,
                protection,
                overWinter);
    }

    /** The same at a site; null where it is open. */
    public Wish at(Long site) {
        return new Wish(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                site,
                containerPath,
                under,
                countedIn,
                protection,
                overWinter);
    }

    /** The same from a lot. */
    public Wish from(long lot) {
        return new Wish(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lot,
                siteId,
                containerPath,
                under,
                countedIn,
                protection,
                overWinter);
    }

    /** The same, sown in late summer to stand over winter or not. */
    public Wish overWinter(boolean over) {
        return new Wish(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                siteId,
                containerPath,
                under,
                countedIn,
                protection,
                over ? Boolean.TRUE : null);
    }

    /** The same under another cover; null for what the site has. */
    public Wish covered(Protection cover) {
        return new Wish(
                varietyId,
                container,
                plants,
                leavesFrom,
                leavesTo,
                target,
                seedsPerCell,
                lotId,
                siteId,
                containerPath,
                under,
                countedIn,
                cover,
                overWinter);
    }

    /** Whether its plants stand over winter. */
    @JsonIgnore
    public boolean standsOverWinter() {
        return Boolean.TRUE.equals(overWinter);
    }

    /** What the number counts. */
    public CountedIn counted() {
        return countedIn == null ? CountedIn.PLANTS : countedIn;
    }

    /** Share that may be missing. */
    public double tolerance() {
        return under == null ? OrderLine.USUAL_UNDER : under;
    }

    /** As the core knows it. */
    public OrderLine line(LocalDate today) {
        if (leavesTo < leavesFrom) {
            throw new Refusal(
                    "leavesTo",
                    Said.of("The most true leaves, {leavesTo}, are fewer than the fewest, {leavesFrom}.")
                            .with("leavesTo", leavesTo)
                            .with("leavesFrom", leavesFrom));
        }
        if (target.isBefore(today)) {
            throw new Refusal(
                    "target", Said.of("This day has passed; today is {today}.").with("today", today));
        }
        if (target.isAfter(today.plusDays(DAYS_AHEAD))) {
            throw new Refusal(
                    "target",
                    Said.of("Kiver looks {daysAhead} days ahead; choose a day before {today}.")
                            .with("daysAhead", DAYS_AHEAD)
                            .with("today", today.plusDays(DAYS_AHEAD + 1L)));
        }
        return new OrderLine(plants, new LeafStage(leavesFrom, leavesTo), target, tolerance(), counted());
    }
}
