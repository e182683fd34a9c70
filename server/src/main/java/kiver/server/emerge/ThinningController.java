package kiver.server.emerge;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.RecordingService;
import kiver.server.tray.TrayBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Where more than one came up in a cell: taken out, or pricked out into cells where nothing did. */
@RestController
class ThinningController {

    private static final int MOST_CELLS = 2_000;

    private final RecordingService recording;
    private final TrayBook trays;

    ThinningController(RecordingService recording, TrayBook trays) {
        this.recording = recording;
        this.trays = trays;
    }

    /**
     * Cells that were thinned.
     *
     * @param left seedlings that stay in each
     */
    record ThinningEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @NotNull(message = "Say how many stay in a cell.")
            Integer left,

            @Nullable LocalDate day) {}

    /**
     * Seedlings that stood beside another and went into cells that were given up.
     *
     * @param cells of the tray, each with more than one
     * @param into number of the tray they went to; may be the same
     * @param goals cells of it, one for each
     */
    record PrickingOutEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @NotNull(message = "Say which tray they went to.")
            Integer into,

            @NotEmpty(message = "Say which empty cells they went to.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    goals,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/thinnings")
    void thin(
            @PathVariable int number, @Valid @RequestBody ThinningEntry entry, @AuthenticationPrincipal Person person) {
        BatchChange change =
                new BatchChange.Thinned(trays.numbered(entry.tray()).trayId(), entry.cells(), entry.left());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/prickings-out")
    void prickOut(
            @PathVariable int number,
            @Valid @RequestBody PrickingOutEntry entry,
            @AuthenticationPrincipal Person person) {
        BatchChange change = new BatchChange.PrickedOut(
                trays.numbered(entry.tray()).trayId(),
                entry.cells(),
                trays.numbered(entry.into()).trayId(),
                entry.goals());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }
}
