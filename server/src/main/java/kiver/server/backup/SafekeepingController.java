package kiver.server.backup;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** How things stand with the nursery's copies. */
@RestController
class SafekeepingController {

    private static final Logger LOG = LoggerFactory.getLogger(SafekeepingController.class);

    private final Safekeeping safekeeping;
    private final NurseryClock clock;
    private final Clock calendar;

    SafekeepingController(Safekeeping safekeeping, NurseryClock clock, Clock calendar) {
        this.safekeeping = safekeeping;
        this.clock = clock;
        this.calendar = calendar;
    }

    /**
     * How things stand.
     *
     * @param folder where copies lie on the machine; null where none are made
     * @param copies the last one first
     * @param hoursOld of the last copy; null where there is none
     * @param old whether it is older than it should be
     * @param freeBytes what is left on that disk; null where it cannot be told
     * @param lowOnDisk whether that is too little
     * @param trouble why the last attempt failed, as the machine says it; null when it did not
     */
    record SafekeepingView(
            @Nullable String folder,
            List<CopyView> copies,
            @Nullable Long hoursOld,
            boolean old,
            @Nullable Long freeBytes,
            boolean lowOnDisk,
            @Nullable String trouble) {}

    /** A copy. */
    record CopyView(String name, Copies.Reason reason, LocalDateTime madeAt, long bytes) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/safekeeping")
    SafekeepingView state() {
        Safekeeping.State state = safekeeping.state();
        return new SafekeepingView(
                state.folder() == null ? null : state.folder().toString(),
                state.copies().stream()
                        .map(copy -> new CopyView(
                                copy.file().getFileName().toString(),
                                copy.reason(),
                                LocalDateTime.ofInstant(copy.madeAt(), clock.zone()),
                                copy.bytes()))
                        .toList(),
                state.copies().isEmpty()
                        ? null
                        : Duration.between(state.copies().get(0).madeAt(), calendar.instant())
                                .toHours(),
                state.old(),
                state.freeBytes(),
                state.lowOnDisk(),
                state.trouble());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/safekeeping/copies")
    SafekeepingView copy() {
        if (safekeeping.state().folder() == null) {
            throw new Refusal(
                    "folder",
                    Said.of("No folder is named for copies. Name one in KIVER_BACKUPS and start Kiver anew."));
        }
        try {
            safekeeping.copy(Copies.Reason.BY_HAND);
        } catch (IOException | SQLException failed) {
            LOG.error("No copy could be made: {}", failed.getMessage());
            throw new Refusal(
                    "folder",
                    Said.of("No copy could be made: {why}. Nothing else was changed.")
                            .with("why", Safekeeping.why(failed)));
        }
        return state();
    }

    /** Everything as an open data package. */
    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/safekeeping/everything")
    ResponseEntity<StreamingResponseBody> everything() {
        StreamingResponseBody body = out -> {
            try {
                safekeeping.writeEverything(out);
            } catch (SQLException failed) {
                throw new IOException(failed);
            }
        };
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"kiver-nursery.zip\"")
                .body(body);
    }
}
