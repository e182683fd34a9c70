package kiver.core.plan;

/**
 * Something that stands in the way of a wish.
 *
 * @param kind from a closed set
 * @param prevents whether the wish cannot be met at all; otherwise it is a caution
 * @param message what is wrong and what could be done, in growers' words
 */
public record Obstacle(Kind kind, boolean prevents, String message) {

    /** The kinds of obstacle. */
    public enum Kind {
        /** The target date lies beyond the days that can be looked at. */
        TOO_FAR_AHEAD,
        /** Plants sown today would not be ready by the target date. */
        TOO_LATE_TO_SOW,
        /** Where the seed would lie it is never warm or cool enough. */
        NEVER_EMERGES,
        /** Where seedlings grow on they never make the leaves wanted. */
        NEVER_GROWS,
        /** Plants are past the container's limit before they are hardened. */
        OUTGROWS_CONTAINER,
        /** No lot of this variety is in the store. */
        NO_SEED,
        /** The lot holds fewer seeds than are needed. */
        TOO_LITTLE_SEED,
        /** The seed lies deeper than the cell allows. */
        CELL_TOO_SHALLOW,
        /** Ready in time in fewer than four scenarios of five. */
        LOW_CHANCE,
        /** Seedlings would stretch for want of light. */
        LEGGY,
        /** Frost would harm them at the site after the target date. */
        FROST_AT_SITE,
        /** The soil at the site is still too cold for them. */
        COLD_SOIL,
        /** Planted on the target date they would not be done before frost and dark. */
        TOO_LATE_FOR_AUTUMN,
        /** The crop is better sown in place. */
        BETTER_SOWN_IN_PLACE,
        /** A pot is too large for the plug. */
        POT_TOO_LARGE,
        /** Places are full on some of the days. */
        NO_ROOM
    }
}
