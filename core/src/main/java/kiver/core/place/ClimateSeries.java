package kiver.core.place;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Map;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;

/**
 * Temperature and light of a place, day by day, through one weather scenario.
 *
 * <p>Temperatures come, in this order, from readings taken there, from its set points, or from the weather and the
 * place's gain and floor; what readings showed beyond those is carried forward. Held as plain arrays because a season's forecast walks over millions of days.
 */
public final class ClimateSeries {

    private final LocalDate firstDay;
    private final double[] minimum;
    private final double[] maximum;
    private final double[] light;

    private ClimateSeries(LocalDate firstDay, double[] minimum, double[] maximum, double[] light) {
        this.firstDay = firstDay;
        this.minimum = minimum;
        this.maximum = maximum;
        this.light = light;
    }

    /**
     * The series of a place.
     *
     * @param place the place
     * @param weather one scenario of the weather
     * @param readings temperatures read at the place; days without a reading are worked out
     * @param latitude of the nursery, degrees, north positive
     */
    public static ClimateSeries of(
            Place place, StationRecord weather, Map<LocalDate, DailyRange> readings, double latitude) {
        int days = weather.days().size();
        PlaceBias bias = PlaceBias.of(place, weather, readings);
        double[] minimum = new double[days];
        double[] maximum = new double[days];
        double[] light = new double[days];
        DailyLight lights = place.light().at(latitude);
        for (int index = 0; index < days; index++) {
            LocalDate day = weather.firstDay().plusDays(index);
            DailyRange outside = weather.days().get(index);
            DailyRange read = readings.get(day);
            DailyRange inside =
                    read != null ? read : bias.on(day, place.climate().inside(outside));
            minimum[index] = inside.minimum();
            maximum[index] = inside.maximum();
            light[index] = lights.onLeaves(day, outside);
        }
        return new ClimateSeries(weather.firstDay(), minimum, maximum, light);
    }

    /** The first day of the series. */
    public LocalDate firstDay() {
        return firstDay;
    }

    /** The number of days, at least 1. */
    public int days() {
        return minimum.length;
    }

    /** The number of days at the beginning on which another series of the same first day says the same. */
    public int daysLike(ClimateSeries other) {
        int most = Math.min(days(), other.days());
        return Math.min(
                Math.min(like(minimum, other.minimum, most), like(maximum, other.maximum, most)),
                like(light, other.light, most));
    }

    private static int like(double[] values, double[] others, int most) {
        int difference = Arrays.mismatch(values, 0, most, others, 0, most);
        return difference < 0 ? most : difference;
    }

    /** °C on the day {@code index} days after the first. */
    public double minimum(int index) {
        return minimum[index];
    }

    /** °C on the day {@code index} days after the first. */
    public double maximum(int index) {
        return maximum[index];
    }

    /** mol m⁻² d⁻¹ on the day {@code index} days after the first. */
    public double light(int index) {
        return light[index];
    }
}
