package kiver.core.space;

import java.util.List;

/**
 * A batch that wants a way through the nursery.
 *
 * @param batch number
 * @param kin what it has in common with batches beside which it would best grow on, usually its crop; empty for none
 * @param candidates at least one; a batch that was pinned by hand has one only
 */
public record ToPlace(int batch, String kin, List<Candidate> candidates) {
    public ToPlace {
        candidates = List.copyOf(candidates);
        if (candidates.isEmpty()) {
            throw new IllegalArgumentException("Batch " + batch + " has no way to choose from.");
        }
    }
}
