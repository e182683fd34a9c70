package kiver.core.outlook;

import java.util.Optional;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.emerge.ExpectedShare;

/**
 * How a batch comes up.
 *
 * @param course what temperatures did to it; empty before sowing
 * @param watch on its emergence; empty before sowing, and for plants that were raised elsewhere
 * @param expectedUp cells that should show something by this morning, 0 or more
 * @param verdict on its emergence
 */
public record Emerging(
        Optional<BatchCourse> course, Optional<EmergenceWatch> watch, double expectedUp, EmergenceVerdict verdict) {

    static final Emerging UNKNOWN = nothing(EmergenceVerdict.TOO_SOON_TO_TELL);

    /** Cells that should have shown something on the day of the last count; 0 before one. */
    public double expectedAtCount() {
        return watch.flatMap(EmergenceWatch::expectedAtLastCount)
                .map(ExpectedShare::middle)
                .orElse(0.0);
    }

    static Emerging nothing(EmergenceVerdict verdict) {
        return new Emerging(Optional.empty(), Optional.empty(), 0, verdict);
    }
}
