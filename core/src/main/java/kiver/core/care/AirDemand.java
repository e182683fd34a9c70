package kiver.core.care;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import kiver.core.weather.Daylight;

/**
 * What the air and the light of a place ask of leaves and wet mix, summed up hour by hour: the radiation that falls on them,
 * and how much vapour the air could still take up.
 *
 * <p>Light is spread over the hours from sunrise to sunset as half a sine. Temperature follows two half cosines from its
 * minimum at 5 h to its maximum at 15 h and back. Where nobody measured humidity the air is taken to hold what is saturated
 * at the day's minimum (Allen, Pereira, Raes and Smith 1998, FAO Irrigation and Drainage Paper 56, equations 11 and 48).
 */
public final class AirDemand {

    private static final int HOURS = 24;
    private static final double SECONDS_IN_HOUR = 3600;
    private static final double MOL_PER_MEGAJOULE = 2.04;
    private static final double NOON = 12.5;
    private static final double COLDEST_HOUR = 5;
    private static final double WARMEST_HOUR = 15;

    private final LocalDate firstDay;
    private final double[] radiation;
    private final double[] dryness;

    private AirDemand(LocalDate firstDay, double[] radiation, double[] dryness) {
        this.firstDay = firstDay;
        this.radiation = radiation;
        this.dryness = dryness;
    }

    /**
     * A day of a place.
     *
     * @param minimum °C
     * @param maximum °C, not below {@code minimum}
     * @param light mol m⁻² d⁻¹, 0 or more
     */
    public record Day(double minimum, double maximum, double light) {}

    /**
     * The demand of some days on end.
     *
     * @param latitude degrees, north positive, −90 to 90
     * @param firstDay of {@code days}
     */
    public static AirDemand of(double latitude, LocalDate firstDay, List<Day> days) {
        double[] radiation = new double[days.size() * HOURS + 1];
        double[] dryness = new double[days.size() * HOURS + 1];
        for (int index = 0; index < days.size(); index++) {
            Day day = days.get(index);
            // Lamps and a sun that does not set are spread over the day, too.
            double length = Math.max(8, Daylight.dayLength(latitude, firstDay.plusDays(index)));
            double vapour = saturation(day.minimum());
            for (int hour = 0; hour < HOURS; hour++) {
                int at = index * HOURS + hour;
                radiation[at + 1] = radiation[at] + day.light() / MOL_PER_MEGAJOULE * shareOfLight(hour, length);
                dryness[at + 1] = dryness[at] + Math.max(0, saturation(temperature(day, hour + 0.5)) - vapour);
            }
        }
        return new AirDemand(firstDay, radiation, dryness);
    }

    private static double shareOfLight(int hour, double length) {
        return risen(hour + 1, length) - risen(hour, length);
    }

    /** The share of the day's light that has come by an hour. */
    private static double risen(double hour, double length) {
        double through = Math.max(0, Math.min(1, (hour - NOON) / length + 0.5));
        return 0.5 * (1 - Math.cos(Math.PI * through));
    }

    private static double temperature(Day day, double hour) {
        double through = hour < COLDEST_HOUR
                ? (hour + HOURS - WARMEST_HOUR) / (HOURS + COLDEST_HOUR - WARMEST_HOUR)
                : hour < WARMEST_HOUR
                        ? 1 - (hour - COLDEST_HOUR) / (WARMEST_HOUR - COLDEST_HOUR)
                        : (hour - WARMEST_HOUR) / (HOURS + COLDEST_HOUR - WARMEST_HOUR);
        return day.minimum() + (day.maximum() - day.minimum()) * 0.5 * (1 + Math.cos(Math.PI * through));
    }

    /** Saturation vapour pressure, kPa; 2.34 at 20 °C. */
    static double saturation(double celsius) {
        return 0.6108 * Math.exp(17.27 * celsius / (celsius + 237.3));
    }

    /** The first moment of which it tells. */
    public LocalDateTime begin() {
        return firstDay.atStartOfDay();
    }

    /** The moment until which it tells. */
    public LocalDateTime end() {
        return begin().plusHours(radiation.length - 1L);
    }

    /** MJ m⁻² of global radiation between two moments, cut to what it tells of. */
    public double radiation(LocalDateTime from, LocalDateTime until) {
        return at(radiation, until) - at(radiation, from);
    }

    /** kPa h of vapour pressure deficit between two moments, cut to what it tells of. */
    public double dryness(LocalDateTime from, LocalDateTime until) {
        return at(dryness, until) - at(dryness, from);
    }

    private double at(double[] sums, LocalDateTime moment) {
        // Asked thousands of times for a round; a Duration would be made for each.
        double hours = (moment.toLocalDate().toEpochDay() - firstDay.toEpochDay()) * (double) HOURS
                + moment.toLocalTime().toSecondOfDay() / SECONDS_IN_HOUR;
        double inside = Math.max(0, Math.min(sums.length - 1.0, hours));
        int whole = Math.min(sums.length - 2, (int) inside);
        return sums[whole] + (inside - whole) * (sums[whole + 1] - sums[whole]);
    }
}
