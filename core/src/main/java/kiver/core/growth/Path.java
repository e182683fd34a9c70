package kiver.core.growth;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What lies between sowing and release.
 *
 * @param pottings in the order of their leaves; empty for plants that stay where they were sown
 * @param leavesWanted true leaves at which hardening may begin, positive
 * @param leavesLimit true leaves at which the plant is past its best, above {@code leavesWanted} for a path that can
 *     be walked at all
 * @param daysLimit days after emergence, or after the last potting, at which roots circle; infinite where days do not
 *     count
 * @param hardeningDays days of hardening, 0 or more
 * @param winter how plants stand over winter where they harden, cold; empty for those that leave when they are ready
 */
public record Path(
        List<Potting> pottings,
        double leavesWanted,
        double leavesLimit,
        double daysLimit,
        int hardeningDays,
        Optional<OverWinter> winter) {

    private static final double IN_TIME = 0.95;

    public Path {
        pottings = List.copyOf(pottings);
        if (!(leavesWanted > 0) || !(daysLimit > 0) || hardeningDays < 0) {
            throw new IllegalArgumentException(
                    "Leaves wanted and the limit of days must be positive and hardening days not negative.");
        }
    }

    /** A path of plants that leave when they are ready. */
    public Path(List<Potting> pottings, double leavesWanted, double leavesLimit, double daysLimit, int hardeningDays) {
        this(pottings, leavesWanted, leavesLimit, daysLimit, hardeningDays, Optional.empty());
    }

    /** A path without pottings, on which only leaves limit the stay. */
    public Path(double leavesWanted, double leavesLimit, int hardeningDays) {
        this(List.of(), leavesWanted, leavesLimit, Double.POSITIVE_INFINITY, hardeningDays);
    }

    /** The same path with leaves alone as its limit. */
    public Path withoutDaysLimit() {
        return limited(leavesLimit, Double.POSITIVE_INFINITY);
    }

    /** The same path with other limits. */
    public Path limited(double leaves, double days) {
        return new Path(pottings, leavesWanted, leaves, days, hardeningDays, winter);
    }

    /** The same path with other pottings. */
    public Path with(List<Potting> otherPottings) {
        return new Path(otherPottings, leavesWanted, leavesLimit, daysLimit, hardeningDays, winter);
    }

    /**
     * The same path for plants that stand over winter. Roots hardly grow in the cold, so their days in the last container
     * count by the leaves made in them, as so many as plants in usual warmth make in those days.
     *
     * @param leavesPerDay in usual warmth, positive
     * @param how they stand over winter
     */
    public Path overWinter(double leavesPerDay, OverWinter how) {
        double potted =
                pottings.isEmpty() ? 0 : pottings.get(pottings.size() - 1).atLeaves();
        return new Path(
                pottings,
                leavesWanted,
                Math.max(leavesWanted, Math.min(leavesLimit, potted + daysLimit * leavesPerDay)),
                Double.POSITIVE_INFINITY,
                hardeningDays,
                Optional.of(how));
    }

    /**
     * Follows the path from where a batch stands, through one scenario.
     *
     * <p>Emergence where the seed lies, leaves where it grows on, then hardening, during which leaves go on unfolding
     * at the hardening place, days on which the plants stay in are had later,
     * and after which the plant waits there until it is past its best.
     */
    public Milestones from(Standing standing, Scenario scenario) {
        double emerged = standing.hasEmerged()
                ? standing.emergedAt()
                : scenario.emergence()
                        .timeReaching(standing.time(), scenario.emergencePace() - standing.emergenceProgress());
        double growingFrom = Math.max(standing.time(), emerged);
        if (emerged == ProgressSeries.NEVER) {
            return Milestones.NEVER;
        }
        double leaves = standing.leafProgress();
        double from = Math.max(growingFrom, checkedUntil(standing));
        double settledAt = standing.isPotted() ? standing.settledAt() : emerged;
        for (int index = standing.pottingsDone(); index < pottings.size() && !standing.hardeningStarted(); index++) {
            Potting potting = pottings.get(index);
            double potted = reached(scenario.growingOn(), from, potting.atLeaves() * scenario.leafPace() - leaves);
            if (potted == ProgressSeries.NEVER) {
                return new Milestones(emerged, potted, potted, potted);
            }
            leaves += scenario.growingOn().between(from, potted);
            from = potted + potting.checkDays();
            settledAt = potted;
        }
        double stage = standing.hardeningStarted()
                ? standing.time()
                : reached(scenario.growingOn(), from, leavesWanted * scenario.leafPace() - leaves);
        if (stage == ProgressSeries.NEVER) {
            return new Milestones(emerged, stage, stage, stage);
        }
        double ready = reached(scenario.daysOut(), stage, hardeningDays - standing.hardeningDaysDone());
        double leavesAtStage = leaves + scenario.growingOn().between(from, stage);
        double pastLeaves = reached(scenario.hardening(), stage, leavesLimit * scenario.leafPace() - leavesAtStage);
        return new Milestones(emerged, stage, ready, Math.min(pastLeaves, settledAt + daysLimit));
    }

    /**
     * When hardening has to begin to be over on the morning of a day in nineteen of twenty ways the season may go; at once
     * for plants that stand over winter, which do so where they harden.
     *
     * @param due that morning, days since the first day of the scenarios
     * @param scenarios not empty
     */
    public double hardeningFrom(double due, List<Scenario> scenarios) {
        if (winter.isPresent()) {
            return 0;
        }
        if (hardeningDays == 0) {
            return due;
        }
        double[] starts = scenarios.stream()
                .mapToDouble(scenario -> scenario.daysOut().latestStart(due, hardeningDays))
                .sorted()
                .toArray();
        return starts[(int) (starts.length * (1 - IN_TIME))];
    }

    /**
     * When the pottings still to come fall in one scenario, in days since its first day.
     *
     * @return one time for each potting after those done; {@link ProgressSeries#NEVER} where it is not reached
     */
    public double[] pottingTimes(Standing standing, Scenario scenario) {
        double[] times = new double[Math.max(0, pottings.size() - standing.pottingsDone())];
        double emerged = standing.hasEmerged()
                ? standing.emergedAt()
                : scenario.emergence()
                        .timeReaching(standing.time(), scenario.emergencePace() - standing.emergenceProgress());
        double from = Math.max(Math.max(standing.time(), emerged), checkedUntil(standing));
        double leaves = standing.leafProgress();
        for (int index = 0; index < times.length; index++) {
            Potting potting = pottings.get(standing.pottingsDone() + index);
            times[index] = from == ProgressSeries.NEVER
                    ? ProgressSeries.NEVER
                    : reached(scenario.growingOn(), from, potting.atLeaves() * scenario.leafPace() - leaves);
            if (times[index] != ProgressSeries.NEVER) {
                leaves += scenario.growingOn().between(from, times[index]);
            }
            from = times[index] + potting.checkDays();
        }
        return times;
    }

    /**
     * When the pottings still to come most likely fall, over equally likely scenarios.
     *
     * @return in their order; one that half of the scenarios do not reach ends the list
     */
    public List<DateSpread> pottingSpreads(Standing standing, List<Scenario> scenarios) {
        if (standing.hardeningStarted() || standing.pottingsDone() >= pottings.size()) {
            return List.of();
        }
        double[][] times = scenarios.stream()
                .map(scenario -> pottingTimes(standing, scenario))
                .toArray(double[][]::new);
        ProgressSeries series = scenarios.get(0).growingOn();
        List<DateSpread> spreads = new ArrayList<>();
        for (int index = 0; index < times[0].length; index++) {
            int potting = index;
            Optional<DateSpread> spread = DateSpread.of(
                    series.firstDay(),
                    series.firstDay().plusDays((long) series.end() - 1),
                    Arrays.stream(times).mapToDouble(each -> each[potting]).toArray());
            if (spread.isEmpty()) {
                break;
            }
            spreads.add(spread.get());
        }
        return List.copyOf(spreads);
    }

    /** When the check of the last potting is over; 0 where there was none. */
    private double checkedUntil(Standing standing) {
        int last = Math.min(standing.pottingsDone(), pottings.size()) - 1;
        return standing.isPotted() && last >= 0
                ? standing.settledAt() + pottings.get(last).checkDays()
                : 0;
    }

    private static double reached(ProgressSeries series, double from, double progress) {
        return progress <= 0 ? from : series.timeReaching(from, progress);
    }
}
