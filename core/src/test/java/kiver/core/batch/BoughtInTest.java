package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** Plants that somebody else raised: they are up and counted when they come, and are traced to their consignment. */
class BoughtInTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);
    private static final TrayId PLUGS = new TrayId(1);
    private static final TrayId MORE = new TrayId(2);
    private static final TrayId POTS = new TrayId(3);
    private static final PlaceId HOUSE = new PlaceId(2);

    private static BatchChange.BroughtIn arrival(TrayId tray, int cells, long consignment) {
        return new BatchChange.BroughtIn(new CellRun(tray, 1, cells), new LotId(consignment), 2.5, HOUSE);
    }

    @Test
    void theyGrowOnFromTheDayTheyCome() {
        BatchState state = BatchState.after(List.of()).after(DAY, arrival(PLUGS, 30, 9));
        assertThat(state.stage()).isEqualTo(BatchStage.GROWING_ON);
        assertThat(state.balance()).isEqualTo(new Balance(30, 0, 0, 30, 0, 0));
        assertThat(state.isCompletelyCounted()).isTrue();
        assertThat(state.sownOn()).contains(DAY);
        assertThat(state.place()).contains(HOUSE);
        assertThat(state.sowings()).isEmpty();
        assertThat(state.emerged()).isEqualTo(30);
    }

    @Test
    void eachIsTracedToItsConsignmentHoweverOftenItIsPotted() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, arrival(PLUGS, 4, 9))
                .after(DAY.plusDays(1), arrival(MORE, 4, 11))
                .after(DAY.plusDays(9), new BatchChange.PottedOn(MORE, List.of(1, 2), new CellRun(POTS, 1, 2)));
        assertThat(state.lotOf(state.cells().get(new Cell(PLUGS, 1)).sowing())).isEqualTo(new LotId(9));
        assertThat(state.lotOf(state.cells().get(new Cell(POTS, 2)).sowing())).isEqualTo(new LotId(11));
        assertThat(state.toSow(List.of(new CellRun(PLUGS, 1, 6)))).containsExactly(new CellRun(PLUGS, 5, 6));
    }

    @Test
    void anArrivalCanBeTakenBackAndNeverComesTwiceIntoACell() {
        BatchState state = BatchState.after(List.of()).after(DAY, arrival(PLUGS, 4, 9));
        assertThatThrownBy(() -> state.after(DAY, arrival(PLUGS, 2, 9)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.CellSownAlready(1)));
        BatchState back = state.after(DAY, new BatchChange.Corrected(1));
        assertThat(back.stage()).isEqualTo(BatchStage.PLANNED);
        assertThat(back.arrivals()).isEmpty();
        assertThatThrownBy(() -> state.after(DAY.minusDays(1), new BatchChange.Counted(PLUGS, Map.of(1, 1), false)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.BeforeSowing(DAY)));
    }

    @Test
    void nobodySellsTreesInTrays() {
        for (double leaves : new double[] {-1, 21, Double.NaN, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> new BatchChange.BroughtIn(new CellRun(PLUGS, 1, 2), new LotId(9), leaves, HOUSE))
                    .isInstanceOf(ChangeRefused.class);
        }
    }
}
