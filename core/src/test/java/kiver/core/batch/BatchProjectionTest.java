package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class BatchProjectionTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId PLUGS = new TrayId(1);
    private static final TrayId POTS = new TrayId(2);

    private static BatchState twoLots() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(PLUGS, 1, 4), 2, new LotId(7), "Mix", new PlaceId(1)))
                .after(DAY, new BatchChange.Sown(new CellRun(PLUGS, 5, 6), 1, new LotId(8), "Fine mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(PLUGS, Map.of(1, 2, 2, 2, 4, 1, 5, 1, 6, 1), true));
    }

    @Test
    void cellsNextToEachOtherOfWhichTheSameIsTrueAreOneRun() {
        BatchProjection projection = BatchProjection.of(twoLots()).orElseThrow();
        assertThat(projection.cells())
                .extracting(BatchProjection.Cells::run)
                .containsExactly(
                        new CellRun(PLUGS, 1, 2),
                        new CellRun(PLUGS, 3, 3),
                        new CellRun(PLUGS, 4, 4),
                        new CellRun(PLUGS, 5, 6));
        assertThat(projection.cells())
                .extracting(BatchProjection.Cells::lot)
                .containsExactly(new LotId(7), new LotId(7), new LotId(7), new LotId(8));
        assertThat(projection)
                .returns(3, BatchProjection::sequence)
                .returns(DAY.plusDays(8), BatchProjection::lastOn)
                .returns(true, BatchProjection::completelyCounted);
    }

    @Test
    void aPlantIsTracedToItsLotThroughPottingToItsNote() {
        BatchState state = twoLots()
                .after(DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(2, 5), new CellRun(POTS, 1, 2)))
                .after(DAY.plusDays(40), new BatchChange.Released(501, new LineId(3), POTS, List.of(1, 2)));
        BatchProjection projection = BatchProjection.of(state).orElseThrow();
        assertThat(projection.cells())
                .filteredOn(cells -> cells.run().tray().equals(POTS))
                .extracting(cells -> cells.state().condition(), BatchProjection.Cells::lot)
                .containsExactly(
                        tuple(CellCondition.RELEASED, new LotId(7)), tuple(CellCondition.RELEASED, new LotId(8)));
        assertThat(projection.departures()).containsExactly(new BatchProjection.Departure(501, new LineId(3), 2, 3));
        assertThat(projection.origins())
                .extracting(BatchProjection.Origin::seeds)
                .containsExactly(8, 2);
    }

    @Test
    void whatWasTakenBackIsNotThere() {
        BatchState state =
                twoLots().after(DAY.plusDays(40), new BatchChange.Released(501, new LineId(3), PLUGS, List.of(1)));
        BatchState back = state.after(DAY.plusDays(41), new BatchChange.Corrected(4));
        assertThat(BatchProjection.of(back).orElseThrow().departures()).isEmpty();
        assertThat(BatchProjection.of(back).orElseThrow().cells())
                .isEqualTo(BatchProjection.of(twoLots()).orElseThrow().cells());
        assertThat(BatchProjection.of(BatchState.after(List.of()))).isEmpty();
    }

    /** Whatever happens to cells: the runs say of every cell what the state says, and nothing of others. */
    @Test
    void runsSayWhatTheCellsSay() {
        Random chance = new Random(4);
        for (int round = 0; round < 50; round++) {
            BatchState state = BatchState.after(List.of())
                    .after(
                            DAY,
                            new BatchChange.Sown(new CellRun(PLUGS, 1, 20), 2, new LotId(7), "Mix", new PlaceId(1)));
            SortedMap<Integer, Integer> seedlings = new TreeMap<>();
            IntStream.rangeClosed(1, 20)
                    .filter(cell -> chance.nextBoolean())
                    .forEach(cell -> seedlings.put(cell, chance.nextInt(3)));
            if (!seedlings.isEmpty()) {
                state = state.after(DAY.plusDays(7), new BatchChange.Counted(PLUGS, seedlings, chance.nextBoolean()));
            }
            List<Integer> alive = state.cellsIn(PLUGS, CellCondition.ALIVE);
            if (alive.size() > 3) {
                state = state.after(
                        DAY.plusDays(9), new BatchChange.Lost(PLUGS, alive.subList(1, 3), LossReason.SLUGS));
            }
            SortedMap<Cell, CellState> told = new TreeMap<>();
            BatchProjection.of(state)
                    .orElseThrow()
                    .cells()
                    .forEach(cells -> cells.run()
                            .cells()
                            .forEach(cell ->
                                    assertThat(told.put(cell, cells.state())).isNull()));
            assertThat(told).isEqualTo(state.cells());
        }
    }
}
