package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** Work of one day counts in the order of the hands, whichever phone found a signal first. */
class TimesOfDayTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId TRAY = new TrayId(1);

    private static BatchState sown() {
        return BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(TRAY, 1, 4), 2, new LotId(7), "Mix", new PlaceId(1)));
    }

    private static Optional<LocalTime> at(int hour) {
        return Optional.of(LocalTime.of(hour, 0));
    }

    private static BatchChange counted(int seedlings) {
        return new BatchChange.Counted(TRAY, Map.of(1, seedlings), false);
    }

    private static int seedlings(BatchState state) {
        return state.cells().values().iterator().next().seedlings();
    }

    @Test
    void theLaterOfTwoCountsOfOneDayHoldsThoughItCameFirst() {
        BatchState both = sown().after(DAY.plusDays(8), at(16), counted(2)).after(DAY.plusDays(8), at(9), counted(1));
        assertThat(seedlings(both)).isEqualTo(2);
        BatchState withoutTimes = sown().after(DAY.plusDays(8), counted(2)).after(DAY.plusDays(8), counted(1));
        assertThat(seedlings(withoutTimes)).isEqualTo(1);
    }

    @Test
    void whatHasNoTimeHappenedAfterAllThatWasRecordedOfItsDayBefore() {
        BatchState late = sown().after(DAY.plusDays(8), at(16), counted(2)).after(DAY.plusDays(8), counted(1));
        assertThat(seedlings(late)).isEqualTo(1);
        assertThat(seedlings(late.after(DAY.plusDays(8), at(9), counted(0)))).isEqualTo(1);
        assertThat(seedlings(late.after(DAY.plusDays(8), at(17), counted(0)))).isZero();
    }

    @Test
    void aTimeAtWhichItCannotHaveHappenedIsRefused() {
        BatchState counted = sown().after(DAY.plusDays(8), at(10), counted(1));
        BatchChange lost = new BatchChange.Lost(TRAY, List.of(1), LossReason.SLUGS);
        assertThat(counted.after(DAY.plusDays(8), at(11), lost).balance().lost())
                .isEqualTo(1);
        BatchChange potted = new BatchChange.PottedOn(TRAY, List.of(1), new CellRun(new TrayId(2), 1, 1));
        assertThatThrownBy(() -> counted.after(DAY.plusDays(8), at(9), potted)).isInstanceOf(ChangeRefused.class);
    }
}
