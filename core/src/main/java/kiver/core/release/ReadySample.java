package kiver.core.release;

import java.util.EnumSet;
import java.util.Set;

/**
 * What was seen on a sample of plants before they went.
 *
 * @param plants looked at, 0 where nobody looked
 * @param held what was as it should be
 */
public record ReadySample(int plants, Set<ReadyCheck> held) {

    /** Nobody looked. */
    public static final ReadySample NONE = new ReadySample(0, Set.of());

    public ReadySample {
        held = Set.copyOf(held);
        if (plants < 0 || plants == 0 && !held.isEmpty()) {
            throw new IllegalArgumentException("A sample has plants where something was seen on it.");
        }
    }

    /** Whether anybody looked. */
    public boolean wasLookedAt() {
        return plants > 0;
    }

    /** What was not as it should be, or not looked at, in the order in which it is looked at. */
    public Set<ReadyCheck> missing() {
        EnumSet<ReadyCheck> missing = EnumSet.allOf(ReadyCheck.class);
        missing.removeAll(held);
        return missing;
    }
}
