package kiver.server.clock;

import java.time.LocalDate;
import java.time.ZoneId;

/**
 * The nursery of this database.
 *
 * @param name of the nursery
 * @param latitude degrees, north positive
 * @param stationAltitude of the weather station, m above the sea
 * @param demo whether it holds demonstration data
 * @param demoToday the day on the demonstration's clock; null in a real nursery
 * @param telephone where growers ring; empty for none
 * @param timeZone in which its days begin, for example "Europe/Paris"
 */
public record Nursery(
        String name,
        double latitude,
        int stationAltitude,
        boolean demo,
        LocalDate demoToday,
        String telephone,
        String timeZone) {

    /** The zone by its rules. */
    public ZoneId zone() {
        return ZoneId.of(timeZone);
    }
}
