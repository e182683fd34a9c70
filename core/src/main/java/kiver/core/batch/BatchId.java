package kiver.core.batch;

/**
 * Identifies a batch in the record; its number as written is another.
 *
 * @param number 1 or more for what is kept; less for what is not kept yet
 */
public record BatchId(long number) implements Comparable<BatchId> {
    @Override
    public int compareTo(BatchId other) {
        return Long.compare(number, other.number);
    }
}
