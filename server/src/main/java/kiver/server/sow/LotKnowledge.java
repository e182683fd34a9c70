package kiver.server.sow;

import java.time.LocalDate;
import java.util.List;
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
        Germination known = lot.labelOn(day);
        for (BatchFile file : files) {
            boolean ofLot = file.state().sowings().keySet().stream().anyMatch(sown -> sown.lot() == lot.id());
            if (ofLot && file.batch().number() != exceptBatch && file.state().isCompletelyCounted()) {
                int seeds = 0;
                int up = 0;
                for (CellState cell : file.state().cells().values()) {
                    seeds += cell.seeds();
                    // A cluster can give more seedlings than seeds; a seed counts as up once.
                    up += Math.min(cell.seeds(), cell.seedlings());
                }
                known = known.after(up, seeds - up);
            }
        }
        return known;
    }
}
