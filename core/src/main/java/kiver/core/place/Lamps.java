package kiver.core.place;

/**
 * Lamps over a place.
 *
 * @param flux photosynthetically active light at the leaves, µmol m⁻² s⁻¹, for example 150; 0 where there are none
 * @param hours a day in which they burn, 0 to 24
 * @param distance from the lamps to the leaves, mm, at which {@code flux} was measured or told; positive
 */
public record Lamps(double flux, double hours, double distance) {

    /** No lamps. */
    public static final Lamps NONE = new Lamps(0, 0, 300);

    /** Nothing that people would hang over seedlings gives more: full sun at noon has 2,000. */
    public static final double MOST_FLUX = 2000;

    /** What most people light for. */
    public static final double USUAL_HOURS = 16;

    /** Longer than that most seedlings get no night worth the name. */
    public static final double MOST_HOURS = 18;

    /** Nearer than that leaves grow into the lamps and scorch, mm. */
    public static final double NEAREST = 100;

    private static final double MOL_PER_MICROMOL_HOUR = 0.0036;

    public Lamps {
        if (!(flux >= 0 && flux <= MOST_FLUX) || !(hours >= 0 && hours <= 24) || !(distance > 0)) {
            throw new IllegalArgumentException("Lamps give 0 to 2000 µmol for 0 to 24 hours from a distance above 0.");
        }
    }

    /** Lamps that give so much in the usual hours, mol m⁻² d⁻¹. */
    public static Lamps giving(double light) {
        return light == 0 ? NONE : new Lamps(light / (USUAL_HOURS * MOL_PER_MICROMOL_HOUR), USUAL_HOURS, 300);
    }

    /** What they give in a day, mol m⁻² d⁻¹: 150 µmol for 16 hours are 8.64. */
    public double light() {
        return flux * hours * MOL_PER_MICROMOL_HOUR;
    }

    /**
     * The same lamps hung higher or lower.
     *
     * <p>Long lamps side by side over a shelf are a band of light, of which the flux falls as the distance grows (not as
     * its square, as from a single bulb): that of an infinite line. Over a wide field of lamps it falls less.
     */
    public Lamps at(double otherDistance) {
        return new Lamps(Math.min(MOST_FLUX, flux * distance / otherDistance), hours, otherDistance);
    }

    /** Hours a day that would give so much, mol m⁻² d⁻¹; infinite where there are no lamps. */
    public double hoursFor(double light) {
        return light / (flux * MOL_PER_MICROMOL_HOUR);
    }

    /** Distance, mm, at which they would give so much in the hours that they burn, mol m⁻² d⁻¹; 0 where they never do. */
    public double distanceFor(double light) {
        return distance * light() / light;
    }
}
