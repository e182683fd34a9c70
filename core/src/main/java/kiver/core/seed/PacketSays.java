package kiver.core.seed;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a packet says of its seed besides germination, where it says it.
 *
 * @param emergence days until it comes up
 * @param depth mm of cover, 0 or more
 */
public record PacketSays(Optional<Days> emergence, OptionalDouble depth) {

    /** A packet that says nothing of it. */
    public static final PacketSays NOTHING = new PacketSays(Optional.empty(), OptionalDouble.empty());

    /**
     * A span of days, for example 7 to 14.
     *
     * @param from 1 or more
     * @param to inclusive
     */
    public record Days(int from, int to) {
        public Days {
            if (from < 1 || to < from) {
                throw new IllegalArgumentException(
                        "A span of days begins at 1 or later, not " + from + " to " + to + ".");
            }
        }
    }
}
