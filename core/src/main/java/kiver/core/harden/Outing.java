package kiver.core.harden;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import kiver.core.crop.Hardiness;
import kiver.core.growth.DaysOut;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;

/**
 * What becomes of a day of hardening by its forecast, for plants of a class on a day of their programme.
 *
 * @param byDay whether they go out
 * @param atNight where they spend the night that follows
 * @param because of what it is not as the programme says, the gravest first; empty where it is
 */
public record Outing(Day byDay, Night atNight, List<Cause> because) {

    /** Gusts that tip trays over and tear leaves, m/s: 62 km/h, Beaufort 8. */
    private static final double STORM = 17;

    /** Gusts that only plants used to wind take, m/s: 39 km/h, Beaufort 6. */
    private static final double WIND = 10.8;

    /** From so much rain on mix is washed out and leaves are beaten down, mm. */
    private static final double DOWNPOUR = 15;

    /** At such a chance of hail nobody leaves plants out. */
    private static final double HAIL_LIKELY = 0.25;

    /** Above this, soft leaves scorch in the afternoon sun, °C. */
    private static final double HOT_AFTERNOON = 26;

    /** Shares of sunshine above which a warm day is a fierce one. */
    private static final double SUNNY = 0.6;

    private static final int UNTIL_ONE_HOURS = 5;

    /** Where plants are by day. */
    public enum Day {
        /** Out, as the programme says. */
        OUT,
        /** Out, but in the lee and under a roof or in the shade. */
        SHELTERED,
        /** Out until one o'clock. */
        UNTIL_ONE,
        /** In. */
        IN
    }

    /** Where they are at night. */
    public enum Night {
        /** In, as the programme says or because it will be too cold. */
        IN,
        /** Out, under fleece. */
        FLEECE,
        /** Out, under a frost blanket. */
        FROST_BLANKET,
        /** Out. */
        OUT
    }

    /** Why a day is not as its programme says. */
    public enum Cause {
        STORM,
        HAIL,
        COLD_DAY,
        HEAT,
        AFTERNOON_SUN,
        WIND,
        DOWNPOUR,
        COLD_NIGHT
    }

    public Outing {
        Objects.requireNonNull(byDay);
        Objects.requireNonNull(atNight);
        because = List.copyOf(because);
    }

    /** Whether the day counts for the programme: plants were out, if only in the lee or until one. */
    public boolean counts() {
        return byDay != Day.IN;
    }

    /** Hours out of doors that are left of what the programme asks for; from eight o'clock until one are five. */
    public int hours(Exposure exposure) {
        return switch (byDay) {
            case IN -> 0;
            case UNTIL_ONE -> Math.min(UNTIL_ONE_HOURS, exposure.hours());
            case OUT, SHELTERED -> exposure.hours();
        };
    }

    /**
     * The advice for a day.
     *
     * @param hardiness of the crop
     * @param exposure that its programme asks for
     * @param soft whether the programme is not over yet
     * @param ahead forecast where they stand out
     */
    public static Outing on(Hardiness hardiness, Exposure exposure, boolean soft, DayAhead ahead) {
        List<Cause> because = new ArrayList<>();
        Day byDay = byDay(hardiness, exposure, soft, ahead, because);
        Night atNight = atNight(hardiness, exposure, soft, byDay, ahead.range().minimum(), because);
        return new Outing(byDay, atNight, because);
    }

    private static Day byDay(
            Hardiness hardiness, Exposure exposure, boolean soft, DayAhead ahead, List<Cause> because) {
        Sky sky = ahead.sky();
        double warmest = ahead.range().maximum();
        double gust = sky.gust().orElse(0);
        if (gust >= STORM) {
            because.add(Cause.STORM);
        }
        if (sky.hail().orElse(0) >= HAIL_LIKELY) {
            because.add(Cause.HAIL);
        }
        DaysOut daysOut = hardiness.daysOut();
        if (warmest < daysOut.warmestFrom() - (soft ? 0 : Hardiness.STILL_SOFT)) {
            because.add(Cause.COLD_DAY);
        }
        if (soft && warmest > daysOut.warmestTo()) {
            because.add(Cause.HEAT);
        }
        if (!because.isEmpty()) {
            return Day.IN;
        }
        // Where nothing is said of the sun, a warm day is taken for a sunny one.
        if (soft && warmest > HOT_AFTERNOON && sky.sun().orElse(1) > SUNNY) {
            because.add(Cause.AFTERNOON_SUN);
        }
        boolean blown = soft && !exposure.inWind() && gust >= WIND;
        if (blown) {
            because.add(Cause.WIND);
        }
        boolean beaten = soft && sky.rain().orElse(0) >= DOWNPOUR;
        if (beaten) {
            because.add(Cause.DOWNPOUR);
        }
        if (because.contains(Cause.AFTERNOON_SUN)) {
            return Day.UNTIL_ONE;
        }
        return blown || beaten ? Day.SHELTERED : Day.OUT;
    }

    private static Night atNight(
            Hardiness hardiness, Exposure exposure, boolean soft, Day byDay, double coldest, List<Cause> because) {
        if (exposure.night() == Exposure.Night.IN || byDay == Day.IN) {
            return Night.IN;
        }
        double floor = new NightOut(hardiness, soft, coldest).floor();
        if (coldest >= floor) {
            return exposure.night() == Exposure.Night.COVERED ? Night.FLEECE : Night.OUT;
        }
        because.add(Cause.COLD_NIGHT);
        if (coldest + Cover.FLEECE.worth() >= floor) {
            return Night.FLEECE;
        }
        return coldest + Cover.FROST_BLANKET.worth() >= floor ? Night.FROST_BLANKET : Night.IN;
    }
}
