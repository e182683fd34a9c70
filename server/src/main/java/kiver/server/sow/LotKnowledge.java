package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.batch.CellState;
import kiver.core.seed.CountLesson;
import kiver.core.seed.Germination;
import kiver.server.batch.BatchFile;
import kiver.server.seed.SeedLot;
import org.springframework.stereotype.Component;

/** What is known of a lot's germination: its label, and every batch of it that was counted to the end. */
@Component
public class LotKnowledge {

    private volatile KeptLessons kept = new KeptLessons(List.of(), new OfAll(Map.of()));

    /** Lessons, with the files they were drawn from; files are only ever replaced. */
    private record KeptLessons(List<BatchFile> files, OfAll lessons) {}


    /**
     * The germination of a lot.
     *
     * @param lot the lot
     * @param day as known on
     * @param files all batches
     * @param exceptBatch number of a batch that must not vouch for itself, or 0
     */
    public Germination germination(SeedLot lot, LocalDate day, List<BatchFile> files, int exceptBatch) {
        return ofAll(files).germination(lot, day, exceptBatch);
    }

    /** What every batch counted to the end taught of its lots, put together once for the same files. */
    public OfAll ofAll(List<BatchFile> files) {
        KeptLessons present = kept;
        if (present.files() != files) {
            present = new KeptLessons(files, workedOut(files));
            kept = present;
        }
        return present.lessons();
    }

    private static OfAll workedOut(List<BatchFile> files) {
        Map<Long, List<Lesson>> byLot = new HashMap<>();
        for (BatchFile file : files) {
            if (file.state().isCompletelyCounted()) {
                lessons(file).forEach((lot, lesson) -> byLot.computeIfAbsent(lot, each -> new ArrayList<>())
                        .add(new Lesson(file.batch().number(), lesson)));
            }
        }
        return new OfAll(byLot);
    }

    /** Lessons by lot. */
    public record OfAll(Map<Long, List<Lesson>> byLot) {

        /** The germination of a lot as known on a day, without the vouching of one batch. */
        public Germination germination(SeedLot lot, LocalDate day, int exceptBatch) {
            Germination known = lot.labelOn(day);
            for (Lesson lesson : byLot.getOrDefault(lot.id(), List.of())) {
                known = lesson.batch() == exceptBatch ? known : known.afterBatch(lesson.counts());
            }
            return known.ofNextBatch();
        }
    }

    /** What one batch taught. */
    public record Lesson(int batch, CountLesson counts) {}

    /** What a batch taught of each lot that was sown for it, cell by cell of that lot. */
    private static Map<Long, CountLesson> lessons(BatchFile file) {
        Map<Long, List<CellState>> byLot = new HashMap<>();
        // Plants that were bought in came up elsewhere and teach nothing of any seed.
        file.state().cells().values().stream().filter(cell -> file.state().sowings().containsKey(cell.sowing())).forEach(cell -> byLot
                .computeIfAbsent(file.state().lotOf(cell.sowing()), lot -> new ArrayList<>())
                .add(cell));
        Map<Long, CountLesson> lessons = new HashMap<>();
        byLot.forEach((lot, cells) -> lessons.put(lot, lesson(cells)));
        return lessons;
    }

    /**
     * Seeds that came up where seedlings were counted. Where a seed is a cluster, or something was only seen to be up, a
     * cell says no more than that.
     */
    private static CountLesson lesson(List<CellState> cells) {
        int up = 0;
        int failed = 0;
        Map<Integer, Integer> seen = new TreeMap<>();
        for (CellState cell : cells) {
            if (cell.seedlings() == 0) {
                failed += cell.seeds();
            } else if (cell.onlySeen() || cell.seedlings() > cell.seeds()) {
                seen.merge(cell.seeds(), 1, Integer::sum);
            } else {
                up += cell.seedlings();
                failed += cell.seeds() - cell.seedlings();
            }
        }
        return new CountLesson(up, failed, seen);
    }
}
