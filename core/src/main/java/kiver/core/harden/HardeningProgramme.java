package kiver.core.harden;

import java.util.List;
import java.util.Optional;
import kiver.core.crop.Hardiness;

/**
 * How plants are hardened off. Practice differs: four schools stand here, and a nursery writes down programmes of its
 * own. The default follows the class of the crop and how warm and dark it was raised, and can be changed for each batch.
 *
 * @param code of a school, or of the nursery's own programme
 * @param name that the nursery gave it; empty for a school, which every language calls by its own
 * @param exposures what each of its days asks of the plants, at most {@value #MOST_DAYS}
 */
public record HardeningProgramme(String code, String name, List<Exposure> exposures) {

    /** The longest programme, days. */
    public static final int MOST_DAYS = 30;

    /** Straight out: for hardy plants raised cool. Some do it with all, and lose a week of growth. */
    public static final HardeningProgramme NONE = of("NONE");

    /** A day in the lee, then out: enough, say some, even for tender plants on dull mild days. */
    public static final HardeningProgramme DAY_OR_TWO =
            of("DAY_OR_TWO", Exposure.shade(6), Exposure.night(Exposure.Night.COVERED));

    /** Out by day and in at night. */
    public static final HardeningProgramme BY_DAY =
            of("BY_DAY", Exposure.shade(3), Exposure.sun(5), Exposure.sun(8), Exposure.wind(10), Exposure.wind(12));

    /** A little longer each day, nights out at the end. */
    public static final HardeningProgramme STEP_BY_STEP = of(
            "STEP_BY_STEP",
            Exposure.shade(1),
            Exposure.shade(2),
            Exposure.shade(3),
            Exposure.sun(5),
            Exposure.sun(7),
            Exposure.wind(9),
            Exposure.wind(11),
            Exposure.night(Exposure.Night.COVERED),
            Exposure.night(Exposure.Night.OUT));

    /** From the shortest to the longest. */
    public static final List<HardeningProgramme> SCHOOLS = List.of(NONE, DAY_OR_TWO, BY_DAY, STEP_BY_STEP);

    /** Raised so much warmer than it is outside, K, hardy plants are used to it by day. */
    private static final double WARMER = 4;

    /** From this on, K, as in a heated house in spring, plants are soft. */
    private static final double MUCH_WARMER = 8;

    /** The same for plants that light frost harms, K. */
    private static final double TOO_WARM_FOR_HALF_HARDY = 5;

    /** Raised on less of the light they need, leaves are thin and scorch soon. */
    private static final double RAISED_DARK = 0.7;

    public HardeningProgramme {
        exposures = List.copyOf(exposures);
        if (code.isBlank() || exposures.size() > MOST_DAYS) {
            throw new IllegalArgumentException("A programme has a code and at most " + MOST_DAYS + " days.");
        }
    }

    private static HardeningProgramme of(String code, Exposure... exposures) {
        return new HardeningProgramme(code, "", List.of(exposures));
    }

    /** The school of that code, if it is one. */
    public static Optional<HardeningProgramme> school(String code) {
        return SCHOOLS.stream().filter(each -> each.code.equals(code)).findFirst();
    }

    /** Days it takes, 0 or more. */
    public int days() {
        return exposures.size();
    }

    /**
     * What one of its days asks of the plants.
     *
     * @param day counted from 1; days after the last ask for all
     */
    public Exposure on(int day) {
        return day > exposures.size() ? Exposure.ALL : exposures.get(Math.max(day, 1) - 1);
    }

    /** The one that takes so many days: that which was planned, or a school of the same length; records keep days alone. */
    public static HardeningProgramme taking(int days, HardeningProgramme planned) {
        return planned.days() == days
                ? planned
                : SCHOOLS.stream()
                        .filter(each -> each.days() == days)
                        .findFirst()
                        .orElse(planned);
    }

    /**
     * The usual programme: by class, and a longer one for what was raised much warmer than it will stand, or dark. That it
     * loses fewer plants than a shorter one is shown by the benchmark of the schools; in summer, when it is as warm outside
     * as in, less will do.
     *
     * @param hardiness of the crop
     * @param warmer K by which the place where it grew is warmer than where it goes, both as means
     * @param light that it had, as a share of what it needs; 1 or more where it had enough
     */
    public static HardeningProgramme usualFor(Hardiness hardiness, double warmer, double light) {
        boolean dark = light < RAISED_DARK;
        return switch (hardiness) {
            case HARDY ->
                warmer >= MUCH_WARMER || warmer >= WARMER && dark
                        ? STEP_BY_STEP
                        : warmer >= WARMER || dark ? BY_DAY : NONE;
            case HALF_HARDY -> warmer >= TOO_WARM_FOR_HALF_HARDY || dark ? STEP_BY_STEP : BY_DAY;
            case TENDER -> STEP_BY_STEP;
        };
    }
}
