package kiver.core.growth;

/**
 * When a batch passes the marks on its path in one scenario, in days since the scenario's first day;
 * {@link ProgressSeries#NEVER} for a mark not reached before the scenario ends.
 *
 * @param emerged the median seedling is up
 * @param stageReached enough true leaves to begin hardening
 * @param ready hardened and fit for release
 * @param pastLimit past its best
 */
public record Milestones(double emerged, double stageReached, double ready, double pastLimit) {

    /** No mark is ever reached. */
    public static final Milestones NEVER =
            new Milestones(ProgressSeries.NEVER, ProgressSeries.NEVER, ProgressSeries.NEVER, ProgressSeries.NEVER);

    /**
     * Whether plants are ready and not past their best on a day.
     *
     * @param time the morning of that day
     */
    public boolean fitOn(double time) {
        return ready <= time + 1 && pastLimit >= time;
    }
}
