package kiver.core.crop;

import kiver.core.growth.DaysOut;

/** What cold a hardened young plant stands; decides what may go out. */
public enum Hardiness {
    /** To about −6 °C once hardened. */
    HARDY(-6, -6, 2),
    /** Light frost harms it or makes it bolt. */
    HALF_HARDY(-1, -1, 6),
    /** No frost at all; growth is stunted well above freezing. */
    TENDER(3, 1, 13);

    /** A plant not hardened yet stands this much less cold than a hardened one, K. */
    public static final double STILL_SOFT = 3;

    /** A day must be so much warmer than what they stand, K, for plants to gain by it. */
    private static final double WORTH_IT = 2;

    /** Above this, soft leaves scorch all day, °C. */
    private static final double SCORCHING = 30;

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

    /** Days on which plants of this class that are not hardened yet gain by going out. */
    public DaysOut daysOut() {
        return new DaysOut(floor + STILL_SOFT + WORTH_IT, SCORCHING);
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
