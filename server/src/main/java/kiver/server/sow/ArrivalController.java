package kiver.server.sow;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Taking in plants that somebody else raised. */
@RestController
class ArrivalController {

    private final SowingService sowing;

    ArrivalController(SowingService sowing) {
        this.sowing = sowing;
    }

    /**
     * What arrived in a run of cells of one tray, one plant to a cell.
     *
     * @param leaves true leaves they have; missing where they came as they were ordered
     */
    record ArrivalEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotNull(message = "Say at which cell the run begins.")
            @Min(value = 1, message = "Cells are counted from 1.")
            Integer firstCell,

            @NotNull(message = "Say at which cell the run ends.")
            Integer lastCell,

            @NotNull(message = "Choose where the tray was put.")
            Long placeId,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 20 true leaves.")
            @DecimalMax(value = "20", message = "Enter 0 to 20 true leaves.")
            Double leaves,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/arrivals")
    void takeIn(
            @PathVariable int number, @Valid @RequestBody ArrivalEntry entry, @AuthenticationPrincipal Person person) {
        sowing.takeIn(number, entry, person.id());
    }
}
