package kiver.core.growth;

import java.util.ArrayList;
import java.util.List;

/**
 * The part of a winter in which plants that stand cold make next to no leaves: from the day on which less than one true leaf
 * is to be expected in the four weeks that follow, over all ways the season may go, to the day on which that is over.
 *
 * @param from days since the first day of the scenarios
 * @param until the same, after {@code from}; the end of the scenarios where it is not over by then
 */
public record WinterRest(double from, double until) {

    private static final int FOUR_WEEKS = 28;

    /** A cold week in autumn is no winter. */
    private static final int SHORTEST = 21;

    /**
     * All rests in the days of the scenarios, in order; none where plants go on growing.
     *
     * @param scenarios through which they stand, not empty
     */
    public static List<WinterRest> in(List<Scenario> scenarios) {
        double end = scenarios.get(0).hardening().end();
        List<WinterRest> rests = new ArrayList<>();
        int from = -1;
        for (int day = 0; day <= end - FOUR_WEEKS; day++) {
            boolean still = leavesInFourWeeks(scenarios, day) < 1;
            if (still && from < 0) {
                from = day;
            } else if (!still && from >= 0) {
                add(rests, from, day);
                from = -1;
            }
        }
        if (from >= 0) {
            add(rests, from, end);
        }
        return List.copyOf(rests);
    }

    private static void add(List<WinterRest> rests, double from, double until) {
        if (until - from >= SHORTEST) {
            rests.add(new WinterRest(from, until));
        }
    }

    private static double leavesInFourWeeks(List<Scenario> scenarios, int day) {
        double leaves = 0;
        for (Scenario scenario : scenarios) {
            leaves += scenario.hardening().between(day, day + FOUR_WEEKS) / scenario.leafPace();
        }
        return leaves / scenarios.size();
    }
}
