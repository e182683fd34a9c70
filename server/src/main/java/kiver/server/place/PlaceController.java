package kiver.server.place;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceUse;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Adding places. */
@RestController
class PlaceController {

    /** What an unheated place adds to the weather until its thermometer teaches better. */
    private static final PlaceClimate.FollowsWeather UNHEATED = new PlaceClimate.FollowsWeather(2, 5, -60);

    private final PlaceBook places;

    PlaceController(PlaceBook places) {
        this.places = places;
    }

    /** A place to be added; without set points it follows the weather. */
    record PlaceEntry(
            @NotBlank(message = "Enter a name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name,

            @NotNull(message = "Say how many trays it holds.")
            Integer slots,

            @Nullable
            @DecimalMin(value = "-20", message = "Enter −20 to 50 °C.")
            @DecimalMax(value = "50", message = "Enter −20 to 50 °C.")
            Double daySetPoint,

            @Nullable
            @DecimalMin(value = "-20", message = "Enter −20 to 50 °C.")
            @DecimalMax(value = "50", message = "Enter −20 to 50 °C.")
            Double nightSetPoint,

            @NotNull(message = "Say how much daylight reaches it.")
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double daylightShare,

            @Nullable
            @DecimalMin(value = "0", message = "Lamps give 0 to 2,000 µmol at the leaves.")
            @DecimalMax(value = "2000", message = "Lamps give 0 to 2,000 µmol at the leaves.")
            Double lampFlux,

            @Nullable
            @DecimalMin(value = "0", message = "A day has 24 hours.")
            @DecimalMax(value = "24", message = "A day has 24 hours.")
            Double lampHours,

            @Nullable Boolean keepsMiceOut,

            @NotEmpty(message = "Say what it is used for.") List<PlaceUse> uses) {}

    @PostMapping("/api/places")
    void add(@Valid @RequestBody PlaceEntry entry) {
        List<Place> present = places.places();
        if (present.stream()
                .anyMatch(place -> place.name().equalsIgnoreCase(entry.name().strip()))) {
            throw new Refusal(
                    "name",
                    Said.of("There is a place named \"{entry}\" already.")
                            .with("entry", entry.name().strip()));
        }
        if (entry.slots() < 1) {
            throw new Refusal("slots", Said.of("A place holds at least one tray."));
        }
        if ((entry.daySetPoint() == null) != (entry.nightSetPoint() == null)) {
            throw new Refusal("nightSetPoint", Said.of("Enter both set points, or neither for an unheated place."));
        }
        if (entry.daySetPoint() != null && entry.nightSetPoint() > entry.daySetPoint()) {
            throw new Refusal("nightSetPoint", Said.of("The night set point is above the day set point."));
        }
        PlaceClimate climate = entry.daySetPoint() == null
                ? UNHEATED
                : new PlaceClimate.SetPoints(entry.daySetPoint(), entry.nightSetPoint());
        int last = present.stream().mapToInt(Place::walkingOrder).max().orElse(0);
        places.add(
                new Place(
                        new PlaceId(0),
                        entry.name().strip(),
                        last + 1,
                        entry.slots(),
                        climate,
                        new PlaceLight(entry.daylightShare(), lamps(entry)),
                        Boolean.TRUE.equals(entry.keepsMiceOut()),
                        Set.copyOf(entry.uses())),
                "");
    }

    /** Lamps of which nobody said how long they burn burn as long as most do. */
    private static Lamps lamps(PlaceEntry entry) {
        return entry.lampFlux() == null || entry.lampFlux() == 0
                ? Lamps.NONE
                : new Lamps(
                        entry.lampFlux(),
                        entry.lampHours() == null ? Lamps.USUAL_HOURS : entry.lampHours(),
                        Lamps.NONE.distance());
    }
}
