package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** Work that comes in late, in parts, or twice taken back. */
class LateAndPartWorkTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId ONE = new TrayId(1);
    private static final TrayId TWO = new TrayId(2);
    private static final TrayId POTS = new TrayId(9);
    private static final PlaceId MAT = new PlaceId(1);
    private static final PlaceId SHELF = new PlaceId(2);

    private static BatchState sown() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(ONE, 1, 6), 2, new LotId(7), "Mix", MAT))
                .after(
                        DAY.plusDays(1),
                        new BatchChange.Sown(new CellRun(TWO, 1, 6), 2, new LotId(8), "Other mix", MAT));
    }

    @Test
    void whatIsNotSownYetWaits() {
        List<CellRun> setAside = List.of(new CellRun(ONE, 1, 10), new CellRun(TWO, 1, 6), new CellRun(POTS, 1, 4));
        assertThat(sown().toSow(setAside)).containsExactly(new CellRun(ONE, 7, 10), new CellRun(POTS, 1, 4));
        BatchState left = sown().after(DAY.plusDays(2), new BatchChange.LeftUnsown(POTS));
        assertThat(left.toSow(setAside)).containsExactly(new CellRun(ONE, 7, 10));
    }

    @Test
    void everyPlantRemembersItsSowing() {
        BatchState potted = sown().after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 1), List.of(2), true))
                .after(DAY.plusDays(9), new BatchChange.Counted(TWO, Map.of(5, 2), true))
                .after(DAY.plusDays(20), new BatchChange.PottedOn(ONE, List.of(2), new CellRun(POTS, 1, 1)))
                .after(DAY.plusDays(20), new BatchChange.PottedOn(TWO, List.of(5), new CellRun(POTS, 2, 2)));
        assertThat(lot(potted, 1)).isEqualTo(7);
        assertThat(lot(potted, 2)).isEqualTo(8);
        assertThat(potted.pottingDays()).containsExactly(DAY.plusDays(20));
    }

    private static long lot(BatchState state, int cell) {
        return state.sowings()
                .get(state.cells().get(new Cell(POTS, cell)).sowing())
                .sown()
                .lot()
                .number();
    }

    @Test
    void aCountThatComesInLateTakesItsPlace() {
        BatchState state = sown().after(DAY.plusDays(12), new BatchChange.Counted(ONE, Map.of(1, 1, 2, 1, 3, 1), false))
                .after(DAY.plusDays(13), new BatchChange.Lost(ONE, List.of(1), LossReason.SLUGS))
                .after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 1), false));
        assertThat(state.cellsUp()).containsExactly(Map.entry(DAY.plusDays(9), 1), Map.entry(DAY.plusDays(12), 3));
        assertThat(state.balance().lost()).isEqualTo(1);
        assertThatThrownBy(() -> state.after(DAY.minusDays(1), new BatchChange.Counted(ONE, Map.of(1, 1), false)))
                .isInstanceOf(ChangeRefused.class);
    }

    @Test
    void anUndoingIsUndoneWhereThatIsPossible() {
        BatchState lost = sown().after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 1), false))
                .after(DAY.plusDays(10), new BatchChange.Lost(ONE, List.of(1), LossReason.MICE));
        BatchState undone = lost.after(DAY.plusDays(10), new BatchChange.Corrected(4, "wrong tray"));
        assertThat(undone.balance().alive()).isEqualTo(1);
        BatchState again = undone.after(DAY.plusDays(10), new BatchChange.Corrected(5));
        assertThat(again.balance().lost()).isEqualTo(1);
        assertThat(again.isCorrected(4)).isFalse();
        assertThat(again.after(DAY.plusDays(10), new BatchChange.Corrected(6))
                        .balance()
                        .alive())
                .isEqualTo(1);
        BatchState potted =
                undone.after(DAY.plusDays(20), new BatchChange.PottedOn(ONE, List.of(1), new CellRun(POTS, 1, 1)));
        assertThatThrownBy(() -> potted.after(DAY.plusDays(21), new BatchChange.Corrected(5)))
                .isInstanceOf(ChangeRefused.class)
                .hasMessageContaining("LaterRestOnIt");
    }

    @Test
    void oneTrayGoesToAnotherPlaceAndTheOtherStays() {
        BatchState moved = sown().after(DAY.plusDays(5), new BatchChange.Moved(SHELF, List.of(TWO)));
        assertThat(moved.placeOf(ONE)).contains(MAT);
        assertThat(moved.placeOf(TWO)).contains(SHELF);
        assertThat(moved.place()).contains(MAT);
        BatchState both = moved.after(DAY.plusDays(6), new BatchChange.Moved(SHELF, List.of(ONE)));
        assertThat(both.place()).contains(SHELF);
        assertThatThrownBy(() -> moved.after(DAY.plusDays(6), new BatchChange.Moved(SHELF, List.of(POTS))))
                .hasMessageContaining("TrayHoldsNone");
    }

    /** Three counted clumps of 4, 3 and 5, and one that was only seen: as many plants as the others, four. */
    @Test
    void clumpsAreCountedInSeedlingsAndCellsInPlants() {
        BatchState state =
                sown().after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 4, 2, 3, 3, 5), List.of(4), true));
        assertThat(state.plants(Set.of(CellCondition.ALIVE), true)).isEqualTo(16);
        assertThat(state.plants(Set.of(CellCondition.ALIVE), false)).isEqualTo(4);
    }

    @Test
    void somethingSeenUpIsNoCount() {
        BatchState state = sown().after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 2), List.of(2), false));
        assertThat(state.cells().get(new Cell(ONE, 1)).onlySeen()).isFalse();
        assertThat(state.cells().get(new Cell(ONE, 2)).onlySeen()).isTrue();
        BatchState sweptOver =
                state.after(DAY.plusDays(10), new BatchChange.Counted(ONE, Map.of(), List.of(1, 2), false));
        assertThat(sweptOver.cells().get(new Cell(ONE, 1)).seedlings()).isEqualTo(2);
        BatchState counted = state.after(DAY.plusDays(10), new BatchChange.Counted(ONE, Map.of(2, 1), false));
        assertThat(counted.cells().get(new Cell(ONE, 2)).onlySeen()).isFalse();
        assertThatThrownBy(() -> new BatchChange.Counted(ONE, Map.of(1, 1), List.of(1), false))
                .hasMessageContaining("CellCountedTwice");
    }
}
