package kiver.server.season;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.growth.Season;
import kiver.core.plan.SowWindow;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.server.batch.BatchPlan;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.grow.LastSowDays;
import kiver.server.growth.SeasonService;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** All batches of the season as they stand, or as they would stand under other plans. */
@Component
public class SeasonBoard {

    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final LastSowDays lastSowDays;

    SeasonBoard(BatchAnalyst analyst, SeasonService seasons, NurseryClock clock, LastSowDays lastSowDays) {
        this.lastSowDays = lastSowDays;
        this.analyst = analyst;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** The batches under some plans that differ from those that stand; by batch number. */
    public List<BatchAnalysis> under(Map<Integer, BatchPlan> plans) {
        return analyst.all().stream()
                .map(batch -> plans.containsKey(number(batch)) ? tried(batch, plans.get(number(batch))) : batch)
                .toList();
    }

    /** One batch as it would stand under another plan. */
    public BatchAnalysis tried(BatchAnalysis batch, BatchPlan plan) {
        return analyst.trial(batch, plan.applied(batch.file().batch()));
    }

    /** One batch as it would stand under another plan, wanted on another day. */
    BatchAnalysis tried(BatchAnalysis batch, BatchPlan plan, LocalDate target) {
        return analyst.trial(batch, plan.applied(batch.file().batch(), target));
    }

    /** When a batch may be sown for a day; empty where there is no such day. */
    Optional<SowWindow> windowFor(BatchAnalysis batch, LocalDate target) {
        return lastSowDays.windowFor(batch, target);
    }

    /** The batch of that number. */
    public BatchAnalysis batch(int number) {
        return analyst.all().stream()
                .filter(batch -> number(batch) == number)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("There is no batch {number}.").with("number", number)));
    }

    /** The occupancy by some batches. */
    public Occupancy occupancy(List<BatchAnalysis> batches) {
        Season season = seasons.season();
        LocalDate today = clock.today();
        Map<Integer, List<Stay>> stays = new HashMap<>();
        batches.forEach(batch -> stays.put(number(batch), batch.stays()));
        return Occupancy.of(
                season.places(), stays, today, (int) (season.lastDay().toEpochDay() - today.toEpochDay()) + 1);
    }

    /** When a batch that is not sown yet may be sown; empty for one that is, or where there is no such day. */
    public Optional<SowWindow> window(BatchAnalysis batch) {
        return batch.file().state().sownOn().isPresent() ? Optional.empty() : lastSowDays.window(batch);
    }

    /** The names of places. */
    public Map<Long, String> placeNames() {
        return seasons.season().places().stream()
                .collect(Collectors.toMap(place -> place.id().number(), place -> place.name()));
    }

    private static int number(BatchAnalysis batch) {
        return batch.file().batch().number();
    }
}
