package kiver.core.weather;

import java.time.LocalDateTime;

/**
 * What a station outdoors showed at one moment.
 *
 * @param at the nursery's own time
 * @param celsius °C, −60 to 60
 */
public record OutdoorReading(LocalDateTime at, double celsius) {

    /** What no inhabited place is: a station that shows less or more is broken, °C. */
    public static final double COLDEST = -60;

    public static final double HOTTEST = 60;

    public OutdoorReading {
        if (!(celsius >= COLDEST && celsius <= HOTTEST)) {
            throw new IllegalArgumentException(celsius + " °C is not the temperature of a day.");
        }
    }
}
