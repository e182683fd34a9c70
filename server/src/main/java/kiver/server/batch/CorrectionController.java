package kiver.server.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.outlook.BatchFile;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Takes a recorded change back by another. */
@RestController
class CorrectionController {

    private final RecordingService recording;
    private final BatchBook batches;

    CorrectionController(RecordingService recording, BatchBook batches) {
        this.recording = recording;
        this.batches = batches;
    }

    /** Which change was wrong, and why. */
    record CorrectionEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which entry.") Integer sequence,

            @NotBlank(message = "Say in a few words why it is undone.")
            @Size(max = 200, message = "Use at most 200 letters.")
            String reason) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/corrections")
    void correct(
            @PathVariable int number,
            @Valid @RequestBody CorrectionEntry entry,
            @AuthenticationPrincipal Person person) {
        if (person.role() != Role.PROPAGATOR && touchesRelease(batches.file(number), entry.sequence())) {
            throw new Refusal("sequence", Said.of("A release is taken back by the propagator only; ask them."));
        }
        String reason = entry.reason() == null ? "" : entry.reason();
        recording.record(
                entry.requestId(),
                number,
                null,
                List.of(new BatchChange.Corrected(entry.sequence(), reason)),
                person.id());
    }

    /** Whether undoing an entry would take back a release, or bring one back. */
    private static boolean touchesRelease(BatchFile file, int sequence) {
        return file.state().changes().stream()
                .filter(change -> change.sequence() == sequence)
                .anyMatch(change -> change.change() instanceof BatchChange.Released
                        || (change.change() instanceof BatchChange.Corrected earlier
                                && touchesRelease(file, earlier.sequence())));
    }
}
