package kiver.core.order;

import java.time.LocalDate;
import java.util.Objects;

/**
 * One wish of a grower.
 *
 * @param plants wanted, 1 to 100,000
 * @param stage wanted at release
 * @param target the day on which they are wanted
 */
public record OrderLine(int plants, LeafStage stage, LocalDate target) {

    /** More than this in one line is a typing error, or an order to be talked about. */
    public static final int MOST_PLANTS = 100_000;

    public OrderLine {
        Objects.requireNonNull(stage);
        Objects.requireNonNull(target);
        if (plants < 1 || plants > MOST_PLANTS) {
            throw new IllegalArgumentException("Plants must be from 1 to " + MOST_PLANTS + ", not " + plants + ".");
        }
    }
}
