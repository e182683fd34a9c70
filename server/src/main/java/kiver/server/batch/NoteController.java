package kiver.server.batch;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Notes of what somebody saw or thought. */
@RestController
class NoteController {

    private final RecordingService recording;

    NoteController(RecordingService recording) {
        this.recording = recording;
    }

    /** A note. */
    record NoteEntry(
            @NotNull UUID requestId,

            @NotBlank(message = "Write what is to be noted.") @Size(max = 1000, message = "Use at most 1,000 letters.")
            String text,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/notes")
    void note(@PathVariable int number, @Valid @RequestBody NoteEntry entry, @AuthenticationPrincipal Person person) {
        recording.record(
                entry.requestId(), number, entry.day(), List.of(new BatchChange.Noted(entry.text())), person.id());
    }
}
