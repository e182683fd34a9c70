package kiver.server.outlook;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.growth.GrowingYear;
import kiver.core.place.PlaceId;
import kiver.core.space.Occupancy;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.RecordingService;
import kiver.server.clock.NurseryClock;
import kiver.server.limit.Limits;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.space.SpaceBook;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Batches as they stand, and moving them. */
@RestController
class BatchController {

    private final BatchAnalyst analyst;
    private final BatchViews views;
    private final RecordingService recording;
    private final PlaceBook places;
    private final TrayBook trays;
    private final SpaceBook space;
    private final NurseryClock clock;

    BatchController(
            BatchAnalyst analyst,
            BatchViews views,
            RecordingService recording,
            PlaceBook places,
            TrayBook trays,
            SpaceBook space,
            NurseryClock clock) {
        this.clock = clock;
        this.trays = trays;
        this.space = space;
        this.analyst = analyst;
        this.views = views;
        this.recording = recording;
        this.places = places;
    }

    /**
     * Where a batch went.
     *
     * @param trays that went; missing or empty for all of them
     */
    record MoveEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose a place.") Long placeId,

            @Nullable @Size(max = 500, message = "At most 500 trays at once.")
            List<@NotNull(message = "A tray is missing.") Integer> trays,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches")
    List<BatchSummary> batches(
            @RequestParam(defaultValue = "false") boolean withGone, @RequestParam Optional<Integer> year) {
        if (year.isPresent()) {
            return analyst.putAway(new GrowingYear(Limits.year(year.get()), clock.latitude() < 0)).stream()
                    .map(views.summarising())
                    .toList();
        }
        return analyst.all().stream()
                .filter(batch -> withGone || batch.stage() != BatchStage.RELEASED)
                .map(views.summarising())
                .toList();
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}")
    BatchView batch(@PathVariable int number) {
        return views.view(analyst.one(number));
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/moves")
    void move(@PathVariable int number, @Valid @RequestBody MoveEntry entry, @AuthenticationPrincipal Person person) {
        if (places.places().stream().noneMatch(place -> place.id().number() == entry.placeId())) {
            throw new Refusal("placeId", Said.of("This place does not exist."));
        }
        BatchChange change = new BatchChange.Moved(
                new PlaceId(entry.placeId()),
                entry.trays() == null
                        ? List.of()
                        : entry.trays().stream()
                                .map(tray -> trays.numbered(tray).trayId())
                                .toList());
        recording.record(entry.requestId(), number, entry.day(), List.of(change), person.id());
    }

    /** Room at a place today. */
    record RoomView(long placeId, double free) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/rooms")
    List<RoomView> rooms() {
        Occupancy occupancy = space.occupancy();
        LocalDate today = occupancy.firstDay();
        return places.places().stream()
                .map(place -> new RoomView(place.id().number(), occupancy.free(place.id(), today, today.plusDays(1))))
                .toList();
    }
}
