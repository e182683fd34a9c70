package kiver.core.place;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;

/** Whether something that should send by itself still does. */
public enum SignOfLife {
    /** It was set up only lately and has not been heard of yet. */
    AWAITED,
    /** It was heard of within the time in which it usually is. */
    LATELY,
    /** It has not been heard of for longer: a battery, a cable, a changed password of the net. */
    SILENT;

    /**
     * What is to be thought of a device.
     *
     * @param heard the latest moment of which it sent anything; nothing when it never did
     * @param setUp when it was set up
     * @param patience for how long silence says nothing, more than zero
     */
    public static SignOfLife of(
            Optional<LocalDateTime> heard, LocalDateTime setUp, LocalDateTime now, Duration patience) {
        if (patience.compareTo(Duration.ZERO) <= 0) {
            throw new IllegalArgumentException(patience.toString());
        }
        LocalDateTime since = heard.orElse(setUp);
        if (since.plus(patience).isBefore(now)) {
            return SILENT;
        }
        return heard.isPresent() ? LATELY : AWAITED;
    }
}
