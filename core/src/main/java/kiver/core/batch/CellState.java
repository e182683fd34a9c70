package kiver.core.batch;

/**
 * A sown cell.
 *
 * @param seeds sown into it, 1 or more
 * @param seedlings counted last, 0 or more
 * @param condition what is true of it
 */
public record CellState(int seeds, int seedlings, CellCondition condition) {

    CellState with(CellCondition changed) {
        return new CellState(seeds, seedlings, changed);
    }

    CellState counted(int seedlingsNow) {
        return new CellState(
                seeds, seedlingsNow, seedlingsNow > 0 ? CellCondition.ALIVE : CellCondition.WAITING);
    }
}
