package kiver.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import kiver.core.place.PlaceId;

/**
 * A forecast that has moved.
 *
 * @param day on which that was seen
 * @param batch number
 * @param place where the batch stands or is to stand
 * @param before most likely day of being ready as it was forecast before
 * @param after the same now
 * @param cause of it
 */
public record ForecastChange(LocalDate day, int batch, PlaceId place, LocalDate before, LocalDate after, Cause cause) {

    /** Why a forecast moves. */
    public enum Cause {
        /** The place was warmer than it was expected to be. */
        WARM_DAYS,
        /** The place was colder than it was expected to be. */
        COLD_DAYS,
        /** What was counted or done since. */
        RECORD,
        /** The weather ahead looks different. */
        WEATHER_AHEAD
    }

    /** K in the mean of the days looked at that make them warm or cold. */
    private static final double NOTICEABLE = 0.8;

    /** Days later, negative when earlier. */
    public int daysLater() {
        return (int) ChronoUnit.DAYS.between(before, after);
    }

    /**
     * The cause of a change.
     *
     * @param recorded whether anything was recorded for the batch since
     * @param seen mean °C at its place over the days since, as read
     * @param expected mean °C that was expected of them
     */
    public static Cause causeOf(boolean recorded, double seen, double expected) {
        if (recorded) {
            return Cause.RECORD;
        }
        if (seen > expected + NOTICEABLE) {
            return Cause.WARM_DAYS;
        }
        return seen < expected - NOTICEABLE ? Cause.COLD_DAYS : Cause.WEATHER_AHEAD;
    }
}
