package kiver.server.weather;

import java.time.LocalDate;
import kiver.core.weather.DailyRange;

/**
 * Weather where nobody measures it: the invented valley's, made warmer or colder by latitude and height, and half a year
 * later south of the equator. Good for getting about; shown as assumed wherever it is shown.
 *
 * @param warmer K
 * @param southern whether summer is in January
 */
record AssumedWeather(double warmer, boolean southern) {

    /** Taken as it is. */
    static final AssumedWeather AS_MEASURED = new AssumedWeather(0, false);

    private static final double VALLEY_LATITUDE = 46;
    private static final int VALLEY_ALTITUDE = 600;

    /** The free atmosphere cools by so much for each metre, K. */
    private static final double COOLER_BY_METRE = 0.0065;

    /** Lowland annual means fall by about so much for each degree towards the pole, K. */
    private static final double COOLER_BY_DEGREE = 0.6;

    private static final int HALF_A_YEAR = 182;

    /** The weather to be assumed somewhere. */
    static AssumedWeather at(double latitude, int altitude) {
        double warmer = (VALLEY_LATITUDE - Math.abs(latitude)) * COOLER_BY_DEGREE
                + (VALLEY_ALTITUDE - altitude) * COOLER_BY_METRE;
        return new AssumedWeather(warmer, latitude < 0);
    }

    /** The day in the valley that is like a day there. */
    LocalDate dayLike(LocalDate day) {
        return southern ? day.plusDays(HALF_A_YEAR) : day;
    }

    DailyRange of(DailyRange valley) {
        return new DailyRange(rounded(valley.minimum() + warmer), rounded(valley.maximum() + warmer));
    }

    private static double rounded(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
