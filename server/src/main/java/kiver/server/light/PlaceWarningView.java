package kiver.server.light;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import kiver.core.place.PlaceWarning;

/**
 * A warning as it goes out.
 *
 * @param until for cold, when it is expected to be as cold again; for heat, when it is expected to be over; missing where neither
 *     is expected, or it is the place itself
 */
public record PlaceWarningView(
        PlaceWarning.Kind kind,
        double celsius,
        double limit,
        LocalDateTime since,
        @Nullable LocalDateTime until,
        List<Integer> batches) {

    public static PlaceWarningView of(PlaceWarning warning) {
        return new PlaceWarningView(
                warning.kind(),
                warning.celsius(),
                warning.limit(),
                warning.since(),
                warning.until().orElse(null),
                warning.batches());
    }
}
