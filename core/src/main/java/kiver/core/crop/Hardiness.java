package kiver.core.crop;

/** What cold a hardened young plant stands; decides what may go out. */
public enum Hardiness {
    /** To about −6 °C once hardened. */
    HARDY(-6, -6, 2),
    /** Light frost harms it or makes it bolt. */
    HALF_HARDY(-1, -1, 6),
    /** No frost at all; growth is stunted well above freezing. */
    TENDER(3, 1, 13);

    private final double floor;
    private final double harmedAt;
    private final double stuntsBelow;

    Hardiness(double floor, double harmedAt, double stuntsBelow) {
        this.stuntsBelow = stuntsBelow;
        this.floor = floor;
        this.harmedAt = harmedAt;
    }

    /** The lowest night, °C, that a hardened plant of this class may be left out in. */
    public double floor() {
        return floor;
    }

    /** Nights below this, °C, leave no mark that is seen at once and cost growth for weeks. */
    public double stuntsBelow() {
        return stuntsBelow;
    }

    /**
     * The air temperature, °C, at or below which plants set out in the field are harmed: for tender ones 1, since
     * leaves are colder than the air above them on a clear night.
     */
    public double harmedAt() {
        return harmedAt;
    }
}
