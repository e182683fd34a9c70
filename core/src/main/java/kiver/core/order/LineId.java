package kiver.core.order;

/**
 * Identifies a line of an order, over all orders.
 *
 * @param number 1 or more for what is kept; less for what is not kept yet
 */
public record LineId(long number) implements Comparable<LineId> {
    @Override
    public int compareTo(LineId other) {
        return Long.compare(number, other.number);
    }
}
