package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.CountLesson;
import kiver.core.seed.LotId;
import kiver.core.sow.LotLessons;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ThinnedAndMovedTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final LotId LOT = new LotId(7);
    private static final TrayId ONE = new TrayId(1);
    private static final TrayId TWO = new TrayId(2);

    /** Six cells of two seeds: two came in the first, one in the second, something in the third, nothing in the rest. */
    private static BatchState counted() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(ONE, 1, 6), 2, LOT, "Mix", new PlaceId(1)))
                .after(
                        DAY.plusDays(8),
                        new BatchChange.Counted(ONE, Map.of(1, 2, 2, 1, 4, 0, 5, 0, 6, 0), List.of(3), true));
    }

    private static CountLesson lesson(BatchState state) {
        return LotLessons.of(LotLessons.cellsOf(BatchProjection.of(state).orElseThrow()))
                .get(LOT);
    }

    @Test
    void thinningTakesSeedlingsAndTeachesNothingNewOfTheSeed() {
        BatchState thinned = counted().after(DAY.plusDays(12), new BatchChange.Thinned(ONE, List.of(1, 3), 1));
        assertThat(lesson(thinned)).isEqualTo(lesson(counted()));
        assertThat(thinned.balance()).isEqualTo(counted().balance());
        assertThat(thinned.plants(Set.of(CellCondition.ALIVE), true)).isEqualTo(3);
        assertThat(thinned.emerged()).isEqualTo(3);
        BatchState again = thinned.after(DAY.plusDays(14), new BatchChange.Counted(ONE, Map.of(1, 1), false));
        assertThat(lesson(again)).isEqualTo(lesson(counted()));
    }

    @Test
    void whatCannotBeThinnedIsSaid() {
        assertRefused(counted(), new BatchChange.Thinned(ONE, List.of(2), 1), new ChangeFault.NothingToThin(2, 1, 1));
        assertRefused(counted(), new BatchChange.Thinned(ONE, List.of(5), 1), new ChangeFault.NoPlantInCell(5));
        assertThatThrownBy(() -> new BatchChange.Thinned(ONE, List.of(1), 0)).isInstanceOf(ChangeRefused.class);
    }

    @Test
    void aDoubleFillsAnEmptyCellAndTheSeedOfThatCellStaysFailed() {
        BatchState pricked =
                counted().after(DAY.plusDays(12), new BatchChange.PrickedOut(ONE, List.of(1), ONE, List.of(5)));
        assertThat(pricked.balance()).isEqualTo(new Balance(6, 0, 2, 4, 0, 0));
        assertThat(lesson(pricked)).isEqualTo(lesson(counted()));
        assertThat(pricked.emerged()).isEqualTo(3);
        assertRefused(
                pricked,
                new BatchChange.PrickedOut(ONE, List.of(1), ONE, List.of(6)),
                new ChangeFault.OnlyOneSeedling(1));
        assertRefused(
                counted(),
                new BatchChange.PrickedOut(ONE, List.of(1), ONE, List.of(2)),
                new ChangeFault.CellNotGivenUp(2));
        BatchState gone =
                pricked.after(DAY.plusDays(40), new BatchChange.Released(501, new LineId(1), ONE, List.of(1, 2, 3, 5)));
        assertThat(gone.balance()).isEqualTo(new Balance(6, 0, 2, 0, 0, 4));
        assertThat(lesson(gone)).isEqualTo(lesson(counted()));
    }

    @Test
    void aDoubleDoesNotStandInForAnotherLot() {
        BatchState twoLots = counted()
                .after(DAY, new BatchChange.Sown(new CellRun(ONE, 7, 8), 1, new LotId(8), "Mix", new PlaceId(1)))
                .after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(), true));
        assertRefused(
                twoLots,
                new BatchChange.PrickedOut(ONE, List.of(1), ONE, List.of(7)),
                new ChangeFault.CellOfAnotherLot(7));
    }

    @Test
    void gapsGoWhereThePlantsCameFromAndTheAccountStaysEven() {
        BatchState closed = counted()
                .after(DAY.plusDays(12), new BatchChange.Lost(ONE, List.of(2), LossReason.SLUGS))
                .after(DAY.plusDays(12), new BatchChange.CellsMoved(ONE, List.of(3), ONE, List.of(2)));
        assertThat(closed.balance()).isEqualTo(new Balance(6, 0, 3, 2, 1, 0));
        assertThat(closed.cellsIn(ONE, CellCondition.ALIVE)).containsExactly(1, 2);
        assertThat(closed.cellsIn(ONE, CellCondition.LOST)).containsExactly(3);
        assertThat(lesson(closed)).isEqualTo(lesson(counted()));
    }

    @Test
    void twoPlantsChangePlaces() {
        BatchState swapped =
                counted().after(DAY.plusDays(12), new BatchChange.CellsMoved(ONE, List.of(1, 2), ONE, List.of(2, 1)));
        assertThat(swapped.cells().get(new Cell(ONE, 1)).seedlings()).isEqualTo(1);
        assertThat(swapped.cells().get(new Cell(ONE, 2)).seedlings()).isEqualTo(2);
    }

    @Test
    void whatIsUpGoesToAnotherTrayAndTheRestIsStillWaitedFor() {
        BatchState waiting = BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(ONE, 1, 4), 1, LOT, "Mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(ONE, Map.of(1, 1, 2, 1), false))
                .after(DAY.plusDays(8), new BatchChange.CellsMoved(ONE, List.of(1, 2), TWO, List.of(1, 2)))
                .after(DAY.plusDays(8), new BatchChange.Moved(new PlaceId(2), List.of(TWO)));
        assertThat(waiting.balance()).isEqualTo(new Balance(4, 2, 0, 2, 0, 0));
        assertThat(waiting.isCompletelyCounted()).isFalse();
        assertThat(waiting.placeOf(ONE)).contains(new PlaceId(1));
        assertThat(waiting.placeOf(TWO)).contains(new PlaceId(2));
        BatchState ended = waiting.after(DAY.plusDays(20), new BatchChange.Counted(ONE, Map.of(), true));
        assertThat(ended.isCompletelyCounted()).isTrue();
        assertThat(ended.balance()).isEqualTo(new Balance(4, 0, 2, 2, 0, 0));
        assertRefused(
                ended, new BatchChange.CellsMoved(TWO, List.of(1), TWO, List.of(2)), new ChangeFault.PlaceIsTaken(2));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void asFewTraysAsTheyFillAndNoFewerMovesWouldDo(int seed) {
        Random dice = new Random(seed);
        int cells = 6;
        BatchState state = BatchState.after(List.of());
        Map<TrayId, Set<Integer>> free = new TreeMap<>(Comparator.comparingLong(TrayId::number));
        for (int tray = 1; tray <= 5; tray++) {
            TrayId id = new TrayId(tray);
            Map<Integer, Integer> up = IntStream.rangeClosed(1, cells)
                    .boxed()
                    .collect(Collectors.toMap(cell -> cell, cell -> dice.nextInt(2)));
            state = state.after(DAY, new BatchChange.Sown(new CellRun(id, 1, cells), 1, LOT, "Mix", new PlaceId(1)))
                    .after(DAY.plusDays(8), new BatchChange.Counted(id, up, true));
            free.put(id, Set.of());
        }
        List<Integer> perTray = new ArrayList<>();
        for (TrayId tray : state.trays()) {
            int alive = state.cellsIn(tray, CellCondition.ALIVE).size();
            if (alive > 0) {
                perTray.add(alive);
            }
        }
        int plants = perTray.stream().mapToInt(Integer::intValue).sum();
        int needed = (plants + cells - 1) / cells;
        int fewest = Integer.MAX_VALUE;
        for (int chosen = 0; chosen < 1 << perTray.size(); chosen++) {
            int kept = chosen;
            if (Integer.bitCount(kept) == needed) {
                int stays = IntStream.range(0, perTray.size())
                        .filter(tray -> (kept >> tray & 1) == 1)
                        .map(perTray::get)
                        .sum();
                fewest = Math.min(fewest, plants - stays);
            }
        }
        ClosingUp closing = ClosingUp.of(state, free);
        assertThat(closing.plants()).isEqualTo(fewest);
        assertThat(closing.emptied()).hasSize(perTray.size() - needed);
        BatchState after = state;
        for (BatchChange.CellsMoved move : closing.moves()) {
            after = after.after(DAY.plusDays(9), move);
        }
        assertThat(after.balance()).isEqualTo(state.balance());
        for (TrayId tray : closing.emptied()) {
            assertThat(after.cellsIn(tray, CellCondition.ALIVE)).isEmpty();
        }
    }

    private static void assertRefused(BatchState state, BatchChange change, ChangeFault fault) {
        assertThatThrownBy(() -> state.after(DAY.plusDays(30), change))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(fault));
    }
}
