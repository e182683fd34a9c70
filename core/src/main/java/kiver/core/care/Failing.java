package kiver.core.care;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Why plants of a batch fail, as far as their own record can tell: what usually lies behind a sign, weighed by what was noted of
 * water, feed, light, warmth and roots.
 *
 * <p>Each cause begins with how often it lies behind the sign where nothing is known (water most often), and is made likelier by
 * what speaks for it and less likely by what speaks against it: a naive Bayes of a handful of facts, which says what is worth
 * looking at first and is no diagnosis.
 */
public final class Failing {

    /** So much more often a fact is seen where its cause is at work than where it is not. */
    private static final double SPEAKS_FOR = 5;

    /** Where the record rules a cause out as far as it goes. */
    private static final double SPEAKS_AGAINST = 0.25;

    /** Below this share of the whole a cause is not worth a look. */
    private static final double WORTH_A_LOOK = 0.05;

    /** The likeliest is told as such when it is so much likelier than the next. */
    private static final double CLEARLY = 1.8;

    private Failing() {}

    /** What somebody sees. */
    public enum Sign {
        YELLOW,
        PINCHED_AT_BASE,
        STRETCHED,
        PURPLE,
        STUNTED,
        DROOPING,
        SNAPPED_OFF
    }

    /** What may lie behind it. */
    public enum Cause {
        TOO_WET,
        TOO_DRY,
        HUNGRY,
        TOO_STRONG_FEED,
        TOO_COLD,
        TOO_HOT,
        TOO_DARK,
        DAMPING_OFF,
        CROWDED_ROOTS,
        EATEN
    }

    /** What the record says of a cause. */
    public enum Evidence {
        FOR,
        AGAINST,
        /** Nothing was noted that could tell. */
        NONE
    }

    /**
     * A cause with how likely it is.
     *
     * @param share of all causes, 0 to 1
     */
    public record Suspect(Cause cause, double share, Evidence evidence) {}

    /**
     * The causes that are worth a look, the likeliest first.
     *
     * @param clear whether the first stands out; otherwise the record cannot tell
     */
    public record Answer(List<Suspect> suspects, boolean clear) {}

    private static final Map<Sign, Map<Cause, Double>> USUALLY = new EnumMap<>(Map.of(
            Sign.YELLOW,
                    Map.of(
                            Cause.TOO_WET,
                            0.4,
                            Cause.HUNGRY,
                            0.3,
                            Cause.CROWDED_ROOTS,
                            0.12,
                            Cause.TOO_COLD,
                            0.1,
                            Cause.TOO_DARK,
                            0.08),
            Sign.PINCHED_AT_BASE, Map.of(Cause.DAMPING_OFF, 0.65, Cause.TOO_WET, 0.25, Cause.TOO_HOT, 0.1),
            Sign.STRETCHED, Map.of(Cause.TOO_DARK, 0.8, Cause.TOO_HOT, 0.12, Cause.CROWDED_ROOTS, 0.08),
            Sign.PURPLE, Map.of(Cause.TOO_COLD, 0.5, Cause.HUNGRY, 0.3, Cause.TOO_WET, 0.2),
            Sign.STUNTED,
                    Map.of(
                            Cause.TOO_WET,
                            0.25,
                            Cause.TOO_COLD,
                            0.25,
                            Cause.HUNGRY,
                            0.2,
                            Cause.CROWDED_ROOTS,
                            0.2,
                            Cause.TOO_STRONG_FEED,
                            0.1),
            Sign.DROOPING,
                    Map.of(Cause.TOO_DRY, 0.4, Cause.TOO_WET, 0.35, Cause.TOO_HOT, 0.15, Cause.TOO_STRONG_FEED, 0.1),
            Sign.SNAPPED_OFF, Map.of(Cause.EATEN, 0.85, Cause.DAMPING_OFF, 0.15)));

    /** What lies behind a sign, by what the record says of each cause; a cause it says nothing of is left as it usually is. */
    public static Answer of(Sign sign, Map<Cause, Evidence> record) {
        Map<Cause, Double> usually = USUALLY.get(sign);
        double all = usually.entrySet().stream()
                .mapToDouble(each -> each.getValue() * weight(record, each.getKey()))
                .sum();
        List<Suspect> suspects = Arrays.stream(Cause.values())
                .filter(usually::containsKey)
                .map(cause -> new Suspect(
                        cause,
                        usually.get(cause) * weight(record, cause) / all,
                        record.getOrDefault(cause, Evidence.NONE)))
                .filter(suspect -> suspect.share() >= WORTH_A_LOOK)
                .sorted(Comparator.comparingDouble(Suspect::share).reversed())
                .toList();
        boolean clear = suspects.get(0).evidence() == Evidence.FOR
                && (suspects.size() == 1
                        || suspects.get(0).share() >= CLEARLY * suspects.get(1).share());
        return new Answer(suspects, clear);
    }

    private static double weight(Map<Cause, Evidence> record, Cause cause) {
        return switch (record.getOrDefault(cause, Evidence.NONE)) {
            case FOR -> SPEAKS_FOR;
            case AGAINST -> SPEAKS_AGAINST;
            case NONE -> 1;
        };
    }
}
