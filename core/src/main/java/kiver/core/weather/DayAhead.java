package kiver.core.weather;

/**
 * A day as it is forecast.
 *
 * @param range its temperatures
 * @param sky what else is said of it
 */
public record DayAhead(DailyRange range, Sky sky) {

    /** A day of which only temperatures are forecast. */
    public DayAhead(DailyRange range) {
        this(range, Sky.UNKNOWN);
    }
}
