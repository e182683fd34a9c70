package kiver.server.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchChange;
import kiver.core.batch.CellState;
import kiver.core.seed.Germination;
import kiver.server.batch.BatchFile;
import kiver.server.seed.SeedLot;
import org.springframework.stereotype.Component;

/** What is known of a lot's germination: its label, and every batch of it that was counted to the end. */
@Component
public class LotKnowledge {

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

    /** What every batch counted to the end taught of its lot, put together once. */
    public OfAll ofAll(List<BatchFile> files) {
        Map<Long, List<Lesson>> byLot = new HashMap<>();
        for (BatchFile file : files) {
            if (file.state().isCompletelyCounted()) {
                Lesson lesson = lesson(file);
                file.state().sowings().keySet().stream().map(BatchChange.Sown::lot).distinct()
                        .forEach(lot -> byLot.computeIfAbsent(lot, each -> new ArrayList<>()).add(lesson));
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
                known = lesson.batch() == exceptBatch ? known : known.after(lesson.up(), lesson.seeds() - lesson.up());
            }
            return known;
        }
    }

    /** Seeds that came up in a batch, of those sown. */
    public record Lesson(int batch, int seeds, int up) {}

    private static Lesson lesson(BatchFile file) {
        int seeds = 0;
        int up = 0;
        for (CellState cell : file.state().cells().values()) {
            seeds += cell.seeds();
            // A cluster can give more seedlings than seeds; a seed counts as up once.
            up += Math.min(cell.seeds(), cell.seedlings());
        }
        return new Lesson(file.batch().number(), seeds, up);
    }
}
