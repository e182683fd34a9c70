package kiver.core.weather;

import java.util.Optional;

/**
 * What a climate may be by latitude and height alone: a first drawing for people to correct, never to be believed as it
 * stands. Coasts are milder, and whole regions are warmer or colder than others of their latitude by ten degrees.
 *
 * <p>The mean of the year falls with the square of the latitude from the equator's and by the free atmosphere's lapse rate
 * with height; the swing between seasons grows with latitude, less in the south with its seas.
 */
public final class ClimateGuess {

    /** °C over the year at the equator's lowland. */
    private static final double EQUATOR = 27;

    private static final double COOLER_BY_SQUARE_DEGREE = 0.0065;

    /** The free atmosphere cools by so much for each metre, K. */
    private static final double COOLER_BY_METRE = 0.0065;

    /** K between the year's mean and the warmest month for each degree of latitude. */
    private static final double SWING_NORTH = 0.23;

    private static final double SWING_SOUTH = 0.15;

    /** K between a day's lowest and highest; more in summer and less in winter for each degree from the equator. */
    private static final double DAY = 9;

    private static final double DAY_BY_DEGREE = 0.04;

    private ClimateGuess() {}

    /**
     * A climate that may be.
     *
     * @param latitude degrees, −90 to 90, south negative
     * @param altitude m above the sea
     */
    public static ToldClimate at(double latitude, double altitude) {
        boolean northern = latitude >= 0;
        double mean = EQUATOR - COOLER_BY_SQUARE_DEGREE * latitude * latitude - COOLER_BY_METRE * altitude;
        double swing = Math.abs(latitude) * (northern ? SWING_NORTH : SWING_SOUTH);
        double seasons = DAY_BY_DEGREE * Math.abs(latitude);
        ToldClimate months = new ToldClimate(
                day(mean - swing, DAY - seasons), day(mean + swing, DAY + seasons), Optional.empty(), northern);
        return new ToldClimate(months.coldest(), months.warmest(), ClimateFit.frostsOf(months), northern);
    }

    private static DailyRange day(double mean, double swing) {
        return new DailyRange(Math.round(mean - swing / 2), Math.round(mean + swing / 2));
    }
}
