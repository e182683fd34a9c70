package kiver.core.media;

import java.time.LocalDate;

/**
 * A mix as one makes it.
 *
 * @param code it goes by
 * @param name as people say it
 * @param use what it is for
 * @param composition what goes in
 * @param handling how it is made ready and filled
 * @param life whether life is in it, which feeds and which can bring rot
 * @param reserveDays days after emergence until seedlings in it want feeding, 0 to 200: about 14 where nothing is in it,
 *     two weeks more with compost, two to four more with slow feeds
 */
public record Recipe(
        RecipeCode code, String name, Use use, Composition composition, Handling handling, Life life, int reserveDays) {

    private static final int LONGEST_RESERVE = 200;

    /** What a mix is for. */
    public enum Use {
        SOWING,
        POTTING,
        BLOCKS
    }

    /** Schools differ: clean holds no rot and no food, alive holds both. */
    public enum Life {
        CLEAN,
        ALIVE
    }

    public Recipe {
        if (reserveDays < 0 || reserveDays > LONGEST_RESERVE) {
            throw new IllegalArgumentException("A mix cannot feed for " + reserveDays + " days.");
        }
    }

    /** The day from which seedlings in it want feeding. */
    public LocalDate firstFeed(LocalDate emerged) {
        return emerged.plusDays(reserveDays);
    }

    /**
     * Litres of base that give so much mix, ready to be filled.
     *
     * @param litres of mix, 0 or more
     */
    public double baseFor(double litres) {
        return litres / (1 - handling.shrinkage()) / composition.total(1);
    }
}
