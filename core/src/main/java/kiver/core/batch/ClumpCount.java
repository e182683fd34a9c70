package kiver.core.batch;

import java.util.Collection;

/** Counts the seedlings of clumps that are never parted. */
final class ClumpCount {

    /** Of so many seeds a seedling may be expected where no clump was counted yet. */
    private static final double SEEDLINGS_TO_A_SEED = 0.8;

    private ClumpCount() {}

    /**
     * Seedlings in some cells; a clump that was only seen to be up counts as the clumps do that were counted.
     *
     * @param chosen cells
     * @param all cells of the batch, from which the usual clump is known
     */
    static int seedlings(Collection<CellState> chosen, Collection<CellState> all) {
        double sure = chosen.stream()
                .filter(CellState::isStandingKnown)
                .mapToInt(CellState::seedlings)
                .sum();
        long seen = chosen.stream().filter(cell -> !cell.isStandingKnown()).count();
        return (int) Math.round(sure + seen * usualClump(all));
    }

    private static double usualClump(Collection<CellState> all) {
        return all.stream()
                .filter(cell -> cell.seedlings() > 0 && cell.isStandingKnown())
                .mapToInt(CellState::seedlings)
                .average()
                .orElseGet(
                        () -> all.stream().mapToInt(CellState::seeds).average().orElse(1) * SEEDLINGS_TO_A_SEED);
    }
}
