package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class PottingOnTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId PLUGS = new TrayId(1);
    private static final TrayId POTS = new TrayId(2);
    private static final TrayId MORE_POTS = new TrayId(3);

    /** Six cells sown, four up and counted to the end, one of them lost. */
    private static BatchState counted() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(PLUGS, 1, 6), 2, new LotId(7), "Mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(PLUGS, Map.of(1, 2, 2, 1, 4, 1, 6, 1), true))
                .after(DAY.plusDays(9), new BatchChange.Lost(PLUGS, List.of(4), LossReason.SLUGS));
    }

    @Test
    void plantsTakeWhatIsKnownOfThemAlong() {
        BatchState potted = counted()
                .after(DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(1, 6), new CellRun(POTS, 1, 2)));
        assertThat(potted.balance()).isEqualTo(new Balance(6, 0, 2, 3, 1, 0));
        assertThat(potted.cellsIn(POTS, CellCondition.ALIVE)).containsExactly(1, 2);
        assertThat(potted.cellsIn(PLUGS, CellCondition.ALIVE)).containsExactly(2);
        assertThat(potted.trays()).containsExactly(PLUGS, POTS);
        assertThat(potted.isCompletelyCounted()).isTrue();
        assertThat(potted.emerged()).isEqualTo(4);
        assertThat(potted.stage()).isEqualTo(BatchStage.GROWING_ON);
    }

    @Test
    void pottedPlantsAreLostReleasedAndPottedOnAgain() {
        BatchState twice = counted()
                .after(DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(1, 2, 6), new CellRun(POTS, 4, 6)))
                .after(DAY.plusDays(30), new BatchChange.PottedOn(POTS, List.of(4, 5), new CellRun(MORE_POTS, 1, 2)))
                .after(DAY.plusDays(31), new BatchChange.Lost(POTS, List.of(6), LossReason.TOO_WEAK))
                .after(DAY.plusDays(40), new BatchChange.Released(501, new LineId(1), MORE_POTS, List.of(1)));
        assertThat(twice.balance()).isEqualTo(new Balance(6, 0, 2, 1, 2, 1));
    }

    @Test
    void onlyTheLivingArePottedAndOnlyIntoFreePlaces() {
        BatchState state = counted();
        assertThatThrownBy(() -> state.after(
                        DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(4), new CellRun(POTS, 1, 1))))
                .isInstanceOf(ChangeRefused.class)
                .hasMessageContaining("NoPlantInCell");
        assertThatThrownBy(() -> state.after(
                        DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(3), new CellRun(POTS, 1, 1))))
                .isInstanceOf(ChangeRefused.class);
        assertThatThrownBy(() -> state.after(
                        DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(9), new CellRun(POTS, 1, 1))))
                .isInstanceOf(ChangeRefused.class)
                .hasMessageContaining("CellNotSown");
        BatchState once =
                state.after(DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(1), new CellRun(POTS, 1, 1)));
        assertThatThrownBy(() -> once.after(
                        DAY.plusDays(21), new BatchChange.PottedOn(PLUGS, List.of(2), new CellRun(POTS, 1, 1))))
                .hasMessageContaining("PlaceIsTaken");
    }

    @Test
    void asManyPlantsGoAsThereArePlacesForThem() {
        assertThatThrownBy(() -> new BatchChange.PottedOn(PLUGS, List.of(1, 2), new CellRun(POTS, 1, 3)))
                .hasMessageContaining("PlacesDoNotFit[plants=2, places=3");
        assertThatThrownBy(() -> new BatchChange.PottedOn(PLUGS, List.of(1), new CellRun(PLUGS, 9, 9)))
                .hasMessageContaining("SameTray");
    }

    @Test
    void itCanBeUndoneUnlessLaterChangesRestOnIt() {
        BatchState potted =
                counted().after(DAY.plusDays(20), new BatchChange.PottedOn(PLUGS, List.of(1), new CellRun(POTS, 1, 1)));
        int sequence = potted.changes().size();
        assertThat(potted.after(DAY.plusDays(20), new BatchChange.Corrected(sequence))
                        .cellsIn(PLUGS, CellCondition.ALIVE))
                .containsExactly(1, 2, 6);
        BatchState lost = potted.after(DAY.plusDays(22), new BatchChange.Lost(POTS, List.of(1), LossReason.SLUGS));
        assertThatThrownBy(() -> lost.after(DAY.plusDays(23), new BatchChange.Corrected(sequence)))
                .hasMessageContaining("LaterRestOnIt");
    }
}
