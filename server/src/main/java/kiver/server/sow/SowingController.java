package kiver.server.sow;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.labels.LabelFormat;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Sowing and its labels. */
@RestController
class SowingController {

    private static final int MOST_BATCHES = 200;

    private final SowingService sowing;
    private final LabelPrinter labels;

    SowingController(SowingService sowing, LabelPrinter labels) {
        this.sowing = sowing;
        this.labels = labels;
    }

    /**
     * What was sown into a run of cells of one tray.
     *
     * @param medium what they were filled with, where that is no mix with a number
     * @param mix number of the mix they were filled from
     */
    record SowingEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,

            @NotNull(message = "Say at which cell the run begins.")
            @Min(value = 1, message = "Cells are counted from 1.")
            Integer firstCell,

            @NotNull(message = "Say at which cell the run ends.")
            Integer lastCell,

            @NotNull(message = "Say how many seeds went into a cell.")
            @Min(value = 1, message = "At least one seed goes into a cell.")
            @Max(value = 10, message = "At most 10 seeds go into a cell.")
            Integer seedsPerCell,

            @NotNull(message = "Choose the seed lot.") Long lotId,

            @Nullable @Size(max = 200, message = "Use at most 200 letters.")
            String medium,

            @Nullable Integer mix,

            @NotNull(message = "Choose where the tray was put.")
            Long placeId,

            @Nullable LocalDate day) {}

    /** What was set aside in a tray and is not sown. */
    record LeftUnsownEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which tray.") Integer tray,
            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/left-unsown")
    void leaveUnsown(
            @PathVariable int number,
            @Valid @RequestBody LeftUnsownEntry entry,
            @AuthenticationPrincipal Person person) {
        sowing.leaveUnsown(number, entry, person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/sowings")
    void sow(@PathVariable int number, @Valid @RequestBody SowingEntry entry, @AuthenticationPrincipal Person person) {
        sowing.sow(number, entry, person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping(value = "/api/batches/{number}/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> labels(@PathVariable int number, @RequestParam(defaultValue = "ROLL") LabelFormat format) {
        return labels(List.of(number), format, "labels-" + number);
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping(value = "/api/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> labels(
            @RequestParam List<Integer> batches, @RequestParam(defaultValue = "ROLL") LabelFormat format) {
        if (batches.isEmpty() || batches.size() > MOST_BATCHES || batches.contains(null)) {
            throw new Refusal(
                    "batches",
                    Said.of("Print labels of 1 to {most} batches at once.").with("most", MOST_BATCHES));
        }
        return labels(batches, format, "labels");
    }

    private ResponseEntity<byte[]> labels(List<Integer> batches, LabelFormat format, String name) {
        String address =
                ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + ".pdf\"")
                .body(labels.labels(batches, format, address));
    }
}
