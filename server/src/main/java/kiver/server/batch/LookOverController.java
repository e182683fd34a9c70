package kiver.server.batch;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.LookedOver;
import kiver.core.batch.RootsSeen;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A close look at a few plants of a batch. */
@RestController
class LookOverController {

    private final RecordingService recording;

    LookOverController(RecordingService recording) {
        this.recording = recording;
    }

    /**
     * What was seen.
     *
     * @param leaves true leaves of each plant that was counted
     * @param roots missing where nobody took one out
     */
    record LookOverEntry(
            @NotNull UUID requestId,

            @NotNull(message = "Count the leaves of some plants, or none.")
            @Size(max = 20, message = "Count at most 20 plants.")
            List<@NotNull(message = "Count the leaves of some plants, or none.") Integer> leaves,

            @Nullable RootsSeen roots,
            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/looks")
    void look(
            @PathVariable int number, @Valid @RequestBody LookOverEntry entry, @AuthenticationPrincipal Person person) {
        recording.record(
                entry.requestId(),
                number,
                entry.day(),
                List.of(new LookedOver(entry.leaves(), Optional.ofNullable(entry.roots()))),
                person.id());
    }
}
