package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.plan.SowWindow;

/**
 * Finds what can be done for a batch that is wanted on another day, or that will not keep its day.
 *
 * @param season ahead
 * @param today the day
 * @param batch as it stands
 * @param target the day on which it is wanted now
 */
public record Remedies(Season season, LocalDate today, BatchOutlook batch, LocalDate target) {

    private static final double SURE_ENOUGH = 0.8;
    private static final int MOST_PLACES = 2;
    private static final int MOST_SWAPS = 2;

    /**
     * One thing that can be done.
     *
     * @param remedy what
     * @param target the day on which it is wanted then
     * @param chance that all that was promised is met then, 0 to 1
     */
    public record Choice(Remedy remedy, LocalDate target, double chance) {}

    /** Its dates and chance if nothing is done. */
    public BatchForecast asItIs() {
        return rescheduling(batch).asItIs(target);
    }

    /**
     * All that can be done, the most likely to work first.
     *
     * @param others all batches, as they stand
     * @param window when it, or one in its stead, can be sown for that day; empty where there is no such day
     */
    public List<Choice> choices(List<BatchOutlook> others, Optional<SowWindow> window) {
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice(new Remedy.Keep(), target, asItIs().chanceOnTarget() * enough()));
        if (batch.file().state().sownOn().isEmpty()) {
            window.map(open -> new Choice(
                            new Remedy.SowOn(open.best(), batch.file().batch().sowDay()),
                            target,
                            open.chance() * batch.chances().enough()))
                    .ifPresent(choices::add);
        } else {
            elsewhere().forEach(choices::add);
        }
        swaps(others).forEach(choices::add);
        split().ifPresent(choices::add);
        LocalDate better = rescheduling(batch).bestDayNear(target, today, SURE_ENOUGH);
        if (!better.equals(target)) {
            choices.add(new Choice(
                    new Remedy.OtherDay(growers(batch), better),
                    better,
                    rescheduling(batch).asItIs(better).chanceOnTarget() * enough()));
        }
        choices.sort(Comparator.comparingDouble(Choice::chance).reversed());
        return List.copyOf(choices);
    }

    /** What enough plants are worth: nothing for a batch that is past help. */
    private double enough() {
        return batch.chance() == 0 ? 0 : Math.min(1, batch.chances().enough());
    }

    private Rescheduling rescheduling(BatchOutlook of) {
        return new Rescheduling(season, of.crop(), of.journey());
    }

    private Stream<Choice> elsewhere() {
        return rescheduling(batch).elsewhere(target, today).stream()
                .limit(MOST_PLACES)
                .map(each -> {
                    Optional<LocalDate> ready = each.ready().map(DateSpread::middle);
                    Remedy remedy = each.warmer() < 0
                            ? new Remedy.Hold(each.way().growingOn(), -each.warmer(), ready)
                            : new Remedy.BringOn(each.way().growingOn(), each.warmer(), ready);
                    return new Choice(remedy, target, each.chance() * enough());
                });
    }

    /** Batches of the same variety in the same container, for other orders, that would suit this day better. */
    private Stream<Choice> swaps(List<BatchOutlook> others) {
        return others.stream()
                .filter(this::canSwapWith)
                .map(other -> {
                    LocalDate theirs = other.file().batch().target();
                    double both = Math.min(
                            rescheduling(other).asItIs(target).chanceOnTarget(),
                            rescheduling(batch).asItIs(theirs).chanceOnTarget());
                    return new Choice(new Remedy.Swap(other.number(), growers(other), theirs), target, both * enough());
                })
                .filter(choice -> choice.chance() > 0)
                .sorted(Comparator.comparingDouble(Choice::chance).reversed())
                .limit(MOST_SWAPS);
    }

    private boolean canSwapWith(BatchOutlook other) {
        BatchFile mine = batch.file();
        BatchFile theirs = other.file();
        return other.number() != batch.number()
                && theirs.batch().varietyId() == mine.batch().varietyId()
                && theirs.batch().container().equals(mine.batch().container())
                && theirs.batch().stage().equals(mine.batch().stage())
                && theirs.batch().aim().countedIn() == mine.batch().aim().countedIn()
                && theirs.plantsReleased() == 0
                && mine.plantsReleased() == 0
                && !theirs.promises().isEmpty()
                && !mine.promises().isEmpty()
                && aliveOrPlanned(theirs) >= mine.wanted()
                && aliveOrPlanned(mine) >= theirs.wanted();
    }

    private static int aliveOrPlanned(BatchFile file) {
        return file.state().sownOn().isEmpty() ? file.batch().plants() : file.plantsAlive();
    }

    /** Where fewer plants are alive than ordered, those there are on the day and the rest later. */
    private Optional<Choice> split() {
        BatchFile file = batch.file();
        int alive = file.plantsAlive();
        boolean canSplit =
                file.promises().size() == 1 && file.state().isCompletelyCounted() && alive > 0 && alive < file.wanted();
        return canSplit
                ? Optional.of(
                        new Choice(new Remedy.Split(alive, file.wanted() - alive), target, asItIs().chanceOnTarget()))
                : Optional.empty();
    }

    private static List<String> growers(BatchOutlook of) {
        return of.file().promises().stream().map(Promised::grower).distinct().toList();
    }
}
