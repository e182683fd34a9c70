package kiver.core.growth;

import java.util.List;
import java.util.Optional;

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
     * The rest that begins last before a day; empty where plants go on growing.
     *
     * @param scenarios through which they stand, not empty
     * @param first day that is looked at, in days since the first of the scenarios
     * @param due day before which it begins
     */
    public static Optional<WinterRest> before(List<Scenario> scenarios, double first, double due) {
        int end = (int) scenarios.get(0).hardening().end() - FOUR_WEEKS;
        Optional<WinterRest> found = Optional.empty();
        int from = -1;
        for (int day = (int) first; day <= end; day++) {
            boolean rests = leavesInFourWeeks(scenarios, day) < 1;
            if (rests && from < 0) {
                if (day >= due) {
                    break;
                }
                from = day;
            } else if (!rests && from >= 0) {
                found = lastingOr(found, from, day);
                from = -1;
            }
        }
        return from < 0
                ? found
                : lastingOr(found, from, scenarios.get(0).hardening().end());
    }

    private static Optional<WinterRest> lastingOr(Optional<WinterRest> before, double from, double until) {
        return until - from < SHORTEST ? before : Optional.of(new WinterRest(from, until));
    }

    private static double leavesInFourWeeks(List<Scenario> scenarios, int day) {
        double leaves = 0;
        for (Scenario scenario : scenarios) {
            leaves += scenario.hardening().between(day, day + FOUR_WEEKS) / scenario.leafPace();
        }
        return leaves / scenarios.size();
    }
}
