package kiver.server.order;

import com.fasterxml.jackson.annotation.JsonIgnore;
import jakarta.annotation.Nullable;
import java.time.LocalDate;

/**
 * Something that became of an order after it was taken.
 *
 * @param orderId of the order, in the database
 * @param position of the line it is about
 * @param day on which it was agreed
 * @param by who entered it, by name; empty for the nursery's simulated hands
 * @param kind of change
 * @param before plants, day or ways before; null where there was nothing
 * @param after plants, day or way after; null where nothing is left
 */
public record OrderChange(
        @JsonIgnore long orderId,
        int position,
        LocalDate day,
        String by,
        Kind kind,
        @Nullable String before,
        @Nullable String after) {

    /** Kinds of changes. */
    public enum Kind {
        LINE_ADDED,
        PLANTS_CHANGED,
        DAY_MOVED,
        LINE_CANCELLED,
        ROUTE_CHANGED
    }
}
