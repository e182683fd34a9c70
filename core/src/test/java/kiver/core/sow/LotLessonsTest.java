package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchProjection;
import kiver.core.batch.BatchState;
import kiver.core.place.PlaceId;
import kiver.core.seed.CountLesson;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class LotLessonsTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId TRAY = new TrayId(1);

    @Test
    void eachLotIsTaughtByItsOwnCells() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(TRAY, 1, 4), 2, new LotId(7), "Mix", new PlaceId(1)))
                .after(DAY, new BatchChange.Sown(new CellRun(TRAY, 5, 6), 3, new LotId(8), "Mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(TRAY, Map.of(1, 2, 2, 1, 3, 5), List.of(5), true));
        Map<LotId, CountLesson> lessons =
                LotLessons.of(LotLessons.cellsOf(BatchProjection.of(state).orElseThrow()));
        // Of lot 7: two of two, one of two, a cell with more seedlings than seeds, and an empty one of two.
        assertThat(lessons)
                .containsEntry(new LotId(7), new CountLesson(3, 3, Map.of(2, 1)))
                .containsEntry(new LotId(8), new CountLesson(0, 3, Map.of(3, 1)));
    }

    @Test
    void plantsThatWereBoughtInTeachNothing() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, new BatchChange.BroughtIn(new CellRun(TRAY, 1, 4), new LotId(9), 2, new PlaceId(1)));
        assertThat(LotLessons.of(LotLessons.cellsOf(BatchProjection.of(state).orElseThrow())))
                .isEmpty();
    }
}
