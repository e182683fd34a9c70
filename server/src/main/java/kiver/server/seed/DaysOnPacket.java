package kiver.server.seed;

import jakarta.annotation.Nullable;
import java.util.Optional;
import kiver.core.seed.PacketSays;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;

/** The days to emergence as they are typed off a packet. */
final class DaysOnPacket {

    private static final int LONGEST = 365;

    private DaysOnPacket() {}

    /**
     * What was typed.
     *
     * @param entry the one that is told when both do not go together
     * @throws Refusal when only one was typed, the first is larger, or seed does not lie so long
     */
    static Optional<PacketSays.Days> typed(@Nullable Integer from, @Nullable Integer to, String entry) {
        if (from == null && to == null) {
            return Optional.empty();
        }
        if (from == null || to == null || from > to) {
            throw new Refusal(
                    entry, Said.of("Enter from how many to how many days, the smaller first, or leave both empty."));
        }
        if (from < 1 || to > LONGEST) {
            throw new Refusal(
                    entry,
                    Said.of("Seed comes up after 1 to 365 days, not {days}.").with("days", from < 1 ? from : to));
        }
        return Optional.of(new PacketSays.Days(from, to));
    }
}
