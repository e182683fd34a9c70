package kiver.server.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Takes a recorded change back by another. */
@RestController
class CorrectionController {

    private final RecordingService recording;

    CorrectionController(RecordingService recording) {
        this.recording = recording;
    }

    /** Which change was wrong. */
    record CorrectionEntry(@NotNull UUID requestId, @NotNull Integer sequence) {}

    @PostMapping("/api/batches/{number}/corrections")
    void correct(
            @PathVariable int number,
            @Valid @RequestBody CorrectionEntry entry,
            @AuthenticationPrincipal Person person) {
        recording.record(entry.requestId(), number, null, List.of(new BatchChange.Corrected(entry.sequence())), person.id());
    }
}
