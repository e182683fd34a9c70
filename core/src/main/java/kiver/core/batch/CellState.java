package kiver.core.batch;

/**
 * A cell that was sown, or that got a plant raised elsewhere.
 *
 * @param seeds sown into it, 1 or more
 * @param cameUp seedlings of its own seed that came up, as counted last, whatever became of them, 0 or more; where
 *     something was only seen to be up, at least so many
 * @param onlySeen whether something was seen to be up without its seedlings being counted
 * @param seedlings that stand in it, 0 or more; fewer than came up where it was thinned, more where one was pricked out
 *     into it
 * @param condition what is true of it
 * @param sowing sequence of the sowing, or of the arrival, that its plant came from, wherever the plant stands now
 * @param mixed whether nobody is sure what its plant is
 */
public record CellState(
        int seeds, int cameUp, boolean onlySeen, int seedlings, CellCondition condition, int sowing, boolean mixed) {

    static CellState sown(int seeds, int sowing) {
        return new CellState(seeds, 0, false, 0, CellCondition.WAITING, sowing, false);
    }

    static CellState broughtIn(int arrival) {
        return new CellState(1, 1, false, 1, CellCondition.ALIVE, arrival, false);
    }

    CellState with(CellCondition changed) {
        return new CellState(seeds, cameUp, onlySeen, seedlings, changed, sowing, mixed);
    }

    /** So many stand in it. What was taken out or put in before the count is no news of the seed. */
    CellState counted(int seedlingsNow) {
        int up = Math.max(isStandingKnown() ? cameUp + seedlingsNow - seedlings : seedlingsNow, 0);
        return new CellState(
                seeds,
                up,
                onlySeen && isStandingKnown(),
                seedlingsNow,
                seedlingsNow > 0 ? CellCondition.ALIVE : CellCondition.WAITING,
                sowing,
                mixed);
    }

    /** Something is up; of a cell counted before, the count is kept. */
    CellState seenUp() {
        return seedlings > 0 ? this : new CellState(seeds, 1, seeds > 1, 1, CellCondition.ALIVE, sowing, mixed);
    }

    /** So many are left; where nobody counted, one more than that had come up at least. */
    CellState thinnedTo(int left) {
        return new CellState(seeds, isStandingKnown() ? cameUp : left + 1, onlySeen, left, condition, sowing, mixed);
    }

    /** A seedling of another cell went into this one, in which nothing had come up. */
    CellState filledFrom(CellState giving) {
        return new CellState(seeds, cameUp, onlySeen, 1, CellCondition.ALIVE, giving.sowing, giving.mixed);
    }

    CellState inDoubt(boolean doubtful) {
        return new CellState(seeds, cameUp, onlySeen, seedlings, condition, sowing, doubtful);
    }

    /** Whether one knows how many stand in it: they were counted, or thinned to a number. */
    public boolean isStandingKnown() {
        return !onlySeen || cameUp != seedlings;
    }

    /** Whether it holds a plant that lives and of which one knows what it is. */
    public boolean livesUnderItsName() {
        return condition == CellCondition.ALIVE && !mixed;
    }

    /** Whether nobody knows what lives in it, or may yet come up there. */
    public boolean isInDoubt() {
        return mixed && (condition == CellCondition.ALIVE || condition == CellCondition.WAITING);
    }

    /** Whether it holds a plant that lives and of which nobody knows what it is. */
    public boolean livesMixed() {
        return condition == CellCondition.ALIVE && mixed;
    }
}
