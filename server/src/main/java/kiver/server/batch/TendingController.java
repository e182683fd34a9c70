package kiver.server.batch;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.Tended;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Brushing, pinching, taking early flowers off. */
@RestController
class TendingController {

    private final RecordingService recording;

    TendingController(RecordingService recording) {
        this.recording = recording;
    }

    /** What was done to all living plants of a batch. */
    record TendingEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say what was done.") Tended.Step step,
            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/tendings")
    void tend(
            @PathVariable int number, @Valid @RequestBody TendingEntry entry, @AuthenticationPrincipal Person person) {
        recording.record(entry.requestId(), number, entry.day(), List.of(new Tended(entry.step())), person.id());
    }
}
