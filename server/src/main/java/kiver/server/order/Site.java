package kiver.server.order;

import jakarta.annotation.Nullable;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;

/**
 * A place where a grower plants.
 *
 * @param id number
 * @param growerId whose it is
 * @param name unique for the grower
 * @param altitude m above the sea
 * @param protection over the plants
 * @param temperatureOffset K from the station; null where it follows from the altitude
 */
public record Site(
        long id,
        long growerId,
        String name,
        int altitude,
        Protection protection,
        @Nullable Double temperatureOffset) {

    /** How it differs from a station at that height. */
    public SiteClimate climate(int stationAltitude) {
        return temperatureOffset == null
                ? SiteClimate.at(altitude, stationAltitude, protection)
                : new SiteClimate(temperatureOffset, protection);
    }
}
