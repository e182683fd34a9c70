package kiver.server.seed;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;

/**
 * A seed lot.
 *
 * @param id number
 * @param code on the packet
 * @param varietyId of the variety
 * @param supplier it came from
 * @param germinationLabel share on the label, 0 to 1
 * @param testedSeeds that the label rests on
 * @param testedOn day of the test
 * @param seedsBought at first
 * @param seedsLeft after all sowings, 0 or more
 */
public record SeedLot(
        LotId id,
        String code,
        long varietyId,
        String supplier,
        double germinationLabel,
        int testedSeeds,
        LocalDate testedOn,
        int seedsBought,
        int seedsLeft) {

    private static final double DAYS_IN_YEAR = 365.25;

    /** What the label is worth on a day. */
    public Germination labelOn(LocalDate day) {
        double years = Math.max(0, ChronoUnit.DAYS.between(testedOn, day) / DAYS_IN_YEAR);
        return Germination.ofLabel(germinationLabel, testedSeeds, years);
    }
}
