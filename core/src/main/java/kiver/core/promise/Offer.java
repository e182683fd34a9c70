package kiver.core.promise;

import java.time.LocalDate;

/**
 * Something near to what was asked for that would be a yes.
 *
 * @param change what is changed
 * @param words of the change, for example "on Thu 20 May instead"
 * @param target day then
 * @param plants then
 * @param container code then
 * @param site key then; empty while none was said
 * @param chance of it, 0 to 1
 */
public record Offer(Change change, String words, LocalDate target, int plants, String container, String site, double chance) {

    /** What an offer changes. */
    public enum Change { DAY, QUANTITY, CONTAINER, SITE }
}
