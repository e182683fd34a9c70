package kiver.core.place;

import java.time.LocalDateTime;
import java.util.OptionalDouble;

/**
 * What a thermometer showed at one moment.
 *
 * @param at the nursery's own time
 * @param celsius °C, −60 to 80
 * @param humidity % of what the air can hold, 0 to 100; empty where it is not measured
 */
public record ProbeReading(LocalDateTime at, double celsius, OptionalDouble humidity) {

    /** What no nursery is: a probe that shows less or more is broken, °C. */
    public static final double COLDEST = -60;

    public static final double HOTTEST = 80;

    public ProbeReading {
        if (!(celsius >= COLDEST && celsius <= HOTTEST)) {
            throw new IllegalArgumentException(celsius + " °C is not the temperature of a nursery.");
        }
        if (humidity.isPresent() && !(humidity.getAsDouble() >= 0 && humidity.getAsDouble() <= 100)) {
            throw new IllegalArgumentException(humidity.getAsDouble() + " % is not a humidity.");
        }
    }
}
