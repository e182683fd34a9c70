package kiver.server.grow;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
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
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Potting on and pricking out into larger containers, new trays of which are numbered as they are filled. */
@RestController
class PottingController {

    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final Requests requests;
    private final NurseryClock clock;

    PottingController(BatchBook batches, TrayBook trays, CropBook crops, Requests requests, NurseryClock clock) {
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.requests = requests;
        this.clock = clock;
    }

    /** Plants of one tray that went on. */
    record PottingEntry(
            @NotNull UUID requestId, @NotNull(message = "Choose the tray.") Integer tray,
            @NotBlank(message = "Choose the container.") String container,
            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Pot at least one plant.") Integer plants,
            @Nullable LocalDate day) {}

    @PostMapping("/api/batches/{number}/pottings")
    @Transactional
    public void pot(@PathVariable int number, @Valid @RequestBody PottingEntry entry, @AuthenticationPrincipal Person person) {
        requests.once(entry.requestId(), () -> {
            Tray from = trays.numbered(entry.tray());
            Container into = crops.container(entry.container());
            requireLarger(from, into);
            LocalDate day = entry.day() == null ? clock.today() : entry.day();
            if (day.isAfter(clock.today())) {
                throw new Refusal("day", "This day is still to come.");
            }
            batches.record(number, day, changes(number, from, into, entry.plants()), person.id());
            return number;
        });
    }

    private void requireLarger(Tray from, Container into) {
        if (into.cellVolume() <= crops.container(from.container()).cellVolume()) {
            throw new Refusal("container", into.name()
                    + " is no larger than what they stand in; the pot must be larger than the plug.");
        }
    }

    private List<BatchChange> changes(int number, Tray from, Container into, int plants) {
        BatchState state = batches.file(number).state();
        List<Integer> alive = state.cellsIn(from.trayId(), CellCondition.ALIVE);
        if (plants > alive.size()) {
            throw new Refusal("plants", from.code() + " holds " + alive.size() + " living plants of this batch, not "
                    + plants + ".");
        }
        List<BatchChange> changes = new ArrayList<>();
        for (int done = 0; done < plants; done += into.cells()) {
            int count = Math.min(into.cells(), plants - done);
            Tray tray = trays.add(into.code());
            changes.add(new BatchChange.PottedOn(
                    from.trayId(), alive.subList(done, done + count), new CellRun(new TrayId(tray.id()), 1, count)));
        }
        return changes;
    }
}
