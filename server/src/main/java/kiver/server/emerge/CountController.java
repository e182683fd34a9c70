package kiver.server.emerge;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.tray.TrayId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.RecordingService;
import kiver.server.problem.Refusal;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What was seen in the cells of a tray. */
@RestController
class CountController {

    private static final int MOST_CELLS = 2_000;

    private final RecordingService recording;
    private final TrayBook trays;

    CountController(RecordingService recording, TrayBook trays) {
        this.recording = recording;
        this.trays = trays;
    }

    /** Seedlings in one cell. */
    record CellCount(
            @NotNull(message = "Say which cell.") @Min(value = 1, message = "Cells are counted from 1.")
            Integer cell,

            @NotNull(message = "Say how many seedlings.") Integer seedlings) {}

    /**
     * Counts of some cells of a tray.
     *
     * @param somethingUp cells in which something was seen to be up without being counted
     */
    record CountEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotNull(message = "Count at least one cell, or say that the count is complete.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<@NotNull(message = "A cell is missing.") @Valid CellCount> cells,

            @Nullable @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    somethingUp,

            boolean complete,
            @Nullable LocalDate day) {}

    /** Cells whose plants died or were thrown out. */
    record LossEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @NotNull(message = "Choose a reason.") LossReason reason,
            @Nullable LocalDate day) {}

    /** Cells of whose plants nobody is sure any more what they are. */
    record DoubtEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @NotNull(message = "Choose a reason.") NameDoubt doubt,
            @Nullable LocalDate day) {}

    /** Cells of whose plants somebody knows again that they are what their batch is. */
    record RecognitionEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/counts")
    void count(@PathVariable int number, @Valid @RequestBody CountEntry entry, @AuthenticationPrincipal Person person) {
        List<Integer> somethingUp = entry.somethingUp() == null ? List.of() : entry.somethingUp();
        if (entry.cells().isEmpty() && somethingUp.isEmpty() && !entry.complete()) {
            throw new Refusal("cells", Said.of("Count at least one cell, or say that the count is complete."));
        }
        TreeMap<Integer, Integer> seedlings = new TreeMap<>();
        Set<Integer> seen = new HashSet<>();
        for (CellCount count : entry.cells()) {
            if (!seen.add(count.cell())) {
                throw new Refusal(
                        "cells", Said.of("Cell {cell} is counted twice.").with("cell", count.cell()));
            }
            seedlings.put(count.cell(), count.seedlings());
        }
        BatchChange change = new BatchChange.Counted(tray(entry.tray()), seedlings, somethingUp, entry.complete());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/losses")
    void lose(@PathVariable int number, @Valid @RequestBody LossEntry entry, @AuthenticationPrincipal Person person) {
        BatchChange change = new BatchChange.Lost(tray(entry.tray()), entry.cells(), entry.reason());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/doubts")
    void doubt(@PathVariable int number, @Valid @RequestBody DoubtEntry entry, @AuthenticationPrincipal Person person) {
        BatchChange change = new BatchChange.Mixed(tray(entry.tray()), entry.cells(), entry.doubt());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/recognitions")
    void recognise(
            @PathVariable int number,
            @Valid @RequestBody RecognitionEntry entry,
            @AuthenticationPrincipal Person person) {
        BatchChange change = new BatchChange.Recognised(tray(entry.tray()), entry.cells());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    private TrayId tray(int number) {
        return trays.numbered(number).trayId();
    }
}
