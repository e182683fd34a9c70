package kiver.server.today;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kiver.core.place.PlaceClimate;
import kiver.core.space.Stay;
import kiver.core.today.RoundTask;
import kiver.core.weather.DailyRange;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchSummary;
import kiver.server.grow.BatchViews;
import kiver.server.place.NamedPlace;
import kiver.server.place.PlaceBook;
import kiver.server.weather.WeatherBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The round, place by place. */
@RestController
class RoundController {

    private final RoundService round;
    private final PlaceBook places;
    private final BatchViews views;
    private final WeatherBook weather;
    private final NurseryClock clock;

    RoundController(
            RoundService round,
            PlaceBook places,
            BatchViews views,
            WeatherBook weather,
            NurseryClock clock) {
        this.round = round;
        this.places = places;
        this.views = views;
        this.weather = weather;
        this.clock = clock;
    }

    /** A batch with what is to be done with it. */
    record BatchWork(BatchSummary batch, List<RoundTask> tasks) {}

    /** A stop on the round. */
    record StopView(
            long placeId, String place, String caution, int slots, double slotsTaken, @Nullable Double lastMinimum,
            @Nullable Double lastMaximum, @Nullable Double setMinimum, @Nullable Double setMaximum, List<BatchWork> work, int quietBatches) {}

    /** A day's temperatures. */
    record DayRange(LocalDate day, double minimum, double maximum) {}

    /** The round of a day. */
    record RoundView(LocalDate today, List<DayRange> forecast, List<StopView> stops) {}

    @GetMapping("/api/round")
    RoundView round() {
        LocalDate today = clock.today();
        List<RoundService.Stop> all = round.stops();
        var readings = places.readings(today.minusDays(1));
        Function<BatchAnalysis, BatchSummary> summary = views.summarising();
        List<StopView> stops = new ArrayList<>();
        for (NamedPlace named : places.placesWithCautions()) {
            var place = named.place();
            List<RoundService.Stop> here = all.stream().filter(stop -> stop.place().equals(place.id())).toList();
            DailyRange read = readings.getOrDefault(place.id(), Map.of()).get(today.minusDays(1));
            PlaceClimate.SetPoints set = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
            List<BatchWork> work = here.stream()
                    .filter(stop -> !stop.tasks().isEmpty())
                    .map(stop -> new BatchWork(summary.apply(stop.batch()), stop.tasks()))
                    .toList();
            stops.add(new StopView(
                    place.id().number(), place.name(), named.caution(), place.slots(), slotsTaken(here),
                    read == null ? null : read.minimum(), read == null ? null : read.maximum(),
                    set == null ? null : set.night(), set == null ? null : set.day(), work,
                    (int) here.stream().filter(stop -> stop.tasks().isEmpty() && standsThere(stop)).count()));
        }
        List<DayRange> forecast = new ArrayList<>();
        for (DailyRange range : weather.forecast(today)) {
            forecast.add(new DayRange(today.plusDays(forecast.size()), range.minimum(), range.maximum()));
        }
        return new RoundView(today, forecast, stops);
    }

    private static double slotsTaken(List<RoundService.Stop> here) {
        return here.stream()
                .filter(RoundController::standsThere)
                .mapToDouble(stop -> slotsNow(stop))
                .sum();
    }

    private static double slotsNow(RoundService.Stop stop) {
        return stop.batch().stays().stream().findFirst().map(Stay::slots).orElse(0.0);
    }

    private static boolean standsThere(RoundService.Stop stop) {
        return stop.batch().file().state().sownOn().isPresent()
                && stop.batch().file().state().balance().alive() + stop.batch().file().state().balance().waiting() > 0;
    }
}
