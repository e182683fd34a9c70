package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.batch.BatchProjection;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.CountLesson;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.core.sow.LotLessons;
import kiver.core.sow.LotLessons.CountedCells;
import kiver.server.batch.PutAway;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.seed.SeedLot;
import org.springframework.stereotype.Component;

/** What is known of a lot's germination: its label, and every batch of it that was counted to the end, of all years. */
@Component
public class LotKnowledge {

    private final PutAwayLessonsMapper mapper;
    private final NurseryClock clock;
    private volatile KeptLessons kept = new KeptLessons(List.of(), "", new OfAll(Map.of()));
    private volatile KeptPutAway keptPutAway = new KeptPutAway("", List.of());

    LotKnowledge(PutAwayLessonsMapper mapper, NurseryClock clock, Revisions revisions) {
        revisions.whenReplaced(() -> keptPutAway = new KeptPutAway("", List.of()));
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Lessons, with the files they were drawn from, which are only ever replaced, and the mark of those put away. */
    private record KeptLessons(List<BatchFile> files, String putAway, OfAll lessons) {}

    /** What batches that are put away taught, with the mark under which it was read. */
    private record KeptPutAway(String mark, List<LotLesson> lessons) {}

    /**
     * The germination of a lot.
     *
     * @param lot the lot
     * @param day as known on
     * @param files batches in hand
     * @param exceptBatch number of a batch that must not vouch for itself, or 0
     */
    public Germination germination(SeedLot lot, LocalDate day, List<BatchFile> files, int exceptBatch) {
        return ofAll(files).germination(lot, day, exceptBatch);
    }

    /** What every batch counted to the end taught of its lots, put together once for the same batches in hand. */
    public OfAll ofAll(List<BatchFile> files) {
        KeptPutAway away = putAway();
        KeptLessons present = kept;
        if (present.files() != files || !present.putAway().equals(away.mark())) {
            present = new KeptLessons(files, away.mark(), workedOut(files, away.lessons()));
            kept = present;
        }
        return present.lessons();
    }

    private KeptPutAway putAway() {
        PutAway away = PutAway.on(clock.today(), clock.latitude());
        String mark = away + " " + mapper.mark(away);
        KeptPutAway present = keptPutAway;
        if (!present.mark().equals(mark)) {
            present = new KeptPutAway(mark, lessonsPutAway(away));
            if (!Kept.writing()) {
                keptPutAway = present;
            }
        }
        return present;
    }

    private List<LotLesson> lessonsPutAway(PutAway away) {
        Map<Integer, List<CountedCells>> byBatch = mapper.counted(away).stream()
                .collect(Collectors.groupingBy(
                        PutAwayLessonsMapper.CountedRow::batch,
                        Collectors.mapping(
                                row -> new CountedCells(
                                        new LotId(row.lotId()), row.seeds(), row.cameUp(), row.onlySeen(), row.cells()),
                                Collectors.toList())));
        List<LotLesson> lessons = new ArrayList<>();
        byBatch.forEach((batch, cells) -> LotLessons.of(cells)
                .forEach((lot, counts) -> lessons.add(new LotLesson(lot, new Lesson(batch, counts)))));
        return lessons;
    }

    private static OfAll workedOut(List<BatchFile> files, List<LotLesson> putAway) {
        Map<LotId, List<Lesson>> byLot = new HashMap<>();
        putAway.forEach(each ->
                byLot.computeIfAbsent(each.lot(), lot -> new ArrayList<>()).add(each.lesson()));
        for (BatchFile file : files) {
            if (file.state().isCompletelyCounted()) {
                BatchProjection.of(file.state())
                        .map(LotLessons::cellsOf)
                        .map(LotLessons::of)
                        .ifPresent(lessons ->
                                lessons.forEach((lot, counts) -> byLot.computeIfAbsent(lot, each -> new ArrayList<>())
                                        .add(new Lesson(file.batch().number(), counts))));
            }
        }
        return new OfAll(byLot);
    }

    /** Lessons by lot. */
    public record OfAll(Map<LotId, List<Lesson>> byLot) {

        /** The germination of a lot as known on a day, without the vouching of one batch. */
        public Germination germination(SeedLot lot, LocalDate day, int exceptBatch) {
            List<Step> steps = steps(lot, day, exceptBatch);
            return steps.isEmpty()
                    ? lot.labelOn(day).ofNextBatch()
                    : steps.get(steps.size() - 1).known().ofNextBatch();
        }

        /** What was known after each batch that taught, from the label on. */
        List<Step> steps(SeedLot lot, LocalDate day, int exceptBatch) {
            List<Step> steps = new ArrayList<>();
            Germination known = lot.labelOn(day);
            for (Lesson lesson : byLot.getOrDefault(lot.id(), List.of())) {
                if (lesson.batch() != exceptBatch) {
                    known = known.afterBatch(lesson.counts());
                    steps.add(new Step(lesson, known));
                }
            }
            return steps;
        }
    }

    /** One batch's lesson, and what was known of the lot after it. */
    record Step(Lesson lesson, Germination known) {}

    /** What one batch taught. */
    public record Lesson(int batch, CountLesson counts) {}

    private record LotLesson(LotId lot, Lesson lesson) {}
}
