package kiver.core.growth;

import java.lang.ref.SoftReference;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.IntStream;
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
    private final double[][] scatter;
    private final double[][] freshScatter;
    private final double[][] manyFreshScatter;
    private final Map<PlaceId, List<ClimateSeries>> climates = new ConcurrentHashMap<>();

    /** Let go of when memory grows short: all crops at all places take hundreds of megabytes, and are soon worked out again. */
    private final Map<Key, SoftReference<List<ProgressSeries>>> progress = new ConcurrentHashMap<>();

    /** Draws of pace in each weather year when the chance of a batch under way is read. */
    public static final int DRAWS_A_YEAR = 4;

    /** The same for a promise, which is asked once and must hold. */
    private static final int DRAWS_A_YEAR_FOR_A_PROMISE = 8;

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
        scatter = PaceSpread.scatter(weather.size(), 1, 0.5);
        freshScatter = PaceSpread.scatter(weather.size(), DRAWS_A_YEAR, 0.13);
        manyFreshScatter = PaceSpread.scatter(weather.size(), DRAWS_A_YEAR_FOR_A_PROMISE, 0.29);
    }

    /** Of the nursery, degrees, north positive. */
    public double latitude() {
        return latitude;
    }

    /** The weather outdoors, one record for each scenario, all over the season's days. */
    public List<StationRecord> weather() {
        return weather;
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
        return climates.computeIfAbsent(
                id,
                place -> weather.stream()
                        .map(scenario -> ClimateSeries.of(
                                place(place), scenario, readings.getOrDefault(place, Map.of()), latitude))
                        .toList());
    }

    /** Emergence progress at a place, one series for each scenario. */
    public List<ProgressSeries> emergence(PlaceId id, Emergence emergence) {
        return kept(new Key(id, emergence), () -> ProgressSeries.ofEmergence(emergence, id, climate(id)));
    }

    /** Leaf progress at a place, one series for each scenario. */
    public List<ProgressSeries> leaves(PlaceId id, LeafGrowth leaves) {
        return kept(new Key(id, leaves), () -> ProgressSeries.ofLeaves(leaves, id, climate(id)));
    }

    /** Days on which plants that harden at a place may go out, one series for each scenario. */
    public List<ProgressSeries> daysOut(PlaceId id, DaysOut daysOut) {
        return kept(new Key(id, daysOut), () -> ProgressSeries.ofDaysOut(daysOut, climate(id)));
    }

    /** Two threads that ask at once work out the same twice. */
    private List<ProgressSeries> kept(Key key, Supplier<List<ProgressSeries>> made) {
        SoftReference<List<ProgressSeries>> present = progress.get(key);
        List<ProgressSeries> series = present == null ? null : present.get();
        if (series == null) {
            series = made.get();
            progress.put(key, new SoftReference<>(series));
        }
        return series;
    }

    /**
     * The scenarios of a batch on its way through three places.
     *
     * @param way the places
     * @param crop how it develops
     * @param paces what is known of how fast it comes up and its leaves unfold
     */
    public List<Scenario> scenarios(Way way, Development crop, Paces paces) {
        return crossed(way, crop, paces, scatter);
    }

    /**
     * Other draws of the same: every weather year with several paces of emergence and of leaves that have nothing to do
     * with those of {@link #scenarios}. A chance is read from these, never from those on which a day was chosen.
     */
    public List<Scenario> freshDraws(Way way, Development crop, Paces paces) {
        return crossed(way, crop, paces, freshScatter);
    }

    /** Twice as many draws, for the chance of something that is to be promised. */
    public List<Scenario> manyFreshDraws(Way way, Development crop, Paces paces) {
        return crossed(way, crop, paces, manyFreshScatter);
    }

    /**
     * How the season goes for a batch of middling pace in the weather of one past year.
     *
     * @param year index of the weather scenario
     */
    public Scenario inYear(int year, Way way, Development crop, Paces paces) {
        return new Scenario(
                emergence(way.emergence(), crop.emergence()).get(year),
                leaves(way.growingOn(), crop.leaves()).get(year),
                leaves(way.hardening(), crop.leaves()).get(year),
                daysOut(way.hardening(), crop.daysOut()).get(year),
                paces.emergence().paceAt(0),
                paces.leaves().paceAt(0));
    }

    private List<Scenario> crossed(Way way, Development crop, Paces paces, double[][] pairs) {
        List<ProgressSeries> emerging = emergence(way.emergence(), crop.emergence());
        List<ProgressSeries> growing = leaves(way.growingOn(), crop.leaves());
        List<ProgressSeries> hardening = leaves(way.hardening(), crop.leaves());
        List<ProgressSeries> daysOut = daysOut(way.hardening(), crop.daysOut());
        PaceSpread emergencePaces = paces.emergence().withFiguresUncertain();
        PaceSpread leafPaces = paces.leaves().withFiguresUncertain();
        List<Scenario> scenarios = new ArrayList<>(pairs.length);
        for (int draw = 0; draw < pairs.length; draw++) {
            int year = draw % scenarios();
            scenarios.add(new Scenario(
                    emerging.get(year),
                    growing.get(year),
                    hardening.get(year),
                    daysOut.get(year),
                    emergencePaces.paceAt(pairs[draw][0]),
                    leafPaces.paceAt(pairs[draw][1])));
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

    /**
     * The share of scenarios in which some night at a place is colder than that.
     *
     * @param id the place
     * @param celsius °C
     * @param from first day; days outside the season are not looked at
     * @param until day after the last
     */
    public double chanceOfNightBelow(PlaceId id, double celsius, LocalDate from, LocalDate until) {
        int first = (int) Math.max(0, from.toEpochDay() - firstDay().toEpochDay());
        return climate(id).stream()
                        .filter(series -> {
                            int end = (int) Math.min(
                                    series.days(),
                                    until.toEpochDay() - series.firstDay().toEpochDay());
                            return IntStream.range(first, end).anyMatch(day -> series.minimum(day) < celsius);
                        })
                        .count()
                / (double) scenarios();
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
