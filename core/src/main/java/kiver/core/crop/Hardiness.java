package kiver.core.crop;

/** What cold a hardened young plant stands; decides what may go out. */
public enum Hardiness {
    /** To about −6 °C once hardened. */
    HARDY(-6),
    /** Light frost harms it or makes it bolt. */
    HALF_HARDY(-1),
    /** No frost at all; growth is stunted well above freezing. */
    TENDER(3);

    private final double floor;

    Hardiness(double floor) {
        this.floor = floor;
    }

    /** The lowest night, °C, that a hardened plant of this class may be left out in. */
    public double floor() {
        return floor;
    }
}
