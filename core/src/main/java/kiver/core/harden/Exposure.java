package kiver.core.harden;

/**
 * What a day of hardening asks of plants.
 *
 * @param hours out of doors, 1 to 24
 * @param inSun whether they stand in the sun; else in the shade
 * @param inWind whether wind reaches them; else they are sheltered
 * @param night where they spend the night that follows
 */
public record Exposure(int hours, boolean inSun, boolean inWind, Night night) {

    /** Where plants that harden spend a night. */
    public enum Night {
        /** Carried in. */
        IN,
        /** Out, under fleece. */
        COVERED,
        /** Out. */
        OUT
    }

    /** All that a hardened plant takes. */
    public static final Exposure ALL = new Exposure(24, true, true, Night.OUT);

    public Exposure {
        if (hours < 1 || hours > 24) {
            throw new IllegalArgumentException("Plants stand out for 1 to 24 hours of a day, not " + hours + ".");
        }
        if (night != Night.IN && hours < 24) {
            throw new IllegalArgumentException("Plants that spend the night out stand out for all 24 hours.");
        }
    }

    static Exposure shade(int hours) {
        return new Exposure(hours, false, false, Night.IN);
    }

    static Exposure sun(int hours) {
        return new Exposure(hours, true, false, Night.IN);
    }

    static Exposure wind(int hours) {
        return new Exposure(hours, true, true, Night.IN);
    }

    static Exposure night(Night night) {
        return new Exposure(24, true, true, night);
    }
}
