package kiver.core.place;

import kiver.core.weather.DailyRange;

/** What makes the temperature of a place where nobody has read a thermometer. */
public sealed interface PlaceClimate {

    /**
     * The temperatures of a day inside.
     *
     * @param outside the same day at the weather station
     */
    DailyRange inside(DailyRange outside);

    /**
     * Heated to set points, and cooled by vents as far as outdoors allows: a heated house is never cooler than outdoors.
     *
     * @param day °C by day, for example 21
     * @param night °C by night, not above {@code day}
     */
    record SetPoints(double day, double night) implements PlaceClimate {
        public SetPoints {
            if (night > day) {
                throw new IllegalArgumentException(
                        "The night set point " + night + " °C is above the day set point " + day + " °C.");
            }
        }

        /** What the sun adds under glass though shade is drawn and all vents stand open, K. */
        private static final double GAIN_WITH_VENTS_OPEN = 2;

        @Override
        public DailyRange inside(DailyRange outside) {
            return new DailyRange(
                    Math.max(night, outside.minimum()), Math.max(day, outside.maximum() + GAIN_WITH_VENTS_OPEN));
        }
    }

    /**
     * Unheated, or with frost protection only: follows the weather.
     *
     * @param gainByNight K above outdoors at the minimum, 0 or more
     * @param gainByDay K above outdoors at the maximum, 0 or more
     * @param floor °C below which it is not allowed to fall; {@link #NO_FLOOR} where nothing protects it
     */
    record FollowsWeather(double gainByNight, double gainByDay, double floor) implements PlaceClimate {

        /** °C, colder than it gets anywhere where seedlings are raised. */
        public static final double NO_FLOOR = -60;

        public FollowsWeather {
            if (gainByNight < 0 || gainByDay < 0) {
                throw new IllegalArgumentException("A place cannot be colder than outdoors by its gain.");
            }
        }

        @Override
        public DailyRange inside(DailyRange outside) {
            double minimum = Math.max(floor, outside.minimum() + gainByNight);
            return new DailyRange(minimum, Math.max(minimum, outside.maximum() + gainByDay));
        }
    }
}
