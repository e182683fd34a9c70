package kiver.core.batch;

/**
 * A cell that was sown, or that got a plant raised elsewhere.
 *
 * @param seeds sown into it, 1 or more
 * @param seedlings counted last, 0 or more; where only something was seen to be up, at least so many
 * @param onlySeen whether something was seen to be up without its seedlings being counted
 * @param condition what is true of it
 * @param sowing sequence of the sowing, or of the arrival, that its plant came from, wherever the plant stands now
 * @param mixed whether nobody is sure what its plant is
 */
public record CellState(
        int seeds, int seedlings, boolean onlySeen, CellCondition condition, int sowing, boolean mixed) {

    static CellState sown(int seeds, int sowing) {
        return new CellState(seeds, 0, false, CellCondition.WAITING, sowing, false);
    }

    static CellState broughtIn(int arrival) {
        return new CellState(1, 1, false, CellCondition.ALIVE, arrival, false);
    }

    CellState with(CellCondition changed) {
        return new CellState(seeds, seedlings, onlySeen, changed, sowing, mixed);
    }

    CellState counted(int seedlingsNow) {
        return new CellState(
                seeds,
                seedlingsNow,
                false,
                seedlingsNow > 0 ? CellCondition.ALIVE : CellCondition.WAITING,
                sowing,
                mixed);
    }

    /** Something is up; of a cell counted before, the count is kept. */
    CellState seenUp() {
        return seedlings > 0 ? this : new CellState(seeds, 1, seeds > 1, CellCondition.ALIVE, sowing, mixed);
    }

    CellState inDoubt(boolean doubtful) {
        return new CellState(seeds, seedlings, onlySeen, condition, sowing, doubtful);
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
