package kiver.server.sow;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import kiver.core.labels.LabelFormat;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The label printer: what to print, what was printed, and that again. */
@RestController
class LabelJobController {

    private static final int MOST_BATCHES = 200;

    private final LabelJobs jobs;

    LabelJobController(LabelJobs jobs) {
        this.jobs = jobs;
    }

    /** Labels to be printed. */
    record LabelJobEntry(
            @NotNull UUID requestId,

            @NotEmpty(message = "Choose a batch.") @Size(max = MOST_BATCHES, message = "At most 200 batches at once.")
            List<@NotNull(message = "A batch is missing.") Integer> batches,

            @NotNull(message = "Choose a format.") LabelFormat format) {}

    /** The same labels again. */
    record PrintAgainEntry(@NotNull UUID requestId) {}

    /** What was sent, by its number. */
    record LabelJobNumber(int number) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/label-jobs")
    List<LabelJobs.LabelJob> newest() {
        return jobs.newest();
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/label-jobs")
    LabelJobNumber print(@Valid @RequestBody LabelJobEntry entry, @AuthenticationPrincipal Person person) {
        String address =
                ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
        return new LabelJobNumber(jobs.print(entry.requestId(), entry.batches(), entry.format(), address, person.id()));
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/label-jobs/{number}/reprints")
    LabelJobNumber again(
            @PathVariable int number,
            @Valid @RequestBody PrintAgainEntry entry,
            @AuthenticationPrincipal Person person) {
        return new LabelJobNumber(jobs.again(entry.requestId(), number, person.id()));
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping(value = "/api/label-jobs/{number}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> document(@PathVariable int number) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"labels-" + number + ".pdf\"")
                .body(jobs.document(number));
    }
}
