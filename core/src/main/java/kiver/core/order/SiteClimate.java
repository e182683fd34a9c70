package kiver.core.order;

import java.util.Objects;

/**
 * How a site differs from the weather station.
 *
 * @param offset K added to the station's temperatures, for example −3.4 for a terrace 520 m above it
 * @param protection over the plants
 */
public record SiteClimate(double offset, Protection protection) {

    /** K lost for each metre of height; International Standard Atmosphere (ISO 2533). */
    private static final double LAPSE_RATE = 0.0065;

    public SiteClimate {
        Objects.requireNonNull(protection);
        if (!(Math.abs(offset) <= 25)) {
            throw new IllegalArgumentException(
                    "A site's offset must lie within 25 K of the station, not " + offset + ".");
        }
    }

    /**
     * A site whose offset follows from its height.
     *
     * @param altitude m above the sea
     * @param stationAltitude m above the sea
     * @param protection over the plants
     */
    public static SiteClimate at(int altitude, int stationAltitude, Protection protection) {
        return new SiteClimate(-LAPSE_RATE * (altitude - stationAltitude), protection);
    }

    /** K that the lowest temperature at the plants lies above the station's. */
    public double nightOffset() {
        return offset + protection.nightGain();
    }

    /** K that the soil lies above what the station's air makes of open ground. */
    public double soilOffset() {
        return offset + protection.soilGain();
    }
}
