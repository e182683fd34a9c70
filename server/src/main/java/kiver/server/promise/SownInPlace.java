package kiver.server.promise;

import java.time.LocalDate;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;

/**
 * Plants of a line for which seed is set aside, to be sown where they are to stand.
 *
 * @param lineId in the database
 * @param lotId seed lot
 * @param plants that it is to give
 * @param spots places to sow, each for one plant
 * @param seedsPerSpot 1 to 10
 * @param sowFrom first day on which it is to be sown
 * @param sowUntil last day
 * @param release number of the note with which the seed went; null while it is here
 */
public record SownInPlace(
        LineId lineId,
        LotId lotId,
        int plants,
        int spots,
        int seedsPerSpot,
        LocalDate sowFrom,
        LocalDate sowUntil,
        Integer release) {

    /** Seeds set aside. */
    public int seeds() {
        return spots * seedsPerSpot;
    }

    /** Whether the grower has the seed. */
    public boolean isHandedOver() {
        return release != null;
    }
}
