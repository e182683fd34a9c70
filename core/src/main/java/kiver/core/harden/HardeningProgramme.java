package kiver.core.harden;

import java.util.List;
import kiver.core.crop.Hardiness;

/**
 * How plants are hardened off. Practice differs; the default follows the class of the crop and how warm it was
 * raised, and can be changed for each batch.
 */
public enum HardeningProgramme {
    /** Straight out: for hardy plants raised cool. */
    NONE(0, List.of()),
    /** Out by day and in at night. */
    BY_DAY(5, List.of(3, 5, 8, 10, 12)),
    /** A little longer each day, nights out at the end. */
    STEP_BY_STEP(9, List.of(1, 2, 3, 5, 7, 9, 11, 24, 24));

    private static final double RAISED_WARM = 16;

    private final int days;
    private final List<Integer> hours;

    HardeningProgramme(int days, List<Integer> hours) {
        this.days = days;
        this.hours = hours;
    }

    /** Days it takes, 0 or more. */
    public int days() {
        return days;
    }

    /**
     * Hours out of doors on one of its days, 1 to 24.
     *
     * @param day counted from 1; days after the last are like the last
     */
    public int hoursOn(int day) {
        if (hours.isEmpty()) {
            return 24;
        }
        return hours.get(Math.min(Math.max(day, 1), hours.size()) - 1);
    }

    /**
     * The usual programme.
     *
     * @param hardiness of the crop
     * @param raisedAt °C, mean temperature at which it grew on
     */
    public static HardeningProgramme usualFor(Hardiness hardiness, double raisedAt) {
        return switch (hardiness) {
            case HARDY -> raisedAt > RAISED_WARM ? BY_DAY : NONE;
            case HALF_HARDY -> BY_DAY;
            case TENDER -> STEP_BY_STEP;
        };
    }
}
