package kiver.server.batch;

import java.time.LocalDate;
import kiver.core.growth.GrowingYear;

/**
 * Which batches are put away: they can be read and corrected like any other and are not worked out day by day. Those of
 * which no plant is left since before the growing year began, and those of which nothing has been heard for a year. What
 * was sown for next spring and overwinters is neither.
 *
 * @param overBefore batches that are over are put away when nothing happened to them on this day or later
 * @param quietBefore others are when they were grown for an earlier day and nothing happened to them on this day or later
 */
public record PutAway(LocalDate overBefore, LocalDate quietBefore) {

    /** The same as it is asked of {@code batch} and {@code batch_standing standing}, where this is called {@code away}. */
    public static final String CONDITION = """
             (standing.stage in ('RELEASED', 'FAILED') and standing.last_on < #{away.overBefore}
                or greatest(standing.last_on, batch.target) < #{away.quietBefore})
            """;

    /** What is put away on a day at a latitude, degrees, south below 0. */
    public static PutAway on(LocalDate today, double latitude) {
        return new PutAway(GrowingYear.of(today, latitude).firstDay(), today.minusYears(1));
    }
}
