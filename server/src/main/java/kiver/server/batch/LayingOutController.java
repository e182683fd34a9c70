package kiver.server.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Laying batches out over trays before they are sown. */
@RestController
class LayingOutController {

    private final LayingOut layingOut;

    LayingOutController(LayingOut layingOut) {
        this.layingOut = layingOut;
    }

    /** Cells in which a batch is to be sown. */
    record LayingOutEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotNull(message = "Say at which cell the run begins.")
            Integer firstCell,

            @NotNull(message = "Say at which cell the run ends.")
            Integer lastCell) {}

    /**
     * Where a tray is cut.
     *
     * @param rows that are left of it
     */
    record CutEntry(
            @NotNull UUID requestId,

            @NotNull(message = "Say how many rows are left.")
            Integer rows) {}

    /** The number of the tray that was cut off. */
    record CutOff(int number) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/layouts")
    void layOut(
            @PathVariable int number,
            @Valid @RequestBody LayingOutEntry entry,
            @AuthenticationPrincipal Person person) {
        layingOut.layOut(entry.requestId(), number, entry.tray(), entry.firstCell(), entry.lastCell(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/trays/{number}/cuts")
    CutOff cut(@PathVariable int number, @Valid @RequestBody CutEntry entry, @AuthenticationPrincipal Person person) {
        return new CutOff(layingOut.cut(entry.requestId(), number, entry.rows(), person.id()));
    }
}
