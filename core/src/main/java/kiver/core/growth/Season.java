package kiver.core.growth;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import kiver.core.place.ClimateSeries;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;

/**
 * The season as it looks from one day: every place through every weather scenario, and the progress that crops make
 * there. Progress series are worked out when first asked for and kept, since hundreds of batches share a few dozen;
 * what is kept is a pure function of what the season was made of, so sharing it between threads is safe.
 */
public final class Season {

    private final List<Place> places;
    private final List<StationRecord> weather;
    private final Map<PlaceId, Map<LocalDate, DailyRange>> readings;
    private final double latitude;
    private final double[] emergenceScatter;
    private final double[] leafScatter;
    private final Map<PlaceId, List<ClimateSeries>> climates = new ConcurrentHashMap<>();
    private final Map<Key, List<ProgressSeries>> progress = new ConcurrentHashMap<>();

    private record Key(PlaceId place, Object stage) {}

    /**
     * A season.
     *
     * @param places of the nursery
     * @param weather scenarios, equally likely, all over the same days; not empty
     * @param readings of temperature by place and day
     * @param latitude degrees, north positive
     */
    public Season(
            List<Place> places,
            List<StationRecord> weather,
            Map<PlaceId, Map<LocalDate, DailyRange>> readings,
            double latitude) {
        this.places = List.copyOf(places);
        this.weather = List.copyOf(weather);
        this.readings = Map.copyOf(readings);
        this.latitude = latitude;
        if (weather.isEmpty()) {
            throw new IllegalArgumentException("A season needs at least one weather scenario.");
        }
        emergenceScatter = PaceSpread.scatter(weather.size(), 3);
        leafScatter = PaceSpread.scatter(weather.size(), 11);
    }

    /** The first day of all series. */
    public LocalDate firstDay() {
        return weather.get(0).firstDay();
    }

    /** The last day of all series. */
    public LocalDate lastDay() {
        return weather.get(0).lastDay();
    }

    /** The number of scenarios, 1 or more. */
    public int scenarios() {
        return weather.size();
    }

    /** The nursery's places. */
    public List<Place> places() {
        return places;
    }

    /**
     * The place of that number.
     *
     * @throws IllegalArgumentException when the nursery has none
     */
    public Place place(PlaceId id) {
        return places.stream()
                .filter(place -> place.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no place " + id.number() + "."));
    }

    /** Temperature and light at a place, one series for each scenario. */
    public List<ClimateSeries> climate(PlaceId id) {
        return climates.computeIfAbsent(id, place -> weather.stream()
                .map(scenario ->
                        ClimateSeries.of(place(place), scenario, readings.getOrDefault(place, Map.of()), latitude))
                .toList());
    }

    /** Emergence progress at a place, one series for each scenario; steady places share one. */
    public List<ProgressSeries> emergence(PlaceId id, Emergence emergence) {
        return progress.computeIfAbsent(new Key(id, emergence), key -> place(id).climate().isSteady()
                ? Collections.nCopies(scenarios(), ProgressSeries.ofEmergence(emergence, climate(id).get(0)))
                : each(id, climate -> ProgressSeries.ofEmergence(emergence, climate)));
    }

    /** Leaf progress at a place, one series for each scenario. */
    public List<ProgressSeries> leaves(PlaceId id, LeafGrowth leaves) {
        return progress.computeIfAbsent(
                new Key(id, leaves), key -> each(id, climate -> ProgressSeries.ofLeaves(leaves, climate)));
    }

    private List<ProgressSeries> each(PlaceId id, Function<ClimateSeries, ProgressSeries> toSeries) {
        return climate(id).stream().map(toSeries).toList();
    }

    /**
     * The scenarios of a batch on its way through three places.
     *
     * @param way the places
     * @param emergence of its crop
     * @param leaves of its crop
     * @param emergencePace what is known of how fast it comes up
     */
    public List<Scenario> scenarios(Way way, Emergence emergence, LeafGrowth leaves, PaceSpread emergencePace) {
        List<ProgressSeries> emerging = emergence(way.emergence(), emergence);
        List<ProgressSeries> growing = leaves(way.growingOn(), leaves);
        List<ProgressSeries> hardening = leaves(way.hardening(), leaves);
        List<Scenario> scenarios = new ArrayList<>(scenarios());
        for (int index = 0; index < scenarios(); index++) {
            scenarios.add(new Scenario(
                    emerging.get(index),
                    growing.get(index),
                    hardening.get(index),
                    emergencePace.paceAt(emergenceScatter[index]),
                    PaceSpread.BEFORE_ANY_COUNT.paceAt(leafScatter[index])));
        }
        return List.copyOf(scenarios);
    }

    /**
     * The mean temperature of a place over some days, °C, over all scenarios.
     *
     * @param id the place
     * @param from first day, inside the season
     * @param days number of days, cut at the season's end
     */
    public double meanTemperature(PlaceId id, LocalDate from, int days) {
        return mean(id, from, days, (series, index) -> (series.minimum(index) + series.maximum(index)) / 2);
    }

    /**
     * The mean light at a place over some days, mol m⁻² d⁻¹, over all scenarios.
     *
     * @param id the place
     * @param from first day, inside the season
     * @param days number of days, cut at the season's end
     */
    public double meanLight(PlaceId id, LocalDate from, int days) {
        return mean(id, from, days, ClimateSeries::light);
    }

    private double mean(PlaceId id, LocalDate from, int days, DayValue value) {
        double sum = 0;
        int count = 0;
        for (ClimateSeries series : climate(id)) {
            int first = (int) Math.max(0, from.toEpochDay() - series.firstDay().toEpochDay());
            for (int index = first; index < Math.min(first + days, series.days()); index++) {
                sum += value.at(series, index);
                count++;
            }
        }
        return count == 0 ? Double.NaN : sum / count;
    }

    /** Something of a series on one of its days. */
    private interface DayValue {
        double at(ClimateSeries series, int index);
    }
}
