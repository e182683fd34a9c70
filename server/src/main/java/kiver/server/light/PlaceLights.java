package kiver.server.light;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.care.FierceSun;
import kiver.core.care.LightCall;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.DailyLight;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.place.PlaceBook;
import org.springframework.stereotype.Component;

/** What the light of each place does to what grows there: too little of it over the last days, too much today. */
@Component
public class PlaceLights {

    private static final int DAYS_OF_LIGHT = 7;

    private final PlaceBook places;
    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final NurseryClock clock;

    PlaceLights(PlaceBook places, BatchAnalyst analyst, SeasonService seasons, NurseryClock clock) {
        this.places = places;
        this.analyst = analyst;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** All places. */
    public Map<PlaceId, PlaceLightView> all() {
        Map<PlaceId, List<BatchOutlook>> growing = growing();
        return places.places().stream()
                .collect(Collectors.toMap(
                        Place::id, place -> of(place, place.light(), growing.getOrDefault(place.id(), List.of()))));
    }

    /** One place, were its light made otherwise. */
    public PlaceLightView of(Place place, PlaceLight light) {
        return of(place, light, growing(place.id()));
    }

    /** The batches that are up, not ready yet, and stood at a place last night. */
    public List<BatchOutlook> growing(PlaceId place) {
        return growing().getOrDefault(place, List.of());
    }

    private Map<PlaceId, List<BatchOutlook>> growing() {
        LocalDate today = clock.today();
        return analyst.all().stream()
                .filter(batch -> batch.trouble().isEmpty()
                        && batch.stage() != BatchStage.READY
                        && batch.file().state().balance().alive() > 0
                        && Warmth.stoodThere(batch, today))
                .collect(Collectors.groupingBy(
                        batch -> batch.file().state().place().orElseThrow()));
    }

    private PlaceLightView of(Place place, PlaceLight light, List<BatchOutlook> growing) {
        LocalDate today = clock.today();
        Season season = seasons.season();
        double lately = lately(season, today, light);
        double warmth = season.meanTemperature(place.id(), today.minusDays(DAYS_OF_LIGHT), DAYS_OF_LIGHT);
        return PlaceLightView.of(
                lately,
                LightCall.of(
                        lately,
                        warmth,
                        growing.stream()
                                .map(batch -> new LightCall.Growing(
                                        batch.number(), batch.crop().leaves()))
                                .toList()),
                sun(season, today, place, light, growing));
    }

    /** What it had over the last days, mol m⁻² d⁻¹; the days that are over are the same in all scenarios. */
    private static double lately(Season season, LocalDate today, PlaceLight light) {
        StationRecord weather = season.weather().get(0);
        DailyLight daily = light.at(season.latitude());
        return today.minusDays(DAYS_OF_LIGHT)
                .datesUntil(today)
                .mapToDouble(day -> daily.onLeaves(day, weather.on(day)))
                .average()
                .orElse(0);
    }

    /** What today brings; what hardens off is judged by its programme. */
    private static Optional<FierceSun> sun(
            Season season, LocalDate today, Place place, PlaceLight light, List<BatchOutlook> growing) {
        var climate = season.climate(place.id()).get(0);
        Function<BatchOutlook, FierceSun.Standing> standing =
                batch -> new FierceSun.Standing(batch.number(), batch.crop().leaves(), batch.isYoung(today));
        return FierceSun.of(
                light.at(season.latitude())
                        .unshaded(today, season.weather().get(0).on(today)),
                climate.maximum((int) (today.toEpochDay() - climate.firstDay().toEpochDay())),
                light.cloth(),
                growing.stream()
                        .filter(batch -> !batch.standing().hardeningStarted())
                        .map(standing)
                        .toList());
    }
}
