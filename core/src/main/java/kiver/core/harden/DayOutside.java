package kiver.core.harden;

import kiver.core.crop.Hardiness;
import kiver.core.weather.DailyRange;

/** Whether plants in hardening may go out on a day, by its temperatures. */
public enum DayOutside {
    /** Out, as the programme says. */
    OUT,
    /** Out by day, but in or covered for the night. */
    IN_AT_NIGHT,
    /** In, or covered, all day. */
    STAY_IN;

    /** Above this, soft leaves scorch on the first days out. */
    private static final double SCORCHING = 30;

    /**
     * The advice for a day.
     *
     * @param hardiness of the crop
     * @param forecast outdoors
     * @param daysDone of the programme, 0 or more
     * @param programmeDays that the programme takes
     */
    public static DayOutside on(Hardiness hardiness, DailyRange forecast, int daysDone, int programmeDays) {
        boolean soft = daysDone < programmeDays;
        double floor = new NightOut(hardiness, soft, forecast.minimum()).floor();
        if (forecast.maximum() < floor + 2 || (soft && forecast.maximum() > SCORCHING)) {
            return STAY_IN;
        }
        return forecast.minimum() < floor ? IN_AT_NIGHT : OUT;
    }
}
