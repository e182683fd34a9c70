package kiver.core.promise;

import java.time.LocalDate;
import kiver.core.crop.ContainerCode;
import kiver.core.order.Protection;
import org.jspecify.annotations.Nullable;

/**
 * Something near to what was asked for that would be a yes.
 *
 * @param change what is changed
 * @param target day then
 * @param plants then
 * @param container code then
 * @param site key then; empty while none was said
 * @param protection over the plants at the site then; null where it stays as it is
 * @param chance of it, 0 to 1
 */
public record Offer(
        Change change,
        LocalDate target,
        int plants,
        ContainerCode container,
        String site,
        @Nullable Protection protection,
        double chance) {

    /** What an offer changes. */
    public enum Change {
        DAY,
        QUANTITY,
        CONTAINER,
        SITE,
        PROTECTION
    }
}
