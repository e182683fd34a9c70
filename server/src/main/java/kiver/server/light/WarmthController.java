package kiver.server.light;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.ProbeReading;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.place.PlaceBook;
import kiver.server.place.ProbeReadings;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Shows what the thermometers of the places read. */
@RestController
class WarmthController {

    private static final int HOURS_SHOWN = 72;

    private final ProbeReadings readings;
    private final Warmth warmth;
    private final PlaceLights lights;
    private final PlaceBook places;
    private final NurseryClock clock;

    WarmthController(ProbeReadings readings, Warmth warmth, PlaceLights lights, PlaceBook places, NurseryClock clock) {
        this.readings = readings;
        this.warmth = warmth;
        this.lights = lights;
        this.places = places;
        this.clock = clock;
    }

    /**
     * A reading.
     *
     * @param hour since the first moment shown, 0 or more
     */
    record ReadingView(double hour, double celsius) {}

    /**
     * A place with what was read there.
     *
     * @param humidity % at the last reading; missing where it is not measured
     */
    record PlaceWarmth(
            long placeId,
            String place,
            @Nullable Double setMinimum,
            @Nullable Double setMaximum,
            @Nullable Double humidity,
            List<ReadingView> readings,
            List<PlaceWarningView> warnings,
            PlaceLightView light) {}

    /**
     * What was read in the last days.
     *
     * @param from first moment shown, the nursery's own time
     * @param until last moment
     */
    record WarmthView(LocalDateTime from, LocalDateTime until, List<PlaceWarmth> places) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/warmth")
    WarmthView warmth() {
        LocalDateTime until = clock.now();
        LocalDateTime from = until.minusHours(HOURS_SHOWN).truncatedTo(ChronoUnit.HOURS);
        Map<PlaceId, List<ProbeReading>> read = readings.between(from, until);
        Map<PlaceId, List<PlaceWarningView>> warnings = warmth.warnings();
        Map<PlaceId, PlaceLightView> light = lights.all();
        return new WarmthView(
                from,
                until,
                places.places().stream()
                        .map(place -> view(
                                place,
                                from,
                                read.getOrDefault(place.id(), List.of()),
                                warnings.getOrDefault(place.id(), List.of()),
                                light.get(place.id())))
                        .toList());
    }

    private static PlaceWarmth view(
            Place place,
            LocalDateTime from,
            List<ProbeReading> readings,
            List<PlaceWarningView> warnings,
            PlaceLightView light) {
        PlaceClimate.SetPoints set = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
        ProbeReading last = readings.isEmpty() ? null : readings.get(readings.size() - 1);
        return new PlaceWarmth(
                place.id().number(),
                place.name(),
                set == null ? null : set.night(),
                set == null ? null : set.day(),
                last == null || last.humidity().isEmpty()
                        ? null
                        : last.humidity().getAsDouble(),
                readings.stream()
                        .map(reading -> new ReadingView(
                                ChronoUnit.MINUTES.between(from, reading.at()) / 60.0, reading.celsius()))
                        .toList(),
                warnings,
                light);
    }
}
