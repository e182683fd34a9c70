package kiver.core.weather;

/** Which part of the sky the light of a place comes from. */
public enum Aspect {
    /** From above: a roof of glass or film, or none. */
    OVERHEAD(Double.NaN),
    /** Through an upright pane that looks north. */
    NORTH(Math.PI),
    /** Through an upright pane that looks east. */
    EAST(-Math.PI / 2),
    /** Through an upright pane that looks south. */
    SOUTH(0),
    /** Through an upright pane that looks west. */
    WEST(Math.PI / 2);

    private final double azimuth;

    Aspect(double azimuth) {
        this.azimuth = azimuth;
    }

    /** Whether it is an upright pane. */
    public boolean isUpright() {
        return this != OVERHEAD;
    }

    /** Radians from south, west positive; not a number for light from above. */
    double azimuth() {
        return azimuth;
    }
}
