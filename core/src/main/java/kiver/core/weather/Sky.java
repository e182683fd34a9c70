package kiver.core.weather;

import java.util.OptionalDouble;

/**
 * What a forecast says of a day beside its temperatures; whatever is not known is empty.
 *
 * @param gust strongest gust, m/s, 0 or more
 * @param rain mm, 0 or more
 * @param hail chance of hail, 0 to 1
 * @param sun share of the day in which the sun shines, 0 to 1
 */
public record Sky(OptionalDouble gust, OptionalDouble rain, OptionalDouble hail, OptionalDouble sun) {

    /** Nothing is said. */
    public static final Sky UNKNOWN =
            new Sky(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    public Sky {
        require(gust, 0, 120, "gust");
        require(rain, 0, 1000, "rain");
        require(hail, 0, 1, "hail");
        require(sun, 0, 1, "sun");
    }

    private static void require(OptionalDouble value, double least, double most, String name) {
        if (value.isPresent() && !(value.getAsDouble() >= least && value.getAsDouble() <= most)) {
            throw new IllegalArgumentException(
                    "A forecast's " + name + " lies from " + least + " to " + most + ", not at " + value + ".");
        }
    }
}
