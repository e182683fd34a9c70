package kiver.core.order;

import java.time.LocalDate;
import java.util.Objects;

/**
 * One wish of a grower.
 *
 * @param plants wanted, 1 to 100,000
 * @param stage wanted at release
 * @param target the day on which they are wanted
 * @param under share of them that the grower takes as whole when it is missing, 0 to 0.5
 * @param countedIn what the number counts
 */
public record OrderLine(int plants, LeafStage stage, LocalDate target, double under, CountedIn countedIn) {

    /** What growers take as whole unless they say otherwise: 97 of 100. */
    public static final double USUAL_UNDER = 0.03;

    /** More than this in one line is a typing error, or an order to be talked about. */
    public static final int MOST_PLANTS = 100_000;

    public OrderLine {
        Objects.requireNonNull(stage);
        Objects.requireNonNull(target);
        if (!(under >= 0 && under <= 0.5)) {
            throw new IllegalArgumentException("A grower takes from none to half under, not " + under + ".");
        }
        if (plants < 1 || plants > MOST_PLANTS) {
            throw new IllegalArgumentException("Plants must be from 1 to " + MOST_PLANTS + ", not " + plants + ".");
        }
    }

    /** A wish with the usual tolerance. */
    public OrderLine(int plants, LeafStage stage, LocalDate target) {
        this(plants, stage, target, USUAL_UNDER, CountedIn.PLANTS);
    }

    /** The same for another day. */
    public OrderLine on(LocalDate otherTarget) {
        return new OrderLine(plants, stage, otherTarget, under, countedIn);
    }

    /** The same for another number. */
    public OrderLine of(int otherPlants) {
        return new OrderLine(otherPlants, stage, target, under, countedIn);
    }

    /** The same number of something else. */
    public OrderLine counting(CountedIn other) {
        return new OrderLine(plants, stage, target, under, other);
    }

    /** Whether clumps are counted that are never parted, instead of plants. */
    public boolean inClumps() {
        return countedIn == CountedIn.CLUMPS;
    }

    /** The fewest plants that the grower takes as the whole. */
    public int accepted() {
        return accepted(plants, under);
    }

    /** The fewest of so many plants that a grower with that tolerance takes as the whole. */
    public static int accepted(int plants, double under) {
        return (int) Math.ceil(plants * (1 - under) - 1e-9);
    }
}
