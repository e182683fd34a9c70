package kiver.core.media;

/** Why a recipe is none. */
public sealed interface RecipeFault {

    /** There is nothing to begin with: a base needs at least one part above 0. */
    record NoBase() implements RecipeFault {}

    /** So many parts of something cannot be measured: they are more than 0 and at most {@code most}. */
    record PartsOutOfRange(String ingredient, double parts, int most) implements RecipeFault {}

    /** An addition is more than nothing and at most the whole: a share of 0 to 1. */
    record ShareOutOfRange(int addition, double share) implements RecipeFault {}

    /** An addition of nothing in particular. */
    record NothingAdded(int addition) implements RecipeFault {}

    /** Something stands twice in the base or twice in one addition. */
    record NamedTwice(String ingredient) implements RecipeFault {}

    /** A recipe of more pieces than anybody measures. */
    record TooMany(int pieces, int most) implements RecipeFault {}
}
