package kiver.server.pot;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.ContainerCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.tray.TrayBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Takes down what was potted on. */
@RestController
class PottingController {

    private final PottingService pottings;
    private final TrayBook trays;

    PottingController(PottingService pottings, TrayBook trays) {
        this.pottings = pottings;
        this.trays = trays;
    }

    /**
     * Plants that went on.
     *
     * @param tray they stood in; missing for all trays of the batch that stand in something smaller
     * @param small of them, parted because they are behind; 0 where missing
     * @param spare of them, kept for replacements; 0 where missing
     * @param culled thrown out beside them; 0 where missing
     * @param mix number of the mix that the pots were filled from; missing where it has none
     */
    record PottingEntry(
            @NotNull UUID requestId,
            @Nullable Integer tray,
            @NotNull(message = "Choose the container.") ContainerCode container,

            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Pot at least one plant.")
            Integer plants,

            @Nullable @Min(value = 0, message = "Enter 0 or more.")
            Integer small,

            @Nullable @Min(value = 0, message = "Enter 0 or more.")
            Integer spare,

            @Nullable @Min(value = 0, message = "Enter 0 or more.")
            Integer culled,

            @Nullable Integer mix,
            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/pottings")
    public void pot(
            @PathVariable int number, @Valid @RequestBody PottingEntry entry, @AuthenticationPrincipal Person person) {
        pottings.pot(
                entry.requestId(),
                number,
                entry.day(),
                new PottingService.Potted(
                        entry.tray() == null
                                ? List.of()
                                : List.of(trays.numbered(entry.tray()).trayId()),
                        entry.container(),
                        entry.plants()),
                new PottingService.Parted(orNone(entry.small()), orNone(entry.spare()), orNone(entry.culled())),
                entry.mix(),
                person.id());
    }

    private static int orNone(@Nullable Integer plants) {
        return plants == null ? 0 : plants;
    }
}
