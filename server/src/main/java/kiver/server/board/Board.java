package kiver.server.board;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.plan.SowWindow;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.outlook.LastSowDays;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** All batches of the season as they stand, or as they would stand under other plans. */
@Component
public class Board {

    private final BatchAnalyst analyst;
    private final LastSowDays lastSowDays;

    Board(BatchAnalyst analyst, LastSowDays lastSowDays) {
        this.lastSowDays = lastSowDays;
        this.analyst = analyst;
    }

    /** The batches under some plans that differ from those that stand; by batch number. */
    public List<BatchOutlook> under(Map<Integer, BatchPlan> plans) {
        return analyst.all().stream()
                .map(batch -> plans.containsKey(number(batch)) ? tried(batch, plans.get(number(batch))) : batch)
                .toList();
    }

    /** One batch as it would stand under another plan. */
    public BatchOutlook tried(BatchOutlook batch, BatchPlan plan) {
        return analyst.trial(batch, batch.file().batch().with(plan));
    }

    /** One batch as it would stand under another plan, wanted on another day. */
    public BatchOutlook tried(BatchOutlook batch, BatchPlan plan, LocalDate target) {
        return analyst.trial(batch, batch.file().batch().with(plan).wantedOn(target));
    }

    /** When a batch may be sown for a day; empty where there is no such day. */
    public Optional<SowWindow> windowFor(BatchOutlook batch, LocalDate target) {
        return lastSowDays.windowFor(batch, target);
    }

    /** The batch of that number. */
    public BatchOutlook batch(int number) {
        return analyst.all().stream()
                .filter(batch -> number(batch) == number)
                .findFirst()
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no batch {number}.").with("number", number)));
    }

    /** When a batch that is not sown yet may be sown; empty for one that is, or where there is no such day. */
    public Optional<SowWindow> window(BatchOutlook batch) {
        return batch.file().state().sownOn().isPresent() ? Optional.empty() : lastSowDays.window(batch);
    }

    private static int number(BatchOutlook batch) {
        return batch.file().batch().number();
    }
}
