package kiver.core.seed;

/**
 * Identifies a seed lot, or a consignment of plants that were bought in; both are kept in one list.
 *
 * @param number 1 or more for what is kept; less for what is not kept yet
 */
public record LotId(long number) implements Comparable<LotId> {
    @Override
    public int compareTo(LotId other) {
        return Long.compare(number, other.number);
    }
}
