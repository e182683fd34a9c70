package kiver.server.grow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.crop.Container;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Potting on and pricking out into larger containers, new trays of which are numbered as they are filled. */
@Service
public class PottingService {

    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final Requests requests;
    private final NurseryClock clock;

    PottingService(BatchBook batches, TrayBook trays, CropBook crops, Requests requests, NurseryClock clock) {
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Plants of one tray that go on.
     *
     * @param tray they stand in
     * @param container code of what they are potted into
     * @param plants how many, 1 or more
     */
    public record Potted(TrayId tray, String container, int plants) {}

    /**
     * Records that plants were potted on.
     *
     * @param requestId the same on every retry
     * @param number of the batch
     * @param day on which it happened, or null for today
     * @param potted what went where
     * @param by account number, or null for the nursery's simulated hands
     * @throws Refusal when the container is no larger, the plants are not there or the day is still to come
     */
    @Transactional
    public void pot(UUID requestId, int number, LocalDate day, Potted potted, Long by) {
        LocalDate happened = day == null ? clock.today() : day;
        if (happened.isAfter(clock.today())) {
            throw new Refusal("day", "This day is still to come.");
        }
        requests.once(requestId, () -> {
            batches.record(number, happened, changes(number, potted), by);
            return number;
        });
    }

    private List<BatchChange> changes(int number, Potted potted) {
        Tray from = trays.tray(potted.tray());
        Container into = crops.container(potted.container());
        if (into.cellVolume() <= crops.container(from.container()).cellVolume()) {
            throw new Refusal("container", into.name()
                    + " is no larger than what they stand in; the pot must be larger than the plug.");
        }
        BatchState state = batches.file(number).state();
        List<Integer> alive = state.cellsIn(from.trayId(), CellCondition.ALIVE);
        if (potted.plants() > alive.size()) {
            throw new Refusal("plants", from.code() + " holds " + alive.size() + " living plants of this batch, not "
                    + potted.plants() + ".");
        }
        List<BatchChange> changes = new ArrayList<>();
        for (int done = 0; done < potted.plants(); done += into.cells()) {
            int count = Math.min(into.cells(), potted.plants() - done);
            Tray tray = trays.add(into.code());
            changes.add(new BatchChange.PottedOn(
                    from.trayId(), alive.subList(done, done + count), new CellRun(new TrayId(tray.id()), 1, count)));
        }
        return changes;
    }
}
