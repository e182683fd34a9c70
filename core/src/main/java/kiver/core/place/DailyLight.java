package kiver.core.place;

import java.time.LocalDate;
import java.util.Arrays;
import kiver.core.weather.DailyRange;
import kiver.core.weather.Daylight;

/** The light of a place at a latitude, day by day; made for walking over many days of many weather years in one thread. */
public final class DailyLight {

    private final PlaceLight light;
    private final double latitude;
    /** What the glass gets of the beam, by day of the year; not a number until it is asked. */
    private final double[] beams = new double[367];

    DailyLight(PlaceLight light, double latitude) {
        this.light = light;
        this.latitude = latitude;
        Arrays.fill(beams, Double.NaN);
    }

    /**
     * Daylight at the leaves with no cloth drawn, mol m⁻² d⁻¹.
     *
     * @param day the date
     * @param outside the day's temperatures outdoors, whose swing tells how bright it was
     */
    public double unshaded(LocalDate day, DailyRange outside) {
        return light.daylightShare() * seen(day, outside) * Daylight.lightOutdoors(latitude, day, outside);
    }

    /** All light at the leaves, mol m⁻² d⁻¹: daylight, under the cloth on fierce days, and lamps. */
    public double onLeaves(LocalDate day, DailyRange outside) {
        return light.cloth().under(unshaded(day, outside)) + light.lamps().light();
    }

    private double seen(LocalDate day, DailyRange outside) {
        if (light.sky().isOpen()) {
            return 1;
        }
        int at = day.getDayOfYear();
        if (Double.isNaN(beams[at])) {
            beams[at] = light.sky().beam(latitude, day);
        }
        return light.sky().share(beams[at], latitude, day, Daylight.clearness(outside));
    }
}
