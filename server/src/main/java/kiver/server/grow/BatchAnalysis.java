package kiver.server.grow;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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
import kiver.server.batch.Promised;
import kiver.server.wording.Said;

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
 * @param expectedAtCount cells that should have shown something on the day of the last count; 0 before one
 * @param verdict on its emergence
 * @param chanceEnough that enough cells come up, or are alive once all is counted; 0 to 1
 * @param forecast of its dates
 * @param chanceByLine that each line it is promised to gets its plants whole and in time, 0 to 1, by the line's number in
 *     the database
 * @param leavesNow true leaves by now, 0 before emergence
 * @param leggy whether it stands in too little light
 * @param stays room it takes from today on, as most likely
 * @param lossTonight share likely lost to the coming night where it stands, 0 to 1; 0 once it was brought in or covered
 * @param problem why it could not be worked out, in words; empty when it was
 */
public record BatchAnalysis(
        BatchFile file, Crop crop, Container container, ContainerPath containers, Path path, Standing standing,
        PaceSpread pace, Way way, Optional<BatchCourse> course,
        Optional<EmergenceWatch> watch, double expectedUp, double expectedAtCount, EmergenceVerdict verdict, double chanceEnough,
        BatchForecast forecast, Map<Long, Double> chanceByLine, double leavesNow, boolean leggy, List<Stay> stays, double lossTonight, Optional<Said> problem) {

    /** A batch of which nothing could be worked out; it is shown with what was recorded, among the others. */
    static BatchAnalysis notComputable(BatchFile file, Crop crop, ContainerPath containers) {
        Path path = new Path(List.of(), 1, 1, Double.POSITIVE_INFINITY, 0);
        BatchForecast nothing = new BatchForecast(
                Optional.empty(), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), 0);
        return new BatchAnalysis(
                file, crop, containers.last(), containers, path, Standing.sownAt(0), PaceSpread.BEFORE_ANY_COUNT,
                file.batch().way(), Optional.empty(), Optional.empty(), 0, 0, EmergenceVerdict.TOO_SOON_TO_TELL, 0,
                nothing, Map.of(), 0, false, List.of(), 0,
                Optional.of(file.problem().orElse(Said.of("Its dates and figures cannot be worked out; check its days and its plan."))));
    }


    /** A batch of which all plants have gone; nothing lies ahead of it. */
    static BatchAnalysis over(BatchFile file, Crop crop, ContainerPath containers) {
        Path path = new Path(List.of(), 1, 1, Double.POSITIVE_INFINITY, 0);
        BatchForecast nothing = new BatchForecast(
                Optional.empty(), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), 0);
        Map<Long, Integer> released = file.releasedByLine();
        Map<Long, Double> served = file.promises().stream().collect(Collectors.toMap(
                Promised::lineId,
                promise -> released.getOrDefault(promise.lineId(), 0) >= promise.accepted() ? 1.0 : 0.0));
        return new BatchAnalysis(
                file, crop, containers.last(), containers, path, Standing.sownAt(0), PaceSpread.BEFORE_ANY_COUNT,
                file.batch().way(), Optional.empty(), Optional.empty(), 0, 0, EmergenceVerdict.ON_COURSE, 1, nothing, served,
                0, false, List.of(), 0, file.problem());
    }

    /** The same with what the coming night may take. */
    BatchAnalysis losingTonight(double share) {
        return new BatchAnalysis(
                file, crop, container, containers, path, standing, pace, way, course, watch, expectedUp, expectedAtCount,
                verdict, chanceEnough, forecast, chanceByLine, leavesNow, leggy, stays, share, problem);
    }

    /** Where the batch is on its path. */
    public BatchStage stage() {
        return file.state().stage();
    }

    /** The chance that a line gets its plants from it whole and in time, 0 to 1; 0 for a line it is not promised to. */
    public double chanceFor(long lineId) {
        return switch (stage()) {
            case FAILED -> chanceByLine.getOrDefault(lineId, 0.0) >= 1 ? 1 : 0;
            default -> chanceByLine.getOrDefault(lineId, 0.0) >= 1 ? 1 : chanceByLine.getOrDefault(lineId, 0.0) * (1 - lossTonight);
        };
    }

    /** The chance that all that was promised of it is met whole and in time, 0 to 1. */
    public double chance() {
        if (file.stillWanted() == 0) {
            return 1;
        }
        return switch (stage()) {
            case RELEASED -> 1;
            case FAILED -> 0;
            default -> forecast.chanceOnTarget() * chanceEnough * (1 - lossTonight);
        };
    }
}
