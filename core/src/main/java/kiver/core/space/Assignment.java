package kiver.core.space;

import java.util.List;

/**
 * Who goes where.
 *
 * @param chosen the position of each batch's candidate, in the order in which batches were given
 * @param cost of all chosen candidates together
 * @param overflow slots over capacity, summed over places and days; 0 when everything fits
 * @param bound no assignment whatever has a lower {@link #total}; proven by Lagrangian relaxation
 * @param stopped whether it was stopped before it was done
 */
public record Assignment(List<Integer> chosen, double cost, double overflow, double bound, boolean stopped) {

    /** What one slot over capacity costs for one day: more than any suitable place could make good. */
    public static final double OVERFLOW_COST = 20;

    public Assignment {
        chosen = List.copyOf(chosen);
    }

    /** Cost with overflow. */
    public double total() {
        return cost + OVERFLOW_COST * overflow;
    }

    /** How far the total may at most lie above the best possible, as a share; 0 is proven best. */
    public double gap() {
        return bound <= 0 ? (total() <= 1e-9 ? 0 : 1) : Math.max(0, total() / bound - 1);
    }
}
