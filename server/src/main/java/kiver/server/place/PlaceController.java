package kiver.server.place;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlacePattern;
import kiver.core.place.PlaceSpan;
import kiver.core.place.PlaceUse;
import kiver.core.place.ShadeCloth;
import kiver.core.weather.Aspect;
import kiver.core.weather.SkyView;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Adding places, from patterns or from nothing. */
@RestController
class PlaceController {

    private static final double MOST_CENTIMETRES = 10_000;

    /** What an unheated place adds to the weather until its thermometer teaches better. */
    private static final PlaceClimate.FollowsWeather UNHEATED =
            new PlaceClimate.FollowsWeather(2, 5, PlaceClimate.FollowsWeather.NO_FLOOR);

    private final PlaceBook places;
    private final PatternBook patterns;
    private final NurseryClock clock;
    private final Wording wording;

    PlaceController(PlaceBook places, PatternBook patterns, NurseryClock clock, Wording wording) {
        this.places = places;
        this.patterns = patterns;
        this.clock = clock;
        this.wording = wording;
    }

    /**
     * A place as such places usually are.
     *
     * @param name what it is usually called
     * @param day set point by day, °C; nothing where it is not heated
     * @param night set point by night
     * @param gainByDay K above outdoors at the highest; nothing where it is heated
     * @param gainByNight K above outdoors at the lowest
     * @param floor °C below which it does not fall; nothing where nothing protects it
     * @param length of what trays stand on, cm
     * @param breadth of the same, cm
     * @param slots so many trays stand on it
     */
    record PatternView(
            PlacePattern.Kind kind,
            Said name,
            @Nullable Double day,
            @Nullable Double night,
            @Nullable Double gainByDay,
            @Nullable Double gainByNight,
            @Nullable Double floor,
            double daylightShare,
            Aspect aspect,
            double lampFlux,
            double lampHours,
            boolean keepsMiceOut,
            List<PlaceUse> uses,
            double length,
            double breadth,
            int slots) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/places/patterns")
    List<PatternView> patterns() {
        return patterns.patterns(clock.latitude() >= 0).stream()
                .map(PlaceController::view)
                .toList();
    }

    private static PatternView view(PlacePattern pattern) {
        PlaceClimate.SetPoints heated = pattern.climate() instanceof PlaceClimate.SetPoints points ? points : null;
        PlaceClimate.FollowsWeather open =
                pattern.climate() instanceof PlaceClimate.FollowsWeather follows ? follows : null;
        return new PatternView(
                pattern.kind(),
                Said.of("pattern." + pattern.kind()),
                heated == null ? null : heated.day(),
                heated == null ? null : heated.night(),
                open == null ? null : open.gainByDay(),
                open == null ? null : open.gainByNight(),
                open == null || open.floor() <= PlaceClimate.FollowsWeather.NO_FLOOR ? null : open.floor(),
                pattern.light().daylightShare(),
                pattern.light().sky().aspect(),
                pattern.light().lamps().flux(),
                pattern.light().lamps().hours(),
                pattern.keepsMiceOut(),
                pattern.suits().stream().sorted().toList(),
                pattern.length(),
                pattern.breadth(),
                pattern.slots());
    }

    /** So many trays stand on a surface. */
    record Surface(int slots) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/places/surfaces")
    Surface surface(@RequestParam double length, @RequestParam double breadth) {
        if (!(length >= 0 && length <= MOST_CENTIMETRES && breadth >= 0 && breadth <= MOST_CENTIMETRES)) {
            throw new Refusal("length", Said.of("Enter a length and a breadth of up to 100 m."));
        }
        return new Surface(PlacePattern.traysOn(length, breadth));
    }

    /** A place to be added; without set points it follows the weather, by its gains where they are known. */
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

            @NotEmpty(message = "Say what it is used for.") List<PlaceUse> uses,

            @Nullable PlacePattern.Kind kind,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 30 K above outdoors.")
            @DecimalMax(value = "30", message = "Enter 0 to 30 K above outdoors.")
            Double gainByDay,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 30 K above outdoors.")
            @DecimalMax(value = "30", message = "Enter 0 to 30 K above outdoors.")
            Double gainByNight,

            @Nullable
            @DecimalMin(value = "-60", message = "Enter −60 to 30 °C.")
            @DecimalMax(value = "30", message = "Enter −60 to 30 °C.")
            Double floor,

            @Nullable Aspect aspect,

            @Nullable LocalDate existsFrom,
            @Nullable LocalDate existsUntil) {}

    @OpenTo(Callers.PROPAGATOR)
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
                ? unheated(entry)
                : new PlaceClimate.SetPoints(entry.daySetPoint(), entry.nightSetPoint());
        int last = present.stream().mapToInt(Place::walkingOrder).max().orElse(0);
        places.add(
                new Place(
                        new PlaceId(0),
                        entry.name().strip(),
                        last + 1,
                        entry.slots(),
                        climate,
                        new PlaceLight(entry.daylightShare(), sky(entry), ShadeCloth.NONE, lamps(entry)),
                        Boolean.TRUE.equals(entry.keepsMiceOut()),
                        Set.copyOf(entry.uses()),
                        span(entry)),
                caution(entry));
    }

    private static PlaceClimate.FollowsWeather unheated(PlaceEntry entry) {
        return new PlaceClimate.FollowsWeather(
                entry.gainByNight() == null ? UNHEATED.gainByNight() : entry.gainByNight(),
                entry.gainByDay() == null ? UNHEATED.gainByDay() : entry.gainByDay(),
                entry.floor() == null ? UNHEATED.floor() : entry.floor());
    }

    private static PlaceSpan span(PlaceEntry entry) {
        if (entry.existsFrom() != null
                && entry.existsUntil() != null
                && entry.existsUntil().isBefore(entry.existsFrom())) {
            throw new Refusal("existsUntil", Said.of("A place cannot end before it begins."));
        }
        return new PlaceSpan(Optional.ofNullable(entry.existsFrom()), Optional.ofNullable(entry.existsUntil()));
    }

    private static SkyView sky(PlaceEntry entry) {
        return entry.aspect() == null
                ? SkyView.OPEN
                : new SkyView(entry.aspect(), SkyView.OPEN.sunFrom(), SkyView.OPEN.sunUntil());
    }

    /** What may hurt somebody in such places is said at that stop of the round. */
    private String caution(PlaceEntry entry) {
        return patterns.patterns(true).stream()
                .filter(pattern -> pattern.kind() == entry.kind())
                .map(PlacePattern::caution)
                .filter(caution -> caution != PlacePattern.Caution.NONE)
                .findFirst()
                .map(caution -> wording.say(Said.of("caution." + caution)))
                .orElse("");
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
