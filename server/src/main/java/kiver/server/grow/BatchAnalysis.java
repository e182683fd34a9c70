package kiver.server.grow;

import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.grow.BatchCourse;
import kiver.core.grow.BatchForecast;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.plan.ContainerPath;
import kiver.core.space.Stay;
import kiver.server.batch.BatchFile;

/**
 * A batch with all that can be worked out about it today.
 *
 * @param file as recorded
 * @param crop it is of
 * @param container its plants are handed over in
 * @param containers it passes
 * @param path it is on
 * @param standing where it stands on that path
 * @param pace what is known of its pace
 * @param way the places it is passing through, moves already made included
 * @param course what temperatures did to it; empty before sowing
 * @param watch on its emergence; empty before sowing
 * @param expectedUp cells that should show something by this morning
 * @param verdict on its emergence
 * @param chanceEnough that enough cells come up, or are alive once all is counted; 0 to 1
 * @param forecast of its dates
 * @param leavesNow true leaves by now, 0 before emergence
 * @param leggy whether it stands in too little light
 * @param stays room it takes from today on, as most likely
 */
public record BatchAnalysis(
        BatchFile file, Crop crop, Container container, ContainerPath containers, Path path, Standing standing,
        PaceSpread pace, Way way, Optional<BatchCourse> course,
        Optional<EmergenceWatch> watch, double expectedUp, EmergenceVerdict verdict, double chanceEnough,
        BatchForecast forecast, double leavesNow, boolean leggy, List<Stay> stays) {

    /** Where the batch is on its path. */
    public BatchStage stage() {
        return file.state().stage();
    }

    /** The chance that its order is met from it whole and in time, 0 to 1. */
    public double chance() {
        if (file.state().balance().released() >= file.batch().plants()) {
            return 1;
        }
        return switch (stage()) {
            case RELEASED -> 1;
            case FAILED -> 0;
            default -> forecast.chanceOnTarget() * chanceEnough;
        };
    }
}
