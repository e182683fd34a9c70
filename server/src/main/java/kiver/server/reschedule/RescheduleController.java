package kiver.server.reschedule;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.outlook.Remedy;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** When a day moves: what can be done for each batch, and doing it. */
@RestController
class RescheduleController {

    private final Rescheduler rescheduler;

    RescheduleController(Rescheduler rescheduler) {
        this.rescheduler = rescheduler;
    }

    /**
     * Batches whose day moves.
     *
     * @param batches numbers
     * @param days by which it moves, later when positive; 0 where the batch is late and the day stands
     */
    record MovedEntry(
            @NotEmpty(message = "Choose at least one batch.") @Size(max = 60, message = "At most 60 batches at once.")
            List<@NotNull Integer> batches,

            @NotNull(message = "Say by how many days.") Integer days) {}

    /** What was chosen, as it was offered. */
    record ChosenEntry(
            @NotNull UUID requestId,
            @NotNull Integer batch,
            @NotNull(message = "Say what is to be done.") Remedy remedy,
            @NotNull LocalDate target) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/reschedule/choices")
    List<Rescheduler.BatchChoices> choices(@Valid @RequestBody MovedEntry entry) {
        return entry.batches().stream()
                .distinct()
                .map(number -> rescheduler.choices(number, entry.days()))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/reschedule")
    void take(@Valid @RequestBody ChosenEntry entry, @AuthenticationPrincipal Person person) {
        rescheduler.take(entry.requestId(), entry.batch(), entry.remedy(), entry.target(), person.id());
    }
}
