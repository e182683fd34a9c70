package kiver.core.growth;

/**
 * What lies between sowing and release.
 *
 * @param leavesWanted true leaves at which hardening may begin, positive
 * @param leavesLimit true leaves at which the plant is past its best, above {@code leavesWanted} for a path that can
 *     be walked at all
 * @param hardeningDays days of hardening, 0 or more
 */
public record Path(double leavesWanted, double leavesLimit, int hardeningDays) {

    public Path {
        if (!(leavesWanted > 0) || hardeningDays < 0) {
            throw new IllegalArgumentException("Leaves wanted must be positive and hardening days not negative.");
        }
    }

    /**
     * Follows the path from where a batch stands, through one scenario.
     *
     * <p>Emergence where the seed lies, leaves where it grows on, then hardening, during which leaves go on unfolding
     * at the hardening place and after which the plant waits there until it is past its best.
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
        double stage = standing.hardeningStarted()
                ? standing.time()
                : reached(scenario.growingOn(), growingFrom, remaining(leavesWanted, standing, scenario));
        if (stage == ProgressSeries.NEVER) {
            return new Milestones(emerged, stage, stage, stage);
        }
        double ready = stage + Math.max(0, hardeningDays - standing.hardeningDaysDone());
        double leavesAtStage = standing.leafProgress() + scenario.growingOn().between(growingFrom, stage);
        double pastLimit = reached(scenario.hardening(), stage, leavesLimit * scenario.leafPace() - leavesAtStage);
        return new Milestones(emerged, stage, ready, pastLimit);
    }

    private static double remaining(double leaves, Standing standing, Scenario scenario) {
        return leaves * scenario.leafPace() - standing.leafProgress();
    }

    private static double reached(ProgressSeries series, double from, double progress) {
        return progress <= 0 ? from : series.timeReaching(from, progress);
    }
}
