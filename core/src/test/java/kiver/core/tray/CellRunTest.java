package kiver.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CellRunTest {

    private static final TrayId TRAY = new TrayId(4);
    private static final CellRun RUN = new CellRun(TRAY, 3, 9);

    private static List<CellRun> without(CellRun... taken) {
        return RUN.without(List.of(taken));
    }

    private static CellRun run(int first, int last) {
        return new CellRun(TRAY, first, last);
    }

    @Test
    void whatIsTakenOutLeavesRuns() {
        assertThat(without()).containsExactly(RUN);
        assertThat(without(run(3, 4))).containsExactly(run(5, 9));
        assertThat(without(run(9, 9))).containsExactly(run(3, 8));
        assertThat(without(run(5, 5), run(7, 7))).containsExactly(run(3, 4), run(6, 6), run(8, 9));
        assertThat(without(run(7, 7), run(5, 8))).as("runs over one another").containsExactly(run(3, 4), run(9, 9));
        assertThat(without(run(1, 12))).isEmpty();
        assertThat(without(run(1, 2), run(10, 12))).as("cells of others").containsExactly(RUN);
        assertThat(without(new CellRun(new TrayId(5), 4, 5)))
                .as("cells of another tray")
                .containsExactly(RUN);
    }
}
