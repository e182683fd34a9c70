package kiver.server.light;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.harden.NightOut;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.ClimateSeries;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceWarning;
import kiver.core.place.PlaceWatch;
import kiver.core.place.ProbeReading;
import kiver.core.weather.HoursAhead;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.place.PlaceBook;
import kiver.server.place.ProbeReadings;
import org.springframework.stereotype.Component;

/** What thermometers showed in the last day, and what somebody should see to for what stands there. */
@Component
public class Warmth {

    private static final int HOURS_BACK = 24;

    private final ProbeReadings readings;
    private final PlaceBook places;
    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final NurseryClock clock;

    Warmth(ProbeReadings readings, PlaceBook places, BatchAnalyst analyst, SeasonService seasons, NurseryClock clock) {
        this.readings = readings;
        this.places = places;
        this.analyst = analyst;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** What to see to, place by place in walking order; places at which there is nothing are left out. */
    public Map<PlaceId, List<PlaceWarningView>> warnings() {
        LocalDateTime now = clock.now();
        Map<PlaceId, List<ProbeReading>> read = readings.between(now.minusHours(HOURS_BACK), now);
        if (read.isEmpty()) {
            return Map.of();
        }
        Map<PlaceId, List<PlaceWatch.Standing>> standing = standing();
        Map<PlaceId, List<PlaceWarningView>> warnings = new LinkedHashMap<>();
        for (Place place : places.places()) {
            List<PlaceWarning> here = PlaceWatch.warnings(
                    place,
                    read.getOrDefault(place.id(), List.of()),
                    now,
                    standing.getOrDefault(place.id(), List.of()),
                    Optional.of(ahead(place, now.toLocalDate())));
            if (!here.isEmpty()) {
                warnings.put(place.id(), here.stream().map(PlaceWarningView::of).toList());
            }
        }
        return warnings;
    }

    /** While the forecast lasts all weather years say the same. */
    private HoursAhead ahead(Place place, LocalDate today) {
        ClimateSeries climate = seasons.season().climate(place.id()).get(0);
        int day = (int) ChronoUnit.DAYS.between(climate.firstDay(), today);
        return new HoursAhead(today, climate.maximum(day), climate.minimum(day + 1));
    }

    private Map<PlaceId, List<PlaceWatch.Standing>> standing() {
        LocalDate today = clock.today();
        return analyst.all().stream()
                .filter(batch -> batch.trouble().isEmpty()
                        && stoodThere(batch, today)
                        && batch.file().state().balance().alive()
                                        + batch.file().state().balance().waiting()
                                > 0)
                .collect(Collectors.groupingBy(
                        batch -> batch.file().state().place().orElseThrow(),
                        Collectors.mapping(Warmth::standing, Collectors.toList())));
    }

    /** What came today did not stand there through the night. */
    public static boolean stoodThere(BatchOutlook batch, LocalDate today) {
        return batch.file().state().placements().stream()
                .reduce((earlier, later) -> later)
                .filter(last -> last.from().isBefore(today))
                .isPresent();
    }

    private static PlaceWatch.Standing standing(BatchOutlook batch) {
        boolean up = batch.file().state().emerged() > 0 || batch.file().batch().isBoughtIn();
        CardinalTemperatures bears = up
                ? batch.crop().leaves().temperatures()
                : batch.crop().emergence().temperatures();
        // Seed that waits in the mix is not harmed by a cold night; it comes later.
        double floor = up ? new NightOut(batch.crop().hardiness(), batch.stage() != BatchStage.READY, 0).floor() : -60;
        return new PlaceWatch.Standing(batch.file().batch().number(), floor, bears.ceiling());
    }
}
