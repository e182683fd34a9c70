package kiver.core.care;

import java.util.Collection;
import kiver.core.crop.CropCode;

/**
 * What weighings say of how fast trays of a crop dry, over all containers and places in which they were weighed.
 *
 * @param crop code
 * @param log logarithm of how many times as fast as worked out; positive is faster
 * @param deviation of it, standard, above 0
 * @param batches of which trays were weighed, 1 or more
 */
public record DryingLesson(CropCode crop, double log, double deviation, int batches) {

    /** How far the trays of one crop differ in a pace to which somebody held them, as a logarithm. */
    private static final double HELD = 0.12;

    /**
     * What groups of trays taught together, each by its precision.
     *
     * @param groups of the crop; not empty
     */
    public static DryingLesson of(CropCode crop, Collection<DryingPace> groups, int batches) {
        double precision = 0;
        double sum = 0;
        for (DryingPace group : groups) {
            double weight = 1 / (group.deviation() * group.deviation());
            precision += weight;
            sum += weight * Math.log(group.factor());
        }
        return new DryingLesson(crop, sum / precision, Math.sqrt(1 / precision), batches);
    }

    /** The pace of trays that somebody decided about: as he held them, whatever else is weighed. */
    public static DryingPace held(double log) {
        return new DryingPace(Math.exp(log), HELD);
    }
}
