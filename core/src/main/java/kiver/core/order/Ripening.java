package kiver.core.order;

import java.time.LocalDate;
import java.time.MonthDay;
import kiver.core.weather.Daylight;

/** How long plants take in the bed: days to maturity are those of summer, and the shortening days of autumn add to them. */
public final class Ripening {

    private static final MonthDay NORTHERN_MIDSUMMER = MonthDay.of(6, 21);
    private static final MonthDay SOUTHERN_MIDSUMMER = MonthDay.of(12, 21);

    /** Even in the polar night a day counts a little, so that counting back comes to an end. */
    private static final double LEAST = 0.02;

    private Ripening() {}

    /**
     * The last day of planting for what is to be picked on a day: each day counts for as much as it is long against the
     * longest.
     *
     * @param picked the day of picking
     * @param days to maturity from planting out, 0 or more
     * @param longest hours of the longest day there
     * @param latitude degrees, north positive
     */
    public static LocalDate plantedBy(LocalDate picked, int days, double longest, double latitude) {
        LocalDate day = picked;
        double left = days;
        while (left > 0) {
            left -= Math.min(1, Math.max(LEAST, Daylight.dayLength(latitude, day) / longest));
            day = day.minusDays(1);
        }
        return day;
    }

    /** Hours of the longest day of the year at a latitude. */
    public static double longestDay(double latitude, int year) {
        MonthDay midsummer = latitude >= 0 ? NORTHERN_MIDSUMMER : SOUTHERN_MIDSUMMER;
        return Daylight.dayLength(latitude, midsummer.atYear(year));
    }
}
