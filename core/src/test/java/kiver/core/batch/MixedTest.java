package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** A lost label, spilled seed: plants live on and nobody is sure what they are. */
class MixedTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId TRAY = new TrayId(7);
    private static final TrayId POTS = new TrayId(8);

    private static BatchState up() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(TRAY, 1, 6), 1, new LotId(5), "Mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(TRAY, Map.of(1, 1, 2, 1, 3, 1, 4, 1), false));
    }

    @Test
    void theyStayOnTheAccountAndCountForNothingThatHasAName() {
        BatchState state =
                up().after(DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(3, 4, 5), NameDoubt.SEED_SPILLED));
        assertThat(state.balance()).isEqualTo(up().balance());
        assertThat(state.plants(CellState::livesUnderItsName, false)).isEqualTo(2);
        assertThat(state.plants(CellState::livesMixed, false))
                .as("cell 5 has nothing up yet")
                .isEqualTo(2);
    }

    @Test
    void theyGoOnlyAsMixed() {
        BatchState state = up().after(DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(3), NameDoubt.LABEL_LOST));
        assertThatThrownBy(() -> state.after(
                        DAY.plusDays(30), new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 3))))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.NameInDoubt(3)));
        assertThatThrownBy(() -> state.after(
                        DAY.plusDays(30), new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 3), true)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.NameIsCertain(1)));
        BatchState gone =
                state.after(DAY.plusDays(30), new BatchChange.Released(501, new LineId(1), TRAY, List.of(3), true));
        assertThat(gone.balance().released()).isEqualTo(1);
        assertThat(gone.cells().get(new Cell(TRAY, 3)).mixed())
                .as("the note can still say so")
                .isTrue();
    }

    @Test
    void theDoubtGoesWithThePlantIntoItsPot() {
        BatchState potted = up().after(DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(2), NameDoubt.MIXED_UP))
                .after(DAY.plusDays(12), new BatchChange.PottedOn(TRAY, List.of(1, 2), new CellRun(POTS, 1, 2)));
        assertThat(potted.cells().get(new Cell(POTS, 1)).mixed()).isFalse();
        assertThat(potted.cells().get(new Cell(POTS, 2)).mixed()).isTrue();
    }

    @Test
    void somebodyKnowsAgain() {
        BatchState mixed =
                up().after(DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(2, 3), NameDoubt.LABEL_LOST));
        BatchState known = mixed.after(DAY.plusDays(20), new BatchChange.Recognised(TRAY, List.of(2)));
        assertThat(known.plants(CellState::livesUnderItsName, false)).isEqualTo(3);
        assertThatThrownBy(() -> known.after(DAY.plusDays(21), new BatchChange.Recognised(TRAY, List.of(2))))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.NameIsCertain(2)));
        assertThatThrownBy(() ->
                        known.after(DAY.plusDays(21), new BatchChange.Mixed(TRAY, List.of(3), NameDoubt.LABEL_LOST)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.NameInDoubt(3)));
    }

    /** What was counted afterwards, or lost, is told of the plant and not of its name. */
    @Test
    void aCountLeavesTheDoubtAndWhatIsGoneHasNone() {
        BatchState counted = up().after(
                        DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(5), NameDoubt.SEED_SPILLED))
                .after(DAY.plusDays(10), new BatchChange.Counted(TRAY, Map.of(5, 2), true));
        assertThat(counted.cells().get(new Cell(TRAY, 5)).livesMixed()).isTrue();
        assertThatThrownBy(() ->
                        counted.after(DAY.plusDays(11), new BatchChange.Mixed(TRAY, List.of(6), NameDoubt.LABEL_LOST)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault()).isEqualTo(new ChangeFault.NoPlantInCell(6)));
    }

    /** Undone, the doubt is gone as if it had never been; not while something rests on it. */
    @Test
    void theDoubtCanBeTakenBackUnlessItWasActedOn() {
        BatchState mixed = up().after(DAY.plusDays(9), new BatchChange.Mixed(TRAY, List.of(2), NameDoubt.LABEL_LOST));
        BatchState taken = mixed.after(DAY.plusDays(10), new BatchChange.Corrected(3));
        assertThat(taken.plants(CellState::livesMixed, false)).isZero();
        BatchState gone =
                mixed.after(DAY.plusDays(30), new BatchChange.Released(501, new LineId(1), TRAY, List.of(2), true));
        assertThatThrownBy(() -> gone.after(DAY.plusDays(31), new BatchChange.Corrected(3)))
                .isInstanceOfSatisfying(
                        ChangeRefused.class,
                        refused -> assertThat(refused.fault())
                                .isEqualTo(new ChangeFault.LaterRestOnIt(new ChangeFault.NameIsCertain(2))));
    }
}
