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

    /** Whether the weather outside makes no difference here. */
    boolean isSteady();

    /**
     * Heated, and cooled by vents, to set points.
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

        @Override
        public DailyRange inside(DailyRange outside) {
            return new DailyRange(night, day);
        }

        @Override
        public boolean isSteady() {
            return true;
        }
    }

    /**
     * Unheated, or with frost protection only: follows the weather.
     *
     * @param gainByNight K above outdoors at the minimum, 0 or more
     * @param gainByDay K above outdoors at the maximum, 0 or more
     * @param floor °C below which it is not allowed to fall; −60 where nothing protects it
     */
    record FollowsWeather(double gainByNight, double gainByDay, double floor) implements PlaceClimate {
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

        @Override
        public boolean isSteady() {
            return false;
        }
    }
}
