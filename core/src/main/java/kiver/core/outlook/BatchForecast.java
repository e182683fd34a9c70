package kiver.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;

/**
 * When a batch will pass the marks on its path, as far as is known today.
 *
 * @param emerged the median seedling is up
 * @param pottings still to come, in order; one that is not reached in half of the scenarios ends the list
 * @param stageReached enough leaves to begin hardening
 * @param hardeningFrom when hardening has to begin to be over on the target day in nineteen of twenty springs, days on
 *     which it stays in allowed for; of plants that stand over winter, when they have their leaves
 * @param ready fit for release
 * @param pastLimit past its best
 * @param chanceOnTarget that it is ready and not past its best on the target day, 0 to 1
 */
public record BatchForecast(
        Optional<DateSpread> emerged,
        List<DateSpread> pottings,
        Optional<DateSpread> stageReached,
        Optional<LocalDate> hardeningFrom,
        Optional<DateSpread> ready,
        Optional<DateSpread> pastLimit,
        double chanceOnTarget) {

    /** Of a batch for which nothing lies ahead, or nothing can be worked out. */
    static final BatchForecast NONE = new BatchForecast(
            Optional.empty(), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), 0);

    public BatchForecast {
        pottings = List.copyOf(pottings);
    }

    /**
     * Looks ahead from where a batch stands.
     *
     * @param path it is on
     * @param standing where it stands
     * @param scenarios ways the season may go; not empty
     * @param draws other ways it may go, from which the chance is read; not empty
     * @param target the day on which its plants are wanted
     */
    public static BatchForecast of(
            Path path, Standing standing, List<Scenario> scenarios, List<Scenario> draws, LocalDate target) {
        Milestones[] milestones = scenarios.stream()
                .map(scenario -> path.from(standing, scenario))
                .toArray(Milestones[]::new);
        LocalDate firstDay = scenarios.get(0).growingOn().firstDay();
        LocalDate lastDay =
                firstDay.plusDays((long) scenarios.get(0).growingOn().end() - 1);
        double due = ChronoUnit.DAYS.between(firstDay, target);
        double fit = draws.stream()
                .filter(draw -> path.from(standing, draw).fitOn(due))
                .count();
        MilestoneSpreads spreads = new MilestoneSpreads(firstDay, lastDay, milestones);
        Optional<DateSpread> stage = spreads.of(Milestones::stageReached);
        return new BatchForecast(
                spreads.of(Milestones::emerged),
                path.pottingSpreads(standing, scenarios),
                stage,
                path.winter().isPresent()
                        ? stage.map(DateSpread::middle)
                        : Optional.of(firstDay.plusDays((long) path.hardeningFrom(due, scenarios))),
                spreads.of(Milestones::ready),
                spreads.of(Milestones::pastLimit),
                fit / draws.size());
    }
}
