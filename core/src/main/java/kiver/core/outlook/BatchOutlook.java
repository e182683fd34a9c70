package kiver.core.outlook;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.Path;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.plan.ContainerPath;
import kiver.core.space.Stay;

/**
 * A batch with all that can be worked out about it on a day.
 *
 * @param file as recorded
 * @param crop it is of
 * @param containers it passes
 * @param journey it is on
 * @param emerging how it comes up
 * @param chances of giving what is wanted of it
 * @param forecast of its dates
 * @param leggy whether it stands in too little light
 * @param stays room it takes from that day on, as most likely
 * @param lossTonight share likely lost to the coming night where it stands, 0 to 1; 0 once it was brought in or covered
 * @param trouble why it could not be worked out; empty when it was
 */
public record BatchOutlook(
        BatchFile file, Crop crop, ContainerPath containers, Journey journey, Emerging emerging, Chances chances,
        BatchForecast forecast, boolean leggy, List<Stay> stays, double lossTonight, Optional<BatchTrouble> trouble) {

    public BatchOutlook {
        stays = List.copyOf(stays);
    }

    /** A batch of which nothing could be worked out; it is shown with what was recorded, among the others. */
    public static BatchOutlook notComputable(BatchFile file, Crop crop, ContainerPath containers) {
        return new BatchOutlook(
                file, crop, containers, Journey.none(file.batch().way()), Emerging.UNKNOWN, Chances.NONE,
                BatchForecast.NONE, false, List.of(), 0,
                Optional.of(file.trouble().orElseGet(BatchTrouble.NotComputable::new)));
    }

    /** A batch of which all plants have gone; nothing lies ahead of it. */
    public static BatchOutlook over(BatchFile file, Crop crop, ContainerPath containers) {
        Map<Long, Integer> released = file.releasedByLine();
        Map<Long, Double> served = file.promises().stream().collect(Collectors.toMap(
                Promised::lineId,
                promise -> released.getOrDefault(promise.lineId(), 0) >= promise.accepted() ? 1.0 : 0.0));
        return new BatchOutlook(
                file, crop, containers, Journey.none(file.batch().way()), Emerging.nothing(EmergenceVerdict.ON_COURSE),
                new Chances(1, served), BatchForecast.NONE, false, List.of(), 0, file.trouble());
    }

    /** The same with what the coming night may take. */
    public BatchOutlook losingTonight(double share) {
        return new BatchOutlook(
                file, crop, containers, journey, emerging, chances, forecast, leggy, stays, share, trouble);
    }

    /** Its number. */
    public int number() {
        return file.batch().number();
    }

    /** Where the batch is on its path. */
    public BatchStage stage() {
        return file.state().stage();
    }

    /** The container its plants are handed over in. */
    public Container container() {
        return containers.last();
    }

    /** The path it is on. */
    public Path path() {
        return journey.path();
    }

    /** Where it stands on its path. */
    public Standing standing() {
        return journey.standing();
    }

    /** The places it is passing through, moves already made included. */
    public Way way() {
        return journey.way();
    }

    /** True leaves by now, 0 before emergence. */
    public double leavesNow() {
        return journey.standing().leafProgress();
    }

    /** The chance that a line gets its plants from it whole and in time, 0 to 1; 0 for a line it is not promised to. */
    public double chanceFor(long lineId) {
        double chance = chances.byLine().getOrDefault(lineId, 0.0);
        if (chance >= 1) {
            return 1;
        }
        return stage() == BatchStage.FAILED ? 0 : chance * (1 - lossTonight);
    }

    /** The chance that all that was promised of it is met whole and in time, 0 to 1. */
    public double chance() {
        if (file.stillWanted() == 0) {
            return 1;
        }
        return switch (stage()) {
            case RELEASED -> 1;
            case FAILED -> 0;
            default -> forecast.chanceOnTarget() * chances.enough() * (1 - lossTonight);
        };
    }
}
