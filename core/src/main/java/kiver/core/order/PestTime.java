package kiver.core.order;

import java.time.LocalDate;

/**
 * When a pest is about at a site in a year.
 *
 * @param pest which
 * @param from first day
 * @param until last day
 * @param establishedDays days after planting from which plants outgrow the harm
 * @param coverHelps whether fleece or net keeps it off
 */
public record PestTime(Pest pest, LocalDate from, LocalDate until, int establishedDays, boolean coverHelps) {

    /** The last day on which plants may go out to be established before it comes. */
    public LocalDate outBy() {
        return from.minusDays(establishedDays);
    }

    /** Whether plants that go out on a day under some cover are still small when it is about. */
    public boolean meets(LocalDate planted, Protection protection) {
        boolean kept = coverHelps && protection == Protection.LOW_COVER;
        return !kept && planted.isAfter(outBy()) && !planted.isAfter(until);
    }
}
