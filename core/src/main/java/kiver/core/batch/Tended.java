package kiver.core.batch;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * Something was done to all living plants of a batch that leaves their number as it is.
 *
 * @param step what
 */
public record Tended(Step step) implements BatchChange {

    /** What can be done. */
    public enum Step {
        /** The tops were brushed with a hand or a rod. */
        BRUSHED,
        /** The growing tips were taken out. */
        PINCHED,
        /** Early flowers were taken off. */
        FLOWERS_OFF
    }

    public Tended {
        Objects.requireNonNull(step);
    }

    /** The last day on which it was done to a batch, as far as its record stands. */
    public static Optional<LocalDate> last(BatchState state, Step step) {
        return state.changes().stream()
                .filter(recorded -> recorded.change() instanceof Tended tended
                        && tended.step() == step
                        && !state.isCorrected(recorded.sequence()))
                .map(RecordedChange::day)
                .max(LocalDate::compareTo);
    }
}
