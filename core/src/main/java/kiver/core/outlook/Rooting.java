package kiver.core.outlook;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.batch.RootsSeen;
import kiver.core.pot.RootFill;

/**
 * How full of roots most of a batch's plants have what they stand in.
 *
 * @param fill today
 * @param seen what the hand saw last in what they stand in now; empty where nobody looked
 * @param potBy last day on which they should go on, most likely; empty where nothing larger is to come, or not in sight
 * @param circlesOn day on which roots circle in what they stand in, most likely; empty likewise
 */
public record Rooting(
        RootFill fill, Optional<RootsSeen> seen, Optional<LocalDate> potBy, Optional<LocalDate> circlesOn) {

    /** Of a batch that has no plants yet, or none any more. */
    public static final Rooting NONE =
            new Rooting(new RootFill(0, 0, 0), Optional.empty(), Optional.empty(), Optional.empty());
}
