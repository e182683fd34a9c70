package kiver.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CellRunTest {

    private static final TrayId TRAY = new TrayId(4);
    private static final CellRun RUN = new CellRun(TRAY, 3, 9);

    private static List<CellRun> without(int... cells) {
        Set<Cell> taken =
                IntStream.of(cells).mapToObj(cell -> new Cell(TRAY, cell)).collect(Collectors.toSet());
        return RUN.without(taken);
    }

    @Test
    void whatIsTakenOutLeavesRuns() {
        assertThat(without()).containsExactly(RUN);
        assertThat(without(3, 4)).containsExactly(new CellRun(TRAY, 5, 9));
        assertThat(without(9)).containsExactly(new CellRun(TRAY, 3, 8));
        assertThat(without(5, 7))
                .containsExactly(new CellRun(TRAY, 3, 4), new CellRun(TRAY, 6, 6), new CellRun(TRAY, 8, 9));
        assertThat(without(3, 4, 5, 6, 7, 8, 9)).isEmpty();
        assertThat(without(1, 12)).as("cells of others").containsExactly(RUN);
        assertThat(RUN.without(Set.of(new Cell(new TrayId(5), 4))))
                .as("cells of another tray")
                .containsExactly(RUN);
    }
}
