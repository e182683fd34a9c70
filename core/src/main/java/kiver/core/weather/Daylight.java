package kiver.core.weather;

import java.time.LocalDate;

/**
 * Light from the sky at a latitude.
 *
 * <p>Reference: extraterrestrial radiation by Allen, Pereira, Raes and Smith (1998), FAO Irrigation and Drainage
 * Paper 56, equations 21 to 25; what reaches the ground by their equation 50 (Hargreaves and Samani), from the day's
 * swing; 2.04 mol of photosynthetically active light per MJ of global radiation (Meek et al. 1984).
 */
public final class Daylight {

    private static final double SOLAR_CONSTANT = 0.0820;
    private static final double HARGREAVES_INLAND = 0.16;
    private static final double CLEAR_SKY_SHARE = 0.75;
    private static final double MOL_PER_MEGAJOULE = 2.04;

    private Daylight() {}

    /**
     * The daily light integral outdoors, mol m⁻² d⁻¹; about 5 in a dull December and 45 on a clear June day at 46°.
     *
     * @param latitude degrees, north positive, −90 to 90
     * @param day the date
     * @param range the day's temperatures, whose swing tells how bright it was
     */
    public static double lightOutdoors(double latitude, LocalDate day, DailyRange range) {
        return MOL_PER_MEGAJOULE * clearness(range) * extraterrestrialRadiation(latitude, day);
    }

    /** Share of the light above the air that reaches the ground on a day of such temperatures, 0 to 0.75. */
    public static double clearness(DailyRange range) {
        return Math.min(CLEAR_SKY_SHARE, HARGREAVES_INLAND * Math.sqrt(range.swing()));
    }

    /**
     * Hours from sunrise to sunset, 0 to 24. FAO-56 equation 34; its example 9: 20° south, 3 September, 11.7.
     *
     * @param latitude degrees, north positive, −90 to 90
     * @param day the date
     */
    public static double dayLength(double latitude, LocalDate day) {
        return 24 / Math.PI * sunsetAngle(Math.toRadians(latitude), declination(day));
    }

    /** How far the sun stands north of the equator, radians; FAO-56 equation 24. */
    static double declination(LocalDate day) {
        return 0.409 * Math.sin(2 * Math.PI * day.getDayOfYear() / 365 - 1.39);
    }

    /** Radiation at the top of the atmosphere, MJ m⁻² d⁻¹; FAO-56 example 8: 20° south, 3 September, 32.2. */
    static double extraterrestrialRadiation(double latitude, LocalDate day) {
        double angle = 2 * Math.PI * day.getDayOfYear() / 365;
        double distance = 1 + 0.033 * Math.cos(angle);
        double declination = declination(day);
        double phi = Math.toRadians(latitude);
        double sunset = sunsetAngle(phi, declination);
        return 24
                * 60
                / Math.PI
                * SOLAR_CONSTANT
                * distance
                * (sunset * Math.sin(phi) * Math.sin(declination)
                        + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset));
    }

    /** The hour angle of sunset; where the sun does not set it is half the circle, where it does not rise nothing. */
    static double sunsetAngle(double phi, double declination) {
        return Math.acos(Math.min(1, Math.max(-1, -Math.tan(phi) * Math.tan(declination))));
    }
}
