package kiver.core.sow;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.batch.BatchProjection;
import kiver.core.seed.CountLesson;
import kiver.core.seed.LotId;

/** What the cells of a batch that was counted to the end teach of the seed lots it was sown from. */
public final class LotLessons {

    private LotLessons() {}

    /**
     * Cells that were sown and counted alike.
     *
     * @param lot that they were sown from
     * @param seeds in each, 1 or more
     * @param cameUp seedlings of their own seed that came up in each, 0 or more
     * @param onlySeen whether something was seen to be up without being counted
     * @param cells how many there are, 1 or more
     */
    public record CountedCells(LotId lot, int seeds, int cameUp, boolean onlySeen, int cells) {}

    /** The sown cells of a batch; plants that were bought in came up elsewhere and teach nothing of any seed. */
    public static List<CountedCells> cellsOf(BatchProjection batch) {
        Set<Integer> sowings = batch.origins().stream()
                .filter(origin -> origin.seeds() > 0)
                .map(BatchProjection.Origin::sequence)
                .collect(Collectors.toSet());
        return batch.cells().stream()
                .filter(cells -> sowings.contains(cells.state().sowing()))
                .map(cells -> new CountedCells(
                        cells.lot(),
                        cells.state().seeds(),
                        cells.state().cameUp(),
                        cells.state().onlySeen(),
                        cells.run().length()))
                .toList();
    }

    /**
     * What they teach of each lot. Where a seed is a cluster, or something was only seen to be up, a cell says no more than
     * that something came up.
     */
    public static Map<LotId, CountLesson> of(Collection<CountedCells> counted) {
        Map<LotId, CountLesson> lessons = new HashMap<>();
        counted.stream()
                .collect(Collectors.groupingBy(CountedCells::lot))
                .forEach((lot, cells) -> lessons.put(lot, lesson(cells)));
        return lessons;
    }

    private static CountLesson lesson(List<CountedCells> counted) {
        int up = 0;
        int failed = 0;
        Map<Integer, Integer> seen = new TreeMap<>();
        for (CountedCells cell : counted) {
            if (cell.cameUp() == 0) {
                failed += cell.cells() * cell.seeds();
            } else if (cell.onlySeen() || cell.cameUp() > cell.seeds()) {
                seen.merge(cell.seeds(), cell.cells(), Integer::sum);
            } else {
                up += cell.cells() * cell.cameUp();
                failed += cell.cells() * (cell.seeds() - cell.cameUp());
            }
        }
        return new CountLesson(up, failed, seen);
    }
}
