package kiver.core.plan;

import java.time.LocalDate;
import java.util.Optional;

/**
 * How plants of a plan stand over winter, and the two spans in which they can go out.
 *
 * @param restsFrom the day from which they make next to no leaves where they stand
 * @param growsFrom the day on which they begin again
 * @param autumn when they can go out before winter
 * @param spring when they can go out after it
 */
public record WinterStand(LocalDate restsFrom, LocalDate growsFrom, Optional<Span> autumn, Optional<Span> spring) {

    /** Days, both inclusive. */
    public record Span(LocalDate from, LocalDate until) {

        static Optional<Span> of(LocalDate from, LocalDate until) {
            return from.isAfter(until) ? Optional.empty() : Optional.of(new Span(from, until));
        }
    }
}
