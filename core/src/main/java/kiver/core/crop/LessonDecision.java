package kiver.core.crop;

/**
 * What somebody decided about a lesson.
 *
 * @param taken whether it is gone by; otherwise the figures are
 * @param value of it, in the unit of its matter
 * @param weight plants that it is worth, for survival; 0 otherwise
 */
public record LessonDecision(boolean taken, double value, double weight) {

    public LessonDecision {
        if (!Double.isFinite(value) || !(weight >= 0)) {
            throw new IllegalArgumentException("A lesson has a value.");
        }
    }
}
