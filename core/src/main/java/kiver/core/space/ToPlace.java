package kiver.core.space;

import java.util.List;

/**
 * A batch that wants a way through the nursery.
 *
 * @param batch number
 * @param candidates at least one; a batch that was pinned by hand has one only
 */
public record ToPlace(int batch, List<Candidate> candidates) {
    public ToPlace {
        candidates = List.copyOf(candidates);
        if (candidates.isEmpty()) {
            throw new IllegalArgumentException("Batch " + batch + " has no way to choose from.");
        }
    }
}
