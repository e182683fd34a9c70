package kiver.core.care;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How fast trays dry beside what {@link Drinking} says: a log-normal factor, learnt from weighings.
 *
 * <p>Each group of trays (container, crop and place) borrows from what the whole nursery showed until it has weighings of its
 * own; both are normal in the logarithm, so every step is a mean by precisions.
 *
 * @param factor 1 as worked out, 1.3 where trays dry by three tenths faster
 * @param deviation of its logarithm
 */
public record DryingPace(double factor, double deviation) {

    /** Between nurseries, of the logarithm: what a stranger's figures are worth. */
    private static final double NURSERY = 0.4;

    /** Between groups of one nursery. */
    private static final double GROUP = 0.3;

    /** Between trays of a group, and from day to day. */
    private static final double TRAY = 0.12;

    /** Of what a tray holds; two weighings are each off by a little. */
    private static final double SCALES = 0.03;

    /** Less than this between two weighings tells nothing. */
    private static final double LEAST_TOLD = 0.08;

    private static final double LEAST_SEEN = 0.01;

    /** Before anything was weighed. */
    public static final DryingPace UNLEARNT = new DryingPace(1, Math.hypot(Math.hypot(NURSERY, GROUP), TRAY));

    /**
     * What went from a tray between a soaking or weighing and the next weighing.
     *
     * @param expected share of what it holds, at the pace worked out
     * @param seen share of what it holds
     * @param toTheEnd whether nothing was left, so that it went at least so fast
     */
    public record Dried(double expected, double seen, boolean toTheEnd) {

        boolean tells() {
            return expected >= LEAST_TOLD && seen >= LEAST_SEEN;
        }

        private double logarithm() {
            return Math.log(seen / expected);
        }

        private double variance() {
            double scales = SCALES / Math.max(seen, expected);
            return TRAY * TRAY + scales * scales;
        }
    }

    /** What was learnt of each group, and of the nursery for groups of which nothing is known. */
    public record Learnt<Group>(Map<Group, DryingPace> byGroup, DryingPace elsewhere) {

        /** How fast a group's trays dry. */
        public DryingPace of(Group group) {
            return byGroup.getOrDefault(group, elsewhere);
        }
    }

    private record Told(double mean, double variance) {

        /** What dried to the end tells of trays that dry faster than the others told, and nothing of slower ones. */
        static Optional<Told> of(List<Dried> all) {
            List<Dried> dried = all.stream().filter(Dried::tells).toList();
            double atLeast = byPrecision(
                            dried.stream().filter(each -> !each.toTheEnd()).toList())
                    .map(Told::mean)
                    .orElse(0.0);
            return byPrecision(dried.stream()
                    .filter(each -> !each.toTheEnd() || each.logarithm() > atLeast)
                    .toList());
        }

        private static Optional<Told> byPrecision(List<Dried> dried) {
            double weights =
                    dried.stream().mapToDouble(each -> 1 / each.variance()).sum();
            double pull = dried.stream()
                    .mapToDouble(each -> each.logarithm() / each.variance())
                    .sum();
            return dried.isEmpty() ? Optional.empty() : Optional.of(new Told(pull / weights, 1 / weights));
        }
    }

    /** What some groups' weighings teach. */
    public static <Group> Learnt<Group> learnt(Map<Group, List<Dried>> weighings) {
        Map<Group, Told> told = new HashMap<>();
        weighings.forEach((group, dried) -> Told.of(dried).ifPresent(each -> told.put(group, each)));
        double precision = 1 / (NURSERY * NURSERY);
        double sum = 0;
        for (Told each : told.values()) {
            double weight = 1 / (GROUP * GROUP + each.variance());
            precision += weight;
            sum += weight * each.mean();
        }
        Map<Group, DryingPace> byGroup = new HashMap<>();
        for (Map.Entry<Group, Told> entry : told.entrySet()) {
            Told each = entry.getValue();
            // What the others told comes first; its own weighings are counted once.
            double weight = 1 / (GROUP * GROUP + each.variance());
            double others = precision - weight;
            double mean = (sum - weight * each.mean()) / others;
            double prior = 1 / (GROUP * GROUP + 1 / others);
            double own = 1 / each.variance();
            byGroup.put(
                    entry.getKey(),
                    new DryingPace(
                            Math.exp((mean * prior + each.mean() * own) / (prior + own)),
                            Math.sqrt(1 / (prior + own) + TRAY * TRAY)));
        }
        return new Learnt<>(
                byGroup,
                new DryingPace(Math.exp(sum / precision), Math.sqrt(1 / precision + GROUP * GROUP + TRAY * TRAY)));
    }
}
