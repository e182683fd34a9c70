package kiver.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import kiver.core.learning.WorkSeen.Entered;
import org.junit.jupiter.api.Test;

class WorkSeenTest {

    private static final LocalDateTime MORNING = LocalDateTime.of(2027, 3, 4, 8, 0);

    private static List<Entered> trays(long person, int... minutes) {
        List<Entered> entries = new ArrayList<>();
        for (int minute : minutes) {
            entries.add(new Entered(person, MORNING.plusMinutes(minute), 60));
        }
        return entries;
    }

    /** By hand: 10, 10, 12, 8 and 20 minutes for sixty cells each are 10, 10, 12, 8 and 20 seconds a cell. */
    @Test
    void trayAfterTrayTellsHowLongACellTakes() {
        WorkSeen seen = WorkSeen.of(trays(1, 0, 10, 20, 32, 40, 60)).orElseThrow();
        assertThat(seen.seconds()).isCloseTo(10, within(1e-9));
        assertThat(seen.low()).isCloseTo(10, within(1e-9));
        assertThat(seen.high()).isCloseTo(12, within(1e-9));
        assertThat(seen.entries()).isEqualTo(5);
    }

    @Test
    void breaksAndWhatIsEnteredInOneGoAndOtherPeopleTellNothing() {
        assertThat(WorkSeen.of(trays(1, 0, 30, 60, 90, 120, 150))).isEmpty();
        assertThat(WorkSeen.of(trays(1, 0, 0, 0, 0, 0, 0, 0))).isEmpty();
        List<Entered> two = new ArrayList<>(trays(1, 0, 10, 20));
        two.addAll(trays(2, 5, 15, 25));
        assertThat(WorkSeen.of(two)).as("four gaps").isEmpty();
        assertThat(WorkSeen.of(List.of())).isEmpty();
    }
}
