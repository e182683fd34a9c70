package kiver.core.seed;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a packet says of its seed besides germination, where it says it.
 *
 * @param emergence days until it comes up
 * @param depth mm of cover, 0 or more
 * @param sowBy the last year for which it is sold
 * @param coated whether each seed lies in a coat of clay or film: heavier, and not to be soaked
 * @param ownSaved whether the nursery saved it itself, so that nobody tested it
 */
public record PacketSays(
        Optional<Days> emergence, OptionalDouble depth, OptionalInt sowBy, boolean coated, boolean ownSaved) {

    /** A packet that says nothing of it. */
    public static final PacketSays NOTHING = new PacketSays(Optional.empty(), OptionalDouble.empty());

    /** Bought seed without a coat, and no year on it. */
    public PacketSays(Optional<Days> emergence, OptionalDouble depth) {
        this(emergence, depth, OptionalInt.empty(), false, false);
    }

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
