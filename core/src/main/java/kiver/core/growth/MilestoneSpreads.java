package kiver.core.growth;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * The marks on a path in every scenario, read as spreads of dates.
 *
 * @param firstDay of the scenarios
 * @param lastDay looked at
 * @param milestones one entry for each scenario; not empty
 */
public record MilestoneSpreads(LocalDate firstDay, LocalDate lastDay, Milestones[] milestones) {

    /** When that mark is passed; nothing when fewer than half of the scenarios pass it. */
    public Optional<DateSpread> of(ToDoubleFunction<Milestones> mark) {
        double[] times = Arrays.stream(milestones).mapToDouble(mark).toArray();
        return DateSpread.of(firstDay, lastDay, times);
    }
}
