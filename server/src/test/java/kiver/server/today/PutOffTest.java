package kiver.server.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import kiver.core.today.TaskKind;
import org.junit.jupiter.api.Test;

class PutOffTest {

    private static final LocalDate SUNDAY = LocalDate.of(2027, 4, 18);

    @Test
    void onlyWorkFromTheDayItWasPutOffWaits() {
        TaskMarks.Mark mark = new TaskMarks.Mark(266, TaskKind.COUNT, null, null, null, SUNDAY, SUNDAY.plusDays(2));
        assertThat(mark.waitsUntil(SUNDAY.minusDays(1))).isEmpty();
        assertThat(mark.waitsUntil(SUNDAY)).contains(SUNDAY.plusDays(2));
        assertThat(mark.waitsUntil(SUNDAY.plusDays(1))).contains(SUNDAY.plusDays(2));
        assertThat(mark.waitsUntil(SUNDAY.plusDays(2))).isEmpty();
    }

    @Test
    void whatWasNotPutOffDoesNotWait() {
        TaskMarks.Mark mark = new TaskMarks.Mark(266, TaskKind.COUNT, 7L, "Pell", SUNDAY, null, null);
        assertThat(mark.waitsUntil(SUNDAY)).isEmpty();
        assertThat(mark.isDone(SUNDAY)).isTrue();
        assertThat(mark.isDone(SUNDAY.plusDays(1))).isFalse();
    }
}
