package kiver.core.learning;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * How long a piece of work takes, as the times of entries tell it: whoever enters one tray after the other takes so long for
 * the later one.
 *
 * @param seconds for a piece, in the middle
 * @param low a quarter took less
 * @param high a quarter took longer
 * @param entries that told, {@value #FEWEST} or more
 */
public record WorkSeen(double seconds, double low, double high, int entries) {

    /** Fewer tell nothing. */
    public static final int FEWEST = 5;

    /** What is entered quicker was done before and entered in one go. */
    private static final Duration LEAST = Duration.ofSeconds(10);

    /** Whoever enters nothing for longer did something else between. */
    private static final Duration MOST = Duration.ofMinutes(20);

    /**
     * An entry.
     *
     * @param person who worked
     * @param at when it was entered, in the nursery's time
     * @param pieces cells sown, or plants potted, 1 or more
     */
    public record Entered(long person, LocalDateTime at, int pieces) {}

    /** What entries tell; empty where too few follow one another. */
    public static Optional<WorkSeen> of(List<Entered> entries) {
        Map<Long, List<Entered>> byPerson = entries.stream()
                .filter(entry -> entry.pieces() > 0)
                .sorted(Comparator.comparing(Entered::at))
                .collect(Collectors.groupingBy(Entered::person));
        double[] seconds = byPerson.values().stream()
                .flatMapToDouble(WorkSeen::secondsAPiece)
                .sorted()
                .toArray();
        return seconds.length < FEWEST
                ? Optional.empty()
                : Optional.of(new WorkSeen(
                        quantile(seconds, 0.5), quantile(seconds, 0.25), quantile(seconds, 0.75), seconds.length));
    }

    private static DoubleStream secondsAPiece(List<Entered> entries) {
        DoubleStream.Builder seconds = DoubleStream.builder();
        for (int index = 1; index < entries.size(); index++) {
            Duration gap = Duration.between(
                    entries.get(index - 1).at(), entries.get(index).at());
            if (gap.compareTo(LEAST) >= 0 && gap.compareTo(MOST) <= 0) {
                seconds.add(gap.toSeconds() / (double) entries.get(index).pieces());
            }
        }
        return seconds.build();
    }

    private static double quantile(double[] sorted, double share) {
        double at = share * (sorted.length - 1);
        int below = (int) at;
        int above = Math.min(below + 1, sorted.length - 1);
        return sorted[below] + (at - below) * (sorted[above] - sorted[below]);
    }
}
