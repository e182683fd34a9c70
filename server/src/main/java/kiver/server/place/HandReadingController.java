package kiver.server.place;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.UUID;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A thermometer that keeps the lowest and the highest, read by hand on the round. */
@RestController
class HandReadingController {

    /** Days back for which a reading is still believed. */
    private static final int DAYS_BACK = 14;

    private final ProbeReadings readings;
    private final PlaceBook places;
    private final Requests requests;
    private final NurseryClock clock;

    HandReadingController(ProbeReadings readings, PlaceBook places, Requests requests, NurseryClock clock) {
        this.readings = readings;
        this.places = places;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * What the thermometer showed when it was read on a day: the lowest and the highest since the morning before.
     *
     * @param minimum °C
     * @param maximum °C
     * @param day on which it was read; missing for today
     */
    record HandReadingEntry(
            @NotNull UUID requestId,

            @NotNull(message = "Enter the lowest.")
            @DecimalMin(value = "-60", message = "Enter −60 to 80 °C.")
            @DecimalMax(value = "80", message = "Enter −60 to 80 °C.")
            Double minimum,

            @NotNull(message = "Enter the highest.")
            @DecimalMin(value = "-60", message = "Enter −60 to 80 °C.")
            @DecimalMax(value = "80", message = "Enter −60 to 80 °C.")
            Double maximum,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/places/{id}/hand-readings")
    @Transactional
    public void take(
            @PathVariable long id, @Valid @RequestBody HandReadingEntry entry, @AuthenticationPrincipal Person person) {
        PlaceId place = new PlaceId(id);
        if (places.places().stream().noneMatch(each -> each.id().equals(place))) {
            throw new NotFound(Said.of("There is no such place."));
        }
        if (entry.minimum() > entry.maximum()) {
            throw new Refusal("maximum", Said.of("The highest is below the lowest. Look again which is which."));
        }
        LocalDate read = entry.day() == null ? clock.today() : entry.day();
        if (read.isAfter(clock.today()) || read.isBefore(clock.today().minusDays(DAYS_BACK))) {
            throw new Refusal(
                    "day",
                    Said.of("A thermometer can be entered for today and {days} days back.")
                            .with("days", DAYS_BACK));
        }
        DailyRange range = new DailyRange(entry.minimum(), entry.maximum());
        requests.once(entry.requestId(), Arrays.asList("thermometer", id, range, read, person.id()), () -> {
            readings.takeByHand(entry.requestId(), place, read.minusDays(1), range, person.id());
            return 0L;
        });
    }
}
