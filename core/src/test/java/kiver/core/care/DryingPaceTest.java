package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.growth.NormalHierarchy;
import org.junit.jupiter.api.Test;

/** Held against the same hierarchy solved as a whole: a nursery's effect and one of each group, every weighing counted once. */
class DryingPaceTest {

    private static final double NURSERY = 0.4;
    private static final double GROUP = 0.3;
    private static final double TRAY = 0.12;
    private static final double SCALES = 0.03;

    @Test
    void isWhatTheWholeHierarchySays() {
        Map<String, List<DryingPace.Dried>> weighings = Map.of(
                "bench", List.of(dried(0.5, 0.7), dried(0.4, 0.6), dried(0.3, 0.5)),
                "mat", List.of(dried(0.6, 0.55)),
                "frame", List.of(dried(0.4, 0.3), dried(0.5, 0.45)));
        Map<String, NormalHierarchy.Normal> before = new HashMap<>();
        before.put("nursery", new NormalHierarchy.Normal(0, NURSERY * NURSERY));
        List<NormalHierarchy.Seen<String>> seen = new ArrayList<>();
        weighings.forEach((group, all) -> {
            before.put(group, new NormalHierarchy.Normal(0, GROUP * GROUP));
            for (DryingPace.Dried each : all) {
                double scales = SCALES / Math.max(each.seen(), each.expected());
                seen.add(new NormalHierarchy.Seen<>(
                        List.of("nursery", group),
                        Math.log(each.seen() / each.expected()),
                        TRAY * TRAY + scales * scales));
            }
        });
        NormalHierarchy<String> whole = new NormalHierarchy<>(before, seen);

        DryingPace.Learnt<String> learnt = DryingPace.learnt(weighings);

        assertThat(learnt.byGroup()).hasSize(3);
        learnt.byGroup().forEach((group, pace) -> {
            NormalHierarchy.Normal known = whole.of(List.of("nursery", group));
            assertThat(Math.log(pace.factor())).as(group).isCloseTo(known.mean(), within(1e-9));
            assertThat(pace.deviation()).as(group).isCloseTo(Math.sqrt(known.variance() + TRAY * TRAY), within(1e-9));
        });
        NormalHierarchy.Normal nursery = whole.of(List.of("nursery"));
        assertThat(Math.log(learnt.elsewhere().factor())).isCloseTo(nursery.mean(), within(1e-9));
        assertThat(learnt.elsewhere().deviation())
                .isCloseTo(Math.sqrt(nursery.variance() + GROUP * GROUP + TRAY * TRAY), within(1e-9));
    }

    private static DryingPace.Dried dried(double expected, double seen) {
        return new DryingPace.Dried(expected, seen, false);
    }
}
