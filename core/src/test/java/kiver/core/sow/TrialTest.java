package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

class TrialTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId ONE = new TrayId(1);
    private static final TrayId TWO = new TrayId(2);
    private static final TrayId POTS = new TrayId(3);

    private static List<CellRun> rows(int rows) {
        return IntStream.range(0, rows)
                .mapToObj(row -> new CellRun(ONE, 1 + 10 * row, 10 + 10 * row))
                .toList();
    }

    @Test
    void everyBlockHoldsEveryWayOnce() {
        List<List<CellRun>> shares = TrialLayout.layOut(rows(12), 3, new SplittableRandom(4));
        assertThat(shares).hasSize(3);
        for (int block = 0; block < 4; block++) {
            List<CellRun> here = rows(12).subList(3 * block, 3 * block + 3);
            assertThat(shares)
                    .allSatisfy(share ->
                            assertThat(share).filteredOn(here::contains).hasSize(1));
        }
        assertThat(TrialLayout.layOut(rows(12), 3, new SplittableRandom(4))).isEqualTo(shares);
    }

    @Test
    void whatIsLeftOverGivesNoneMoreThanOneMore() {
        for (int seed = 0; seed < 20; seed++) {
            List<Integer> sizes = new ArrayList<>();
            TrialLayout.layOut(rows(7), 3, new SplittableRandom(seed)).forEach(share -> sizes.add(share.size()));
            assertThat(sizes).containsOnly(2, 3);
            assertThat(sizes.stream().mapToInt(Integer::intValue).sum()).isEqualTo(7);
        }
    }

    /** Each row is as likely to get the one as the other, whatever the place. */
    @Test
    void chanceSaysWhichRowGetsWhich() {
        int first = 0;
        for (int seed = 0; seed < 400; seed++) {
            first += TrialLayout.layOut(rows(4), 2, new SplittableRandom(seed))
                            .get(0)
                            .contains(rows(4).get(2))
                    ? 1
                    : 0;
        }
        assertThat(first).isBetween(160, 240);
    }

    @Test
    void oneRowIsNoTrial() {
        assertThatThrownBy(() -> TrialLayout.layOut(rows(1), 2, new SplittableRandom(1)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> TrialLayout.layOut(rows(4), 1, new SplittableRandom(1)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void plantsAreFollowedIntoOtherCellsAndPots() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, new BatchChange.Sown(new CellRun(ONE, 1, 6), 1, new LotId(1), "Mix", new PlaceId(1)))
                .after(DAY.plusDays(8), new BatchChange.Counted(ONE, Map.of(1, 1, 2, 1, 4, 1, 5, 1), true))
                .after(DAY.plusDays(9), new BatchChange.CellsMoved(ONE, List.of(4), ONE, List.of(3)))
                .after(DAY.plusDays(9), new BatchChange.CellsMoved(ONE, List.of(5), TWO, List.of(1)))
                .after(DAY.plusDays(20), new BatchChange.PottedOn(ONE, List.of(1, 3), new CellRun(POTS, 1, 2)))
                .after(DAY.plusDays(21), new BatchChange.Lost(POTS, List.of(2), LossReason.SLUGS));
        // Cells 1 to 3 came up in two of three, and both live; of 4 to 6 two came up, and slugs ate that of cell 4.
        assertThat(TrialCount.of(state, List.of(new CellRun(ONE, 1, 3)))).isEqualTo(new TrialCount(3, 0, 2, 2));
        assertThat(TrialCount.of(state, List.of(new CellRun(ONE, 4, 6)))).isEqualTo(new TrialCount(3, 0, 2, 1));
        assertThat(TrialCount.of(state, List.of(new CellRun(TWO, 1, 1)))).isEqualTo(new TrialCount(0, 0, 0, 0));
    }
}
