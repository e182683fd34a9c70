package kiver.core.plan;

import java.time.LocalDate;

/**
 * When to sow for a target date.
 *
 * @param earliest sown from here on, plants are not past their best on the target date in nine scenarios of ten, and
 *     have light enough where some day of the window gives it
 * @param earliestBecause what would be wrong with an earlier day
 * @param best of those days, or of all where none is safe on both sides, the one with the best chance of plants that
 *     are ready and not past their best on the target date
 * @param latest sown up to here, plants are ready in time in nine scenarios of ten
 * @param evenOdds the day from which half of the scenarios are ready in time
 * @param chance of the best day, 0 to 1
 */
public record SowWindow(
        LocalDate earliest,
        Limit earliestBecause,
        LocalDate best,
        LocalDate latest,
        LocalDate evenOdds,
        double chance) {

    /** What would be wrong with sowing earlier. */
    public enum Limit {
        /** The day before has passed. */
        TODAY,
        /** Plants would have more leaves than were ordered or than the cell allows. */
        LEAVES,
        /** Roots would circle: too many days in the cell. */
        DAYS_IN_CELL,
        /** Seedlings would stretch: too little light where they grow on. */
        LIGHT,
        /** Plants would go into winter so large that they run to seed after it. */
        SEED_AFTER_WINTER
    }

    /** The same window, begun where it is for another reason. */
    SowWindow because(Limit limit) {
        return new SowWindow(earliest, limit, best, latest, evenOdds, chance);
    }

    /** Whether there are days that are neither too early nor too late. */
    public boolean isOpen() {
        return !earliest.isAfter(latest);
    }
}
