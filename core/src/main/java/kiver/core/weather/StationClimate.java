package kiver.core.weather;

/**
 * What is typical at a weather station, from which a simulated record can be drawn.
 *
 * @param annualMean mean temperature of the year, °C, for example 8.5
 * @param seasonalAmplitude half the difference between the warmest and the coldest time of the year, K, positive in
 *     the northern hemisphere and negative in the southern
 * @param dailySwing mean difference between a day's maximum and minimum, K, positive
 * @param dayToDayDeviation standard deviation of the daily mean around the season's course, K, positive
 * @param persistence correlation of that deviation from one day to the next, 0 to below 1
 */
public record StationClimate(
        double annualMean, double seasonalAmplitude, double dailySwing, double dayToDayDeviation, double persistence) {

    public StationClimate {
        if (dailySwing <= 0 || dayToDayDeviation <= 0) {
            throw new IllegalArgumentException("A climate's daily swing and deviation must be positive.");
        }
        if (persistence < 0 || persistence >= 1) {
            throw new IllegalArgumentException("Persistence must be from 0 to below 1, not " + persistence + ".");
        }
    }
}
