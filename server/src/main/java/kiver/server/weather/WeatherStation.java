package kiver.server.weather;

import java.time.LocalDate;
import java.util.List;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;

/** Port: a station that measures, and a service that forecasts. A simulated one ships with Kiver. */
public interface WeatherStation {

    /** Whether this nursery has it. */
    boolean isThere();

    /** Whether its days count as measured. */
    default boolean measures() {
        return true;
    }

    /** The first day of its record. */
    LocalDate firstDay();

    /** What it measured on a day that is over. */
    DailyRange measured(LocalDate day);

    /** The days from {@code madeOn} on, at most five. */
    List<DayAhead> forecast(LocalDate madeOn);
}
