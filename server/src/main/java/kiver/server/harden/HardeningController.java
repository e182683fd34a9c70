package kiver.server.harden;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.harden.HardeningProgramme;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.batch.RecordingService;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Hardening off, day by day. */
@RestController
class HardeningController {

    private final RecordingService recording;
    private final BatchBook batches;
    private final PlaceBook places;
    private final ProgrammeBook programmes;

    HardeningController(RecordingService recording, BatchBook batches, PlaceBook places, ProgrammeBook programmes) {
        this.recording = recording;
        this.batches = batches;
        this.places = places;
        this.programmes = programmes;
    }

    /** The first day outside. */
    record HardeningStart(
            @NotNull UUID requestId,
            @NotNull(message = "Choose where it hardens.") Long placeId,
            @NotBlank(message = "Choose a programme.") String programme,
            @Nullable LocalDate day) {}

    /** A day outside. */
    record HardeningDay(
            @NotNull UUID requestId,
            @NotNull(message = "Say for how many hours.") Integer hours,
            @Nullable LocalDate day) {}

    /** The end. */
    record HardeningEnd(@NotNull UUID requestId, @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/hardening-starts")
    @Transactional
    public void start(
            @PathVariable int number,
            @Valid @RequestBody HardeningStart entry,
            @AuthenticationPrincipal Person person) {
        if (places.places().stream()
                .noneMatch(place -> place.id().number() == entry.placeId() && place.suits(PlaceUse.HARDENING_OFF))) {
            throw new Refusal("placeId", Said.of("Choose a place where plants harden off."));
        }
        HardeningProgramme programme = programmes
                .programme(entry.programme())
                .orElseThrow(() ->
                        new Refusal("programme", Said.of("There is no such programme any more. Load the page again.")));
        BatchChange change = new BatchChange.HardeningStarted(new PlaceId(entry.placeId()), programme.days());
        recording.record(
                entry.requestId(),
                number,
                entry.day(),
                List.of(change),
                person.id(),
                () -> batches.harden(number, programme));
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/hardening-days")
    void day(@PathVariable int number, @Valid @RequestBody HardeningDay entry, @AuthenticationPrincipal Person person) {
        recording.record(
                entry.requestId(),
                number,
                entry.day(),
                List.of(new BatchChange.HardenedForDay(entry.hours())),
                person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/hardening-ends")
    void end(@PathVariable int number, @Valid @RequestBody HardeningEnd entry, @AuthenticationPrincipal Person person) {
        recording.record(
                entry.requestId(), number, entry.day(), List.of(new BatchChange.HardeningEnded()), person.id());
    }
}
