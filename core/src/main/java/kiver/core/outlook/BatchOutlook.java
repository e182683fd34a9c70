package kiver.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.harden.NightOut;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.CountBack;
import kiver.core.plan.SeedlingLight;
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
 * @param rooting how full of roots its cells are
 * @param leggy whether it stands in too little light
 * @param stays room it takes from that day on, as most likely
 * @param lossTonight share likely lost to the coming night where it stands, 0 to 1; 0 once it was brought in or covered
 * @param trouble why it could not be worked out; empty when it was
 */
public record BatchOutlook(
        BatchFile file,
        Crop crop,
        ContainerPath containers,
        Journey journey,
        Emerging emerging,
        Chances chances,
        BatchForecast forecast,
        Rooting rooting,
        boolean leggy,
        List<Stay> stays,
        double lossTonight,
        Optional<BatchTrouble> trouble) {

    /** Days after which plants that were potted or moved have roots that can follow. Estimate. */
    private static final int DAYS_TO_SETTLE = 3;

    /** True leaves; with fewer a seedling scorches soon. Estimate. */
    private static final double FEW_LEAVES = 2;

    public BatchOutlook {
        stays = List.copyOf(stays);
    }

    /** A batch of which nothing could be worked out; it is shown with what was recorded, among the others. */
    public static BatchOutlook notComputable(BatchFile file, Crop crop, ContainerPath containers) {
        return new BatchOutlook(
                file,
                crop,
                containers,
                Journey.none(file.batch().way()),
                Emerging.UNKNOWN,
                Chances.NONE,
                BatchForecast.NONE,
                Rooting.NONE,
                false,
                List.of(),
                0,
                Optional.of(file.trouble().orElseGet(BatchTrouble.NotComputable::new)));
    }

    /** A batch of which all plants have gone; nothing lies ahead of it. */
    public static BatchOutlook over(BatchFile file, Crop crop, ContainerPath containers) {
        Map<LineId, Integer> released = file.releasedByLine();
        Map<LineId, Double> served = file.promises().stream()
                .collect(Collectors.toMap(
                        Promised::line,
                        promise -> released.getOrDefault(promise.line(), 0) >= promise.accepted() ? 1.0 : 0.0));
        return new BatchOutlook(
                file,
                crop,
                containers,
                Journey.none(file.batch().way()),
                Emerging.nothing(EmergenceVerdict.ON_COURSE),
                new Chances(1, served),
                BatchForecast.NONE,
                Rooting.NONE,
                false,
                List.of(),
                0,
                file.trouble());
    }

    /** The same with what the coming night may take. */
    public BatchOutlook losingTonight(double share) {
        return new BatchOutlook(
                file, crop, containers, journey, emerging, chances, forecast, rooting, leggy, stays, share, trouble);
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

    /** Where it stands, or is to be put when not yet sown. */
    public PlaceId place() {
        return file.state().place().orElse(way().emergence());
    }

    /** When it was sown or came, or is planned to be. */
    public LocalDate began() {
        return file.state().sownOn().orElse(file.batch().sowDay());
    }

    /** Whether its day is not to be chosen any more: it is sown, or comes from somebody else on a day agreed. */
    public boolean isFixed() {
        return file.state().sownOn().isPresent() || file.batch().isBoughtIn();
    }

    /** Bench room that it was planned to take in each container of its path, tray places. */
    public List<Double> slotsByContainer() {
        return containers.slots(file.batch().cells(), file.batch().cellsNeeded());
    }

    /**
     * The night that ends on the morning of a day, where most of it stands; empty for one that is not growing anywhere, and
     * for nights that the season does not hold.
     */
    public Optional<NightOut> night(Season season, LocalDate morning) {
        Optional<PlaceId> stands = file.state().place();
        boolean over = stage() == BatchStage.RELEASED
                || stage() == BatchStage.FAILED
                || file.state().balance().alive() == 0;
        long day = ChronoUnit.DAYS.between(season.firstDay(), morning);
        if (stands.isEmpty()
                || over
                || day < 0
                || day >= season.climate(stands.get()).get(0).days()) {
            return Optional.empty();
        }
        double minimum = season.climate(stands.get()).stream()
                .mapToDouble(series -> series.minimum((int) day))
                .average()
                .orElseThrow();
        return Optional.of(new NightOut(crop.hardiness(), stage() != BatchStage.READY, minimum));
    }

    /** Counts back along its path for a sowing in its stead, as it was planned to go. */
    public CountBack countBack(Season season) {
        Way planned = file.batch().way();
        return new CountBack(
                path(),
                season.scenarios(planned, crop.development(), crop.learnt().paces()),
                season.freshDraws(planned, crop.development(), crop.learnt().paces()),
                season.firstDay(),
                SeedlingLight.at(season, planned.growingOn(), crop.leaves()));
    }

    /** True leaves by now, 0 before emergence. */
    public double leavesNow() {
        return journey.standing().leafProgress()
                / Math.exp(journey.paces().leaves().logMean());
    }

    /** Whether strong sun harms it more than grown plants: hardly any leaf yet, or freshly potted or moved. */
    public boolean isYoung(LocalDate today) {
        LocalDate unsettled = today.minusDays(DAYS_TO_SETTLE);
        List<BatchState.Placement> placements = file.state().placements();
        boolean moved = placements.size() > 1
                && !placements.get(placements.size() - 1).from().isBefore(unsettled);
        return leavesNow() < FEW_LEAVES
                || moved
                || file.state()
                        .lastPottedOn()
                        .filter(day -> !day.isBefore(unsettled))
                        .isPresent();
    }

    /**
     * True leaves on the morning of a day, by those it has now and the warmth and light since; 0 before the first.
     *
     * @param day not after {@code today}
     */
    public double leavesOn(LocalDate day, LocalDate today) {
        double since = day.isBefore(today)
                ? emerging.course()
                        .map(course -> course.leavesBetween(day, today))
                        .orElse(0.0)
                : 0;
        return Math.max(0, journey.standing().leafProgress() - since)
                / Math.exp(journey.paces().leaves().logMean());
    }

    /** The chance that a line gets its plants from it whole and in time, 0 to 1; 0 for a line it is not promised to. */
    public double chanceFor(LineId line) {
        double chance = chances.byLine().getOrDefault(line, 0.0);
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
