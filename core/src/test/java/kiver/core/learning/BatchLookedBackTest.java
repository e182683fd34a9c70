package kiver.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.Grade;
import kiver.core.batch.LookedOver;
import kiver.core.batch.LossReason;
import kiver.core.crop.CropCode;
import kiver.core.crop.SurvivalLessons.LivedOn;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.space.Rates;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** What one record tells when it is looked back on. */
class BatchLookedBackTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId TRAY = new TrayId(1);
    private static final TrayId POTS = new TrayId(2);
    private static final CropCode KALE = new CropCode("kale");

    private static final BatchState SOWN = BatchState.after(List.of())
            .after(DAY, new BatchChange.Sown(new CellRun(TRAY, 1, 30), 2, new LotId(3), "Sowing mix", new PlaceId(1)));

    private static BatchChange.Counted up(int cells, boolean complete) {
        return new BatchChange.Counted(
                TRAY,
                IntStream.rangeClosed(1, cells).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1)),
                complete);
    }

    private static List<Integer> cells(int from, int to) {
        return IntStream.rangeClosed(from, to).boxed().toList();
    }

    @Test
    void halfUpLiesBetweenTwoCounts() {
        BatchState state = SOWN.after(DAY.plusDays(4), up(4, false))
                .after(DAY.plusDays(6), up(16, false))
                .after(DAY.plusDays(9), up(20, true));
        assertThat(Happened.halfUp(state)).contains(DAY.plusDays(5));
        BatchState later = SOWN.after(DAY.plusDays(4), up(4, false)).after(DAY.plusDays(5), up(12, false));
        assertThat(Happened.halfUp(later.after(DAY.plusDays(9), up(20, true))))
                .as("in the course of the fourth day, three quarters of it gone")
                .contains(DAY.plusDays(4));
        assertThat(Happened.halfUp(SOWN.after(DAY.plusDays(4), up(4, false)).after(DAY.plusDays(8), up(20, true))))
                .as("four days apart: a band of emergence is narrower than that")
                .isEmpty();
        assertThat(Happened.halfUp(SOWN.after(DAY.plusDays(4), up(4, false))))
                .as("more may come")
                .isEmpty();
        assertThat(Happened.halfUp(SOWN.after(DAY.plusDays(12), up(20, true))))
                .as("nobody looked for twelve days")
                .isEmpty();
        assertThat(Happened.halfUp(SOWN.after(DAY.plusDays(12), up(0, true)))).isEmpty();
    }

    @Test
    void leavesAreReachedBetweenTwoLooks() {
        BatchState state = SOWN.after(DAY.plusDays(6), up(20, true))
                .after(DAY.plusDays(14), new LookedOver(List.of(1, 2, 1, 2), Optional.empty()));
        assertThat(Happened.leavesReached(state, 3)).isEmpty();
        assertThat(Happened.leavesReached(
                        state.after(DAY.plusDays(20), new LookedOver(List.of(4, 5), Optional.empty())), 3))
                .contains(DAY.plusDays(17));
        assertThat(Happened.leavesReached(state, 1)).as("it had them before").isEmpty();
    }

    @Test
    void survivalLeavesOutWhatWasNotNeeded() {
        BatchState up = SOWN.after(DAY.plusDays(6), up(20, true))
                .after(DAY.plusDays(8), new BatchChange.Lost(TRAY, cells(1, 3), LossReason.SLUGS));
        assertThat(Survived.of(KALE, up)).as("deaths are to come").isEmpty();
        BatchState over = up.after(DAY.plusDays(40), new BatchChange.Released(501, new LineId(1), TRAY, cells(4, 15)))
                .after(DAY.plusDays(45), new BatchChange.Lost(TRAY, cells(16, 20), LossReason.NOT_NEEDED));
        assertThat(Survived.of(KALE, over)).contains(new LivedOn(KALE, 15, 12));
    }

    /** Each worked by hand. */
    @Test
    void whatWasSpentFollowsFromTheRecord() {
        Rates rates = new Rates(0.5, 40, 0.1, 0.7, 18, 10, 20, 0.1, 0.2, 0);
        BatchState potted = SOWN.after(DAY.plusDays(6), up(20, true))
                .after(
                        DAY.plusDays(14),
                        new BatchChange.PottedOn(TRAY, cells(1, 14), new CellRun(POTS, 1, 14), Grade.STANDARD));
        Spent spent = Spent.of(potted, Map.of(TRAY, Samples.MODULES, POTS, Samples.POTS)::get, rates, DAY.plusDays(28));
        assertThat(spent.seed()).isCloseTo(60 * 1.1 / 1000 * 40, within(1e-9));
        assertThat(spent.mix()).isCloseTo((30 * 0.05 + 14 * 0.18) * 1.2 * 0.5, within(1e-9));
        assertThat(spent.labels()).isCloseTo(0.2, within(1e-9));
        // Half a tray for four weeks, six plants still stand there; half a carrier for a fortnight.
        assertThat(spent.room()).isCloseTo((0.5 * 4 + 0.5 * 2) * 0.7, within(1e-9));
        assertThat(spent.work()).isCloseTo((30 * 10 + 14 * 20) / 3600.0 * 18, within(1e-9));
        assertThat(spent.cost())
                .isCloseTo(spent.seed() + spent.mix() + spent.labels() + spent.room() + spent.work(), within(1e-9));
        assertThat(Spent.of(BatchState.after(List.of()), tray -> Samples.MODULES, rates, DAY))
                .isEqualTo(Spent.NOTHING);
    }
}
