package kiver.core.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import kiver.core.batch.BatchState;

/** When something that was forecast happened, as counts tell it; empty where they lie too far apart to tell. */
public final class Happened {

    /** Counts further apart leave the day open: it would be judged by where in the gap it is taken to lie. */
    private static final int LONGEST_GAP = 7;

    /** Emergence is foretold to within a few days, so it takes counts that lie closer. */
    private static final int LONGEST_GAP_OF_EMERGENCE = 3;

    private Happened() {}

    /** The day on which half of what came up in the end was up. */
    public static Optional<LocalDate> halfUp(BatchState state) {
        int inTheEnd = state.cellsUp().values().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
        if (!state.isCompletelyCounted() || inTheEnd == 0) {
            return Optional.empty();
        }
        SortedMap<LocalDate, Double> counts = new TreeMap<>();
        state.sownOn().ifPresent(sown -> counts.put(sown, 0.0));
        state.cellsUp().forEach((day, cells) -> counts.put(day, cells.doubleValue()));
        return reaching(counts, inTheEnd / 2.0, LONGEST_GAP_OF_EMERGENCE);
    }

    /**
     * The day on which its plants had enough leaves.
     *
     * @param leaves true leaves, above 0
     */
    public static Optional<LocalDate> leavesReached(BatchState state, double leaves) {
        SortedMap<LocalDate, Double> counts = new TreeMap<>();
        state.looks().forEach((day, look) -> {
            if (!look.leaves().isEmpty()) {
                counts.put(
                        day,
                        look.leaves().stream()
                                .mapToInt(Integer::intValue)
                                .average()
                                .orElseThrow());
            }
        });
        return reaching(counts, leaves, LONGEST_GAP);
    }

    /** Between two counts, each of a morning, what is counted rises in a straight line; the day is the one into which that falls. */
    private static Optional<LocalDate> reaching(SortedMap<LocalDate, Double> counts, double wanted, int longestGap) {
        LocalDate before = null;
        double had = 0;
        for (Map.Entry<LocalDate, Double> count : counts.entrySet()) {
            if (count.getValue() >= wanted) {
                if (before == null) {
                    return Optional.empty();
                }
                long gap = ChronoUnit.DAYS.between(before, count.getKey());
                return gap > longestGap
                        ? Optional.empty()
                        : Optional.of(before.plusDays((long) (gap * (wanted - had) / (count.getValue() - had))));
            }
            before = count.getKey();
            had = count.getValue();
        }
        return Optional.empty();
    }
}
