package kiver.server.play;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.outlook.Promised;
import kiver.server.stock.MixLot;

/** What hands have at hand in a nursery, and what they leave for another day there. */
public interface HandsWays {

    /**
     * The mix that cells of a batch are filled from; empty where none is there, so that nothing is told of it.
     *
     * @param blocks whether they are pressed
     * @param litres wanted
     */
    Optional<MixLot> mixForSowing(int batch, boolean blocks, double litres, LocalDate today);

    /** The mix that pots are filled from; empty where none is there. */
    Optional<MixLot> mixForPots(double litres, LocalDate today);

    /** The morning's walk with the can. */
    void water();

    /** Whether there is time to pot on that day. */
    default boolean findsTimeToPot(LocalDate today) {
        return true;
    }

    /** Whether they go on with the rest when something is refused. */
    default boolean goOnAfterARefusal() {
        return false;
    }

    /** Whether plants that are due are left for a round of delivery. */
    default boolean waitsForTheRound(Promised promise, LocalDate today) {
        return false;
    }

    /** Whether somebody covers in the evening what would not stand the night. */
    default boolean seesToTheNight(LocalDate today) {
        return true;
    }
}
