package kiver.core.harden;

import java.util.Arrays;
import java.util.List;
import kiver.core.crop.Hardiness;

/**
 * How plants are hardened off. Practice differs; the default follows the class of the crop and how warm it was
 * raised, and can be changed for each batch.
 */
public enum HardeningProgramme {
    /** Straight out: for hardy plants raised cool. Some do it with all, and lose a week of growth. */
    NONE(),
    /** A day in the lee, then out: enough, say some, even for tender plants on dull mild days. */
    DAY_OR_TWO(Exposure.shade(6), Exposure.night(Exposure.Night.COVERED)),
    /** Out by day and in at night. */
    BY_DAY(Exposure.shade(3), Exposure.sun(5), Exposure.sun(8), Exposure.wind(10), Exposure.wind(12)),
    /** A little longer each day, nights out at the end. */
    STEP_BY_STEP(
            Exposure.shade(1),
            Exposure.shade(2),
            Exposure.shade(3),
            Exposure.sun(5),
            Exposure.sun(7),
            Exposure.wind(9),
            Exposure.wind(11),
            Exposure.night(Exposure.Night.COVERED),
            Exposure.night(Exposure.Night.OUT));

    private static final double RAISED_WARM = 16;

    private final List<Exposure> exposures;

    HardeningProgramme(Exposure... exposures) {
        this.exposures = List.of(exposures);
    }

    /** Days it takes, 0 or more. */
    public int days() {
        return exposures.size();
    }

    /** What each of its days asks of the plants. */
    public List<Exposure> exposures() {
        return exposures;
    }

    /**
     * What one of its days asks of the plants.
     *
     * @param day counted from 1; days after the last ask for all
     */
    public Exposure on(int day) {
        return day > exposures.size() ? Exposure.ALL : exposures.get(Math.max(day, 1) - 1);
    }

    /** The one that takes so many days: that which was planned, or another of the same length; records keep days alone. */
    public static HardeningProgramme taking(int days, HardeningProgramme planned) {
        return planned.days() == days
                ? planned
                : Arrays.stream(values())
                        .filter(each -> each.days() == days)
                        .findFirst()
                        .orElse(planned);
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
