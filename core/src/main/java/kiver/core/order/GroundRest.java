package kiver.core.order;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.growth.DateSpread;
import kiver.core.weather.StationRecord;

/**
 * The part of a winter in which the ground of a site is too cold for young plants to root.
 *
 * @param plantUntil the last day in autumn on which plants still have four weeks to root before the soil is colder than 5 °C,
 *     in nine of ten years
 * @param plantFrom the day in spring from which the soil is that warm again, in half of the years
 */
public record GroundRest(LocalDate plantUntil, LocalDate plantFrom) {

    /** Roots of hardy young plants grow on down to about this, °C. */
    public static final double ROOTS_GROW = 5;

    private static final int DAYS_TO_ROOT = 28;

    /**
     * The winter before the midsummer that comes next; empty where the ground never rests or never warms.
     *
     * @param site where
     * @param record of the station
     * @param day any day
     * @param northern whether the site lies north of the equator
     */
    public static Optional<GroundRest> about(SiteClimate site, StationRecord record, LocalDate day, boolean northern) {
        LocalDate season = FrostDates.midsummerOf(day, northern);
        LocalDate next = season.isAfter(day) ? season : season.plusYears(1);
        Optional<DateSpread> cold =
                SoilWarmth.cooled(record, site.soilOffset(), ROOTS_GROW, next.minusYears(1), northern);
        Optional<DateSpread> warm = SoilWarmth.reached(record, site.soilOffset(), ROOTS_GROW, next, northern);
        return cold.flatMap(autumn ->
                        warm.map(spring -> new GroundRest(autumn.early().minusDays(DAYS_TO_ROOT), spring.middle())))
                .filter(rest -> rest.plantUntil().isBefore(rest.plantFrom()));
    }

    /** Whether plants set out on a day would not root before spring. */
    public boolean holds(LocalDate day) {
        return day.isAfter(plantUntil) && day.isBefore(plantFrom);
    }
}
