package kiver.core.outlook;

import java.util.Optional;
import kiver.core.batch.BatchState;
import kiver.core.crop.Crop;
import kiver.core.crop.PaceTelling;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.growth.PaceSpread;
import kiver.core.seed.Germination;

/** What a batch's counts of emergence tell of its crop at the place where it came up. */
public final class EmergenceTold {

    /** What tells less than this tells nothing: standard deviation of the logarithm of pace. */
    private static final double TOO_LITTLE = 0.3;

    /** A batch is not known better than this: warmth differs over a bench, and within a day. */
    private static final double BENCH = 0.04;

    private EmergenceTold() {}

    /**
     * The counts alone, without what was known of the pace before them.
     *
     * @param ahead the season
     * @param file of the batch
     * @param germination what is known of its lot, its own counts left out
     * @param untaught its crop as its figures say, with nothing taught
     * @return empty where nothing was counted, or too little to tell
     */
    public static Optional<PaceTelling> of(LookingAhead ahead, BatchFile file, Germination germination, Crop untaught) {
        BatchState state = file.state();
        Optional<BatchCourse> course = ahead.course(state, untaught);
        if (file.batch().isBoughtIn() || course.isEmpty() || state.cellsUp().isEmpty()) {
            return Optional.empty();
        }
        PaceSpread after =
                LookingAhead.watch(state, untaught, germination, course.get()).pace();
        double before = 1
                / square(EmergenceWatch.beforeAnyCount(untaught.learnt().paces().emergence()));
        double counted = 1 / square(Math.max(after.logDeviation(), BENCH)) - before;
        if (counted <= 1 / square(TOO_LITTLE)) {
            return Optional.empty();
        }
        double log = after.logMean() * (counted + before) / counted;
        return Optional.of(new PaceTelling(
                file.batch().number(), file.descent(), state.placements().get(0).place(), log, 1 / Math.sqrt(counted)));
    }

    private static double square(double value) {
        return value * value;
    }
}
