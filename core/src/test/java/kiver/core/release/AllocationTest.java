package kiver.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.seed.LotId;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AllocationTest {

    private static final LocalDate DAY = LocalDate.of(2027, 5, 1);

    /** Plants that stay behind, mixed ones or those of others, are not called taken. */
    @Test
    void aTrayIsWholeOnlyWhenNothingStaysInIt() {
        ReadyTray part =
                new ReadyTray(1, new LotId(5), new TrayId(1), List.of(1, 2, 3), List.of(1, 1, 1), DAY, false, false);
        assertThat(Allocation.propose(3, List.of(part)))
                .extracting(Pick::wholeTray)
                .containsExactly(false);
        ReadyTray whole =
                new ReadyTray(1, new LotId(5), new TrayId(1), List.of(1, 2, 3), List.of(1, 1, 1), DAY, true, false);
        assertThat(Allocation.propose(3, List.of(whole)))
                .extracting(Pick::wholeTray)
                .containsExactly(true);
        assertThat(Allocation.propose(2, List.of(whole)))
                .extracting(Pick::wholeTray)
                .containsExactly(false);
        assertThat(whole.first(2).all()).isFalse();
        assertThat(whole.first(3)).isEqualTo(whole);
    }

    @Test
    void theMostUrgentGoFirstAndOneTrayIsSplit() {
        List<Pick> picks =
                Allocation.propose(80, List.of(tray(1, 5, 1, 50, 9), tray(1, 5, 2, 50, 3), tray(1, 5, 3, 50, 6)));
        assertThat(picks).extracting(pick -> pick.tray().number()).containsExactly(2L, 3L);
        assertThat(picks).extracting(Pick::plants).containsExactly(50, 30);
        assertThat(picks).extracting(Pick::wholeTray).containsExactly(true, false);
    }

    @Test
    void oneLotIsPreferred() {
        List<Pick> picks =
                Allocation.propose(60, List.of(tray(1, 5, 1, 40, 1), tray(2, 6, 2, 40, 5), tray(2, 6, 3, 40, 5)));
        assertThat(picks).extracting(Pick::batch).containsOnly(2);
    }

    @Test
    void ofTraysThatAreAlikeTheLowerNumberGoesFirst() {
        assertThat(Allocation.propose(40, List.of(tray(1, 5, 9, 40, 1), tray(1, 5, 4, 40, 1))))
                .extracting(pick -> pick.tray().number())
                .containsExactly(4L);
        assertThat(Allocation.propose(40, List.of(tray(2, 5, 4, 40, 1), tray(1, 5, 9, 40, 1))))
                .extracting(Pick::batch)
                .containsExactly(1);
    }

    @Test
    void givesWhatThereIsWhenThereIsTooLittle() {
        List<Pick> picks = Allocation.propose(100, List.of(tray(1, 5, 1, 40, 1), tray(2, 6, 2, 10, 5)));
        assertThat(picks.stream().mapToInt(Pick::plants).sum()).isEqualTo(50);
        assertThat(Allocation.propose(5, List.of())).isEmpty();
        assertThatThrownBy(() -> Allocation.propose(0, List.of())).hasMessageContaining("1 or more");
    }

    @Test
    void smallAndSpareOnesGoLastThoughTheyArePastTheirBestFirst() {
        ReadyTray spare =
                new ReadyTray(1, new LotId(5), new TrayId(1), List.of(1, 2, 3), List.of(1, 1, 1), DAY, true, true);
        List<Pick> picks = Allocation.propose(4, List.of(spare, tray(1, 5, 2, 4, 9)));
        assertThat(picks).extracting(pick -> pick.tray().number()).containsExactly(2L);
        assertThat(Allocation.propose(7, List.of(spare, tray(1, 5, 2, 4, 9), tray(1, 5, 3, 6, 9))))
                .as("a tray is split before the spare ones go")
                .extracting(pick -> pick.tray().number())
                .containsExactly(2L, 3L);
        assertThat(Allocation.propose(6, List.of(spare, tray(1, 5, 2, 4, 9))))
                .extracting(pick -> pick.tray().number())
                .containsExactly(2L, 1L);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void takesNoPlantTwiceAndNeverTooMany(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<ReadyTray> trays = new ArrayList<>();
        for (int number = 1; number <= 12; number++) {
            trays.add(tray(number / 3 + 1, number % 2, number, 1 + random.nextInt(60), random.nextInt(20)));
        }
        int wanted = 1 + random.nextInt(400);
        int ready = trays.stream().mapToInt(ReadyTray::plants).sum();
        List<Pick> picks = Allocation.propose(wanted, trays);
        assertThat(picks.stream().mapToInt(Pick::plants).sum()).isEqualTo(Math.min(wanted, ready));
        assertThat(picks.stream().map(Pick::tray)).doesNotHaveDuplicates();
        assertThat(picks.stream().filter(pick -> !pick.wholeTray()).count()).isLessThanOrEqualTo(1);
    }

    private static ReadyTray tray(int batch, long lot, long number, int plants, int daysLeft) {
        List<Integer> cells = IntStream.rangeClosed(1, plants).boxed().toList();
        return new ReadyTray(batch, new LotId(lot), new TrayId(number), cells, DAY.plusDays(daysLeft));
    }
}
