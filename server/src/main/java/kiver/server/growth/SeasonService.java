package kiver.server.growth;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.growth.Season;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Revisions;
import kiver.server.place.PlaceBook;
import kiver.server.place.SimulatedThermometers;
import kiver.server.weather.WeatherBook;
import org.springframework.stereotype.Service;

/** Holds the season; makes a new one when the day or the nursery's places change. */
@Service
public class SeasonService {

    /** What was sown longer ago than this has long left: a sowing of late summer that stands over winter goes out in May at the latest. */
    private static final int DAYS_BACK = 270;

    private static final int DAYS_AHEAD = 400;

    private final NurseryClock clock;
    private final WeatherBook weather;
    private final PlaceBook places;
    private final Revisions revisions;
    private final SimulatedThermometers simulated;

    private volatile Kept kept;

    /** The station's record as last read; a day that has been measured changes only by {@link #forget}. */
    private volatile StationRecord known;

    private volatile int yearsUsed = Integer.MAX_VALUE;

    private record Kept(LocalDate today, List<Place> places, StationRecord record, Season season) {
        boolean holds(LocalDate day, List<Place> asTheyAre) {
            return today.equals(day) && places.equals(asTheyAre);
        }
    }

    SeasonService(
            NurseryClock clock,
            WeatherBook weather,
            PlaceBook places,
            SimulatedThermometers simulated,
            Revisions revisions) {
        this.simulated = simulated;
        this.revisions = revisions;
        revisions.whenChanged("weather", this::discard);
        this.clock = clock;
        this.weather = weather;
        this.places = places;
    }

    /** The nursery's day. */
    public LocalDate today() {
        return clock.today();
    }

    /** The season as seen from today; readings and forecast are fetched first when a day has passed. */
    public Season season() {
        return season(clock.today());
    }

    /** The season as seen from a given day, which must be the nursery's day. */
    public Season season(LocalDate today) {
        List<Place> asTheyAre = places.places();
        Kept present = kept;
        if (present != null && present.holds(today, asTheyAre)) {
            return present.season();
        }
        return renew(today, asTheyAre);
    }

    /** The station's record up to yesterday. */
    public StationRecord record() {
        season();
        Kept present = kept;
        return present == null ? record() : present.record();
    }

    /** The names of places, by place. */
    public Map<PlaceId, String> placeNames() {
        return season().places().stream().collect(Collectors.toMap(Place::id, Place::name));
    }

    /** The station as it may go on from a day in its record to one ahead: as it was, as it is forecast, then as in each past year. */
    public List<StationRecord> scenarios(LocalDate firstDay, LocalDate lastDay) {
        LocalDate today = clock.today();
        List<StationRecord> all = record().scenarios(today.minusDays(1), weather.forecast(today), firstDay, lastDay);
        return all.subList(0, Math.min(yearsUsed, all.size()));
    }

    /**
     * The past years whose weather the season's scenarios are made of, each by the year in which the days ahead began then; in
     * the order of the scenarios.
     */
    public List<Integer> pastYears() {
        LocalDate today = clock.today();
        List<Integer> back = record().yearsBack(today.minusDays(1), today.plusDays(DAYS_AHEAD));
        return back.stream()
                .limit(yearsUsed)
                .map(years -> today.minusYears(years).getYear())
                .toList();
    }

    /** Has the season made anew, here and elsewhere, when it is next asked for: what was measured has been changed. */
    public void forget() {
        revisions.weatherChanged();
        discard();
    }

    private void discard() {
        known = null;
        kept = null;
    }

    /**
     * Looks back on so many past years only: quicker, for running through months of made-up history.
     *
     * @param years 1 or more
     */
    public void lookBackOn(int years) {
        yearsUsed = years;
        kept = null;
    }

    private synchronized Season renew(LocalDate today, List<Place> asTheyAre) {
        if (kept != null && kept.holds(today, asTheyAre)) {
            return kept.season();
        }
        List<LocalDate> newDays = weather.catchUp(today);
        StationRecord record = known == null ? weather.record() : weather.recordAfter(known);
        known = record;
        LocalDate firstDay = today.minusDays(DAYS_BACK);
        // Only the demonstration has thermometers; elsewhere a simulated one would be taken for a measurement.
        boolean thermometers = clock.nursery().orElseThrow().demo();
        places.catchUp(
                !thermometers
                        ? List.of()
                        : newDays.stream()
                                .filter(day -> !day.isBefore(firstDay))
                                .toList(),
                record);
        List<DailyRange> forecast = weather.forecast(today);
        simulated.catchUp(newDays, record, thermometers ? forecast : List.of());
        List<StationRecord> scenarios =
                record.scenarios(today.minusDays(1), forecast, firstDay, today.plusDays(DAYS_AHEAD));
        Season season = new Season(
                asTheyAre,
                scenarios.subList(0, Math.min(yearsUsed, scenarios.size())),
                places.readings(firstDay),
                clock.nursery().orElseThrow().latitude());
        kept = new Kept(today, asTheyAre, record, season);
        return season;
    }
}
