package kiver.core.weather;

import java.time.LocalDate;

/**
 * What a place sees of the sky: where its glass looks, and when no hill, house or tree stands between it and the sun.
 *
 * <p>Reference: the sun's beam on an upright pane by its angle of incidence, Duffie and Beckman (2013), Solar Engineering
 * of Thermal Processes, equation 1.6.2, held to the sky of a day as a whole; the day's diffuse share by Erbs, Klein and
 * Duffie (1982), Solar Energy 28, 293; sky and ground seen by an upright pane as Liu and Jordan (1962): half of each,
 * the ground throwing back a fifth.
 *
 * @param aspect where the light comes from
 * @param sunFrom hour of solar time (noon when the sun stands highest) from which the sun reaches it, 0 to 24
 * @param sunUntil hour until which it does, not before {@code sunFrom}
 */
public record SkyView(Aspect aspect, double sunFrom, double sunUntil) {

    /** Light from above, all day. */
    public static final SkyView OPEN = new SkyView(Aspect.OVERHEAD, 0, 24);

    private static final double GROUND_THROWS_BACK = 0.2;
    private static final int STEPS = 48;

    public SkyView {
        if (!(sunFrom >= 0 && sunUntil >= sunFrom && sunUntil <= 24)) {
            throw new IllegalArgumentException("The sun comes from an hour from 0 on and goes before 24.");
        }
    }

    /** Whether nothing is between it and the whole sky. */
    public boolean isOpen() {
        return equals(OPEN);
    }

    /**
     * Share of the light of an open, level spot that falls on what is behind the pane or under the roof; above 1 where an
     * upright pane looks at a low sun.
     *
     * @param latitude degrees, north positive
     * @param day the date
     * @param clearness share of the light above the air that reaches the ground, 0 to 0.75
     */
    public double share(double latitude, LocalDate day, double clearness) {
        return isOpen() ? 1 : share(beam(latitude, day), latitude, day, clearness);
    }

    /** The same with the {@link #beam}, which depends on the day of the year alone, at hand. */
    public double share(double beam, double latitude, LocalDate day, double clearness) {
        double diffuse = diffuseShare(Daylight.dayLength(latitude, day), clearness);
        return aspect.isUpright()
                ? (1 - diffuse) * beam + diffuse / 2 + GROUND_THROWS_BACK / 2
                : (1 - diffuse) * beam + diffuse;
    }

    /** What the pane gets of the sun's beam, by what a level spot gets in all of the day; 0 where the sun does not rise. */
    public double beam(double latitude, LocalDate day) {
        double declination = Daylight.declination(day);
        double phi = Math.toRadians(latitude);
        double sunset = Daylight.sunsetAngle(phi, declination);
        double level = 2
                * (sunset * Math.sin(declination) * Math.sin(phi)
                        + Math.cos(declination) * Math.cos(phi) * Math.sin(sunset));
        double from = Math.max(-sunset, Math.toRadians(15 * (sunFrom - 12)));
        double step = Math.max(0, Math.min(sunset, Math.toRadians(15 * (sunUntil - 12))) - from) / STEPS;
        double here = 0;
        for (int at = 0; at < STEPS; at++) {
            double angle = from + (at + 0.5) * step;
            double onLevel =
                    Math.sin(declination) * Math.sin(phi) + Math.cos(declination) * Math.cos(phi) * Math.cos(angle);
            here += step * (aspect.isUpright() ? Math.max(0, onPane(phi, declination, angle)) : onLevel);
        }
        return level <= 0 ? 0 : here / level;
    }

    /** Cosine of the angle at which the sun meets an upright pane. */
    private double onPane(double phi, double declination, double hourAngle) {
        double gamma = aspect.azimuth();
        return -Math.sin(declination) * Math.cos(phi) * Math.cos(gamma)
                + Math.cos(declination) * Math.sin(phi) * Math.cos(gamma) * Math.cos(hourAngle)
                + Math.cos(declination) * Math.sin(gamma) * Math.sin(hourAngle);
    }

    /** Share of a day's light that comes from all of the sky, not straight from the sun. */
    private static double diffuseShare(double dayLength, double clearness) {
        boolean winter = dayLength <= 10.85;
        double clear = Math.min(clearness, winter ? 0.715 : 0.722);
        return winter
                ? 1 + clear * (-0.2727 + clear * (2.4495 + clear * (-11.9514 + clear * 9.3879)))
                : 1 + clear * (0.2832 + clear * (-2.5557 + clear * 0.8448));
    }
}
