package kiver.server.sow;

import java.time.LocalDate;
import java.util.List;
import kiver.core.seed.CountLesson;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How what is expected of a lot came about: its label, its age, and each batch that was counted to the end. */
@RestController
class LotKnowledgeController {

    private final SeedStore seeds;
    private final BatchBook batches;
    private final LotKnowledge lots;
    private final NurseryClock clock;

    LotKnowledgeController(SeedStore seeds, BatchBook batches, LotKnowledge lots, NurseryClock clock) {
        this.seeds = seeds;
        this.batches = batches;
        this.lots = lots;
        this.clock = clock;
    }

    /**
     * What one batch taught.
     *
     * @param seedsUp counted seeds that came up
     * @param seedsFailed counted seeds that did not
     * @param cellsSeenUp cells in which something was seen to be up, uncounted
     * @param mean share expected after it, 0 to 1
     */
    record LessonView(int batch, int seedsUp, int seedsFailed, int cellsSeenUp, double mean) {}

    /**
     * What is known of a lot, step by step.
     *
     * @param label share on the label, 0 to 1
     * @param testedSeeds on which the label rests
     * @param labelWorth seeds that the label is still worth
     * @param lessons in the order in which they were learnt from
     * @param mean share expected of the next batch, 0 to 1; eight times in ten it is from {@code low} to {@code high}
     */
    record LotKnowledgeView(
            String code,
            double label,
            int testedSeeds,
            LocalDate testedOn,
            double labelWorth,
            List<LessonView> lessons,
            double mean,
            double low,
            double high) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/lots/{id}/knowledge")
    LotKnowledgeView knowledge(@PathVariable long id) {
        SeedLot lot = seeds.lots().stream()
                .filter(each -> each.id().equals(new LotId(id)))
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("This seed lot is not in the store.")));
        LocalDate today = clock.today();
        LotKnowledge.OfAll known = lots.ofAll(batches.files());
        Germination next = known.germination(lot, today, 0);
        return new LotKnowledgeView(
                lot.code(),
                lot.germinationLabel(),
                lot.testedSeeds(),
                lot.testedOn(),
                lot.labelOn(today).weight(),
                known.steps(lot, today, 0).stream()
                        .map(step -> lesson(step.lesson(), step.known()))
                        .toList(),
                next.mean(),
                next.quantile(0.1),
                next.quantile(0.9));
    }

    private static LessonView lesson(LotKnowledge.Lesson lesson, Germination known) {
        CountLesson counts = lesson.counts();
        return new LessonView(
                lesson.batch(),
                counts.seedsUp(),
                counts.seedsFailed(),
                counts.cellsSeenUp().values().stream()
                        .mapToInt(Integer::intValue)
                        .sum(),
                known.mean());
    }
}
