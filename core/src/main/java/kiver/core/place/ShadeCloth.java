package kiver.core.place;

/**
 * A cloth, fleece or whitewash against fierce sun.
 *
 * @param takes share of the daylight that it takes, 0 (none there) to 0.95
 * @param above mol m⁻² d⁻¹ of daylight at the leaves from which it is drawn for the day; positive
 */
public record ShadeCloth(double takes, double above) {

    /** None there. */
    public static final ShadeCloth NONE = new ShadeCloth(0, 1000);

    public ShadeCloth {
        if (!(takes >= 0 && takes <= 0.95) || !(above > 0)) {
            throw new IllegalArgumentException("A cloth takes 0 to 0.95 of the light, and is drawn above some light.");
        }
    }

    /** Whether there is one. */
    public boolean isThere() {
        return takes > 0;
    }

    /** Whether it is drawn on a day with so much daylight at the leaves, mol m⁻² d⁻¹. */
    public boolean isDrawn(double daylight) {
        return isThere() && daylight > above;
    }

    /** What is left of so much daylight at the leaves, mol m⁻² d⁻¹; never less than what it would be drawn above, less its share. */
    public double under(double daylight) {
        return isDrawn(daylight) ? daylight * (1 - takes) : daylight;
    }
}
