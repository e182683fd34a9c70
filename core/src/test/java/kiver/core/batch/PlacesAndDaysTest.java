package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where a batch stands while its trays are here and there, and on which days things were done to it. */
class PlacesAndDaysTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId ONE = new TrayId(1);
    private static final TrayId TWO = new TrayId(2);
    private static final TrayId THREE = new TrayId(3);
    private static final PlaceId MAT = new PlaceId(4);
    private static final PlaceId SHELF = new PlaceId(2);
    private static final PlaceId GROUND = new PlaceId(9);

    private static BatchState sownIn(TrayId... trays) {
        BatchState state = BatchState.after(List.of());
        for (TrayId tray : trays) {
            state = state.after(DAY, new BatchChange.Sown(new CellRun(tray, 1, 10), 4, new LotId(1), "Mix", MAT));
        }
        return state;
    }

    @Test
    void standsWhereMostOfItsTraysDo() {
        BatchState state = sownIn(ONE, TWO, THREE);
        BatchState one = state.after(DAY.plusDays(5), new BatchChange.Moved(SHELF, List.of(THREE)));
        assertThat(one.place()).contains(MAT);
        assertThat(one.placeOf(THREE)).contains(SHELF);
        BatchState two = one.after(DAY.plusDays(6), new BatchChange.Moved(SHELF, List.of(TWO)));
        assertThat(two.place()).contains(SHELF);
        assertThat(two.placements()).extracting(BatchState.Placement::from).containsExactly(DAY, DAY.plusDays(6));
    }

    @Test
    void withAsManyTraysHereAsThereItStandsWhereItWas() {
        BatchState half = sownIn(ONE, TWO).after(DAY.plusDays(5), new BatchChange.Moved(SHELF, List.of(TWO)));
        assertThat(half.place()).contains(MAT);
        BatchState thirds = sownIn(ONE, TWO, THREE)
                .after(DAY.plusDays(5), new BatchChange.Moved(SHELF, List.of(TWO)))
                .after(DAY.plusDays(6), new BatchChange.Moved(GROUND, List.of(ONE)))
                .after(DAY.plusDays(7), new BatchChange.Moved(new PlaceId(5), List.of(THREE)));
        // Nothing stands where it was any more: the place of the lowest number stands for all.
        assertThat(thirds.place()).contains(SHELF);
    }

    @Test
    void hardeningTakesEveryTrayOutAndKeepsItsDays() {
        BatchState state = sownIn(ONE, TWO)
                .after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 3), true))
                .after(DAY.plusDays(20), new BatchChange.HardeningStarted(GROUND, 5));
        assertThat(state.placeOf(ONE)).contains(GROUND);
        assertThat(state.placeOf(TWO)).contains(GROUND);
        assertThat(state.hardeningStartedOn()).contains(DAY.plusDays(20));
        assertThat(state.hardenedOn()).isEmpty();
        assertThat(state.after(DAY.plusDays(25), new BatchChange.HardeningEnded())
                        .hardenedOn())
                .contains(DAY.plusDays(25));
        assertThat(state.sownOn()).contains(DAY);
    }

    @Test
    void theLastLookMustHaveBeenAtEveryTray() {
        BatchState first = sownIn(ONE, TWO).after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 3), true));
        assertThat(first.isCompletelyCounted()).isFalse();
        assertThat(first.after(DAY.plusDays(9), new BatchChange.Counted(TWO, Map.of(), true))
                        .isCompletelyCounted())
                .isTrue();
    }

    @Test
    void daysOfPottingAreKnown() {
        BatchState counted = sownIn(ONE).after(DAY.plusDays(9), new BatchChange.Counted(ONE, Map.of(1, 1, 2, 1), true));
        assertThat(counted.lastPottedOn()).isEmpty();
        BatchState potted = counted.after(
                        DAY.plusDays(20), new BatchChange.PottedOn(ONE, List.of(1), new CellRun(TWO, 1, 1)))
                .after(DAY.plusDays(22), new BatchChange.PottedOn(ONE, List.of(2), new CellRun(TWO, 2, 2)));
        assertThat(potted.lastPottedOn()).contains(DAY.plusDays(22));
    }

    /** Four seeds to a clump, none of which was counted: four of five are taken to be there, 3.2 to each of ten clumps. */
    @Test
    void clumpsOfWhichNoneWasCountedAreReckonedBySeeds() {
        BatchState state = sownIn(ONE)
                .after(
                        DAY.plusDays(9),
                        new BatchChange.Counted(ONE, Map.of(), List.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10), true));
        assertThat(state.plants(Set.of(CellCondition.ALIVE), true)).isEqualTo(32);
    }

    static List<BatchChange> whatNeedsASowing() {
        return List.of(
                new BatchChange.Counted(ONE, Map.of(), true),
                new BatchChange.Moved(SHELF),
                new BatchChange.HardeningStarted(GROUND, 5));
    }

    @ParameterizedTest
    @MethodSource("whatNeedsASowing")
    void nothingHappensToABatchThatIsNotSown(BatchChange change) {
        assertThatThrownBy(() -> BatchState.after(List.of()).after(DAY, change))
                .isInstanceOf(ChangeRefused.class)
                .hasMessageContaining("NotSown");
    }

    @Test
    void aPlantLeavesOnce() {
        assertThatThrownBy(() -> new BatchChange.Released(501, new LineId(1), ONE, List.of(3, 3)))
                .isInstanceOf(ChangeRefused.class);
        assertThat(new BatchChange.Corrected(4, " wrong tray ").reason()).isEqualTo("wrong tray");
    }
}
