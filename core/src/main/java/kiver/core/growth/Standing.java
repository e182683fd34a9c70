package kiver.core.growth;

/**
 * How far a batch has come at some time. A planned batch stands at its sowing with nothing done.
 *
 * @param time days since the scenario's first day
 * @param emergenceProgress made so far, 0 or more; not used once {@code emergedAt} is known
 * @param emergedAt when the median seedling was up, or {@link ProgressSeries#NEVER} while it is not
 * @param leafProgress true leaves made so far at the crop's mean pace, 0 or more
 * @param pottingsDone moves into larger containers already made, 0 or more
 * @param settledAt when the last of them was made, or {@link ProgressSeries#NEVER} where there was none
 * @param hardeningStarted whether it has left the growing place for hardening
 * @param hardeningDaysDone days of hardening already had, 0 or more
 */
public record Standing(
        double time,
        double emergenceProgress,
        double emergedAt,
        double leafProgress,
        int pottingsDone,
        double settledAt,
        boolean hardeningStarted,
        int hardeningDaysDone) {

    /** About to be sown on the morning of a day. */
    public static Standing sownAt(double time) {
        return new Standing(time, 0, ProgressSeries.NEVER, 0, 0, ProgressSeries.NEVER, false, 0);
    }

    /** Plants raised elsewhere, about to arrive on the morning of a day with so many true leaves. */
    public static Standing arrivingAt(double time, double leaves) {
        return new Standing(time, 0, time, leaves, 0, ProgressSeries.NEVER, false, 0);
    }

    /** Whether the median seedling is up. */
    public boolean hasEmerged() {
        return emergedAt != ProgressSeries.NEVER;
    }

    /** The same after so many moves into larger containers, the last of them at a time. */
    public Standing potted(int pottings, double lastAt) {
        return new Standing(
                time,
                emergenceProgress,
                emergedAt,
                leafProgress,
                pottings,
                lastAt,
                hardeningStarted,
                hardeningDaysDone);
    }

    /** The same with so many true leaves at the crop's mean pace, 0 or more. */
    public Standing withLeaves(double leaves) {
        return new Standing(
                time,
                emergenceProgress,
                emergedAt,
                leaves,
                pottingsDone,
                settledAt,
                hardeningStarted,
                hardeningDaysDone);
    }

    /** Whether any plant of it was potted on. */
    public boolean isPotted() {
        return settledAt != ProgressSeries.NEVER;
    }
}
