package kiver.benchmark;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import kiver.core.crop.Hardiness;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Development;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.outlook.BatchForecast;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * Forecasts of 5,000 batches of 32 crops at 14 places over 30 weather years, on one thread. Once with the season's
 * progress already summed up, as after a count, and once from nothing, as on the first look of a day.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class ForecastBenchmark {

    private static final int BATCHES = 5_000;
    private static final int CROPS = 32;
    private static final int PLACES = 14;
    private static final int YEARS = 30;
    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);

    private record Grown(Development development, Way way, Standing standing, LocalDate target) {}

    private List<StationRecord> weather;
    private List<Place> places;
    private List<Grown> batches;
    private Season warm;

    @Setup
    public void draw() {
        SplittableRandom random = new SplittableRandom(1);
        StationRecord record =
                StationSimulator.draw(new StationClimate(9, 10, 10, 3, 0.7), random, LocalDate.of(1996, 1, 1), 12_000);
        weather = record.scenarios(TODAY.minusDays(1), List.of(), TODAY.minusDays(150), TODAY.plusDays(250))
                .subList(0, YEARS);
        places = new ArrayList<>();
        for (int number = 1; number <= PLACES; number++) {
            PlaceClimate climate = number % 2 == 0
                    ? new PlaceClimate.SetPoints(15 + number % 5, 10 + number % 5)
                    : new PlaceClimate.FollowsWeather(3, 5 + number % 4, 2);
            places.add(new Place(
                    new PlaceId(number),
                    "Place " + number,
                    number,
                    40,
                    climate,
                    0.8,
                    4,
                    Set.of(PlaceUse.EMERGENCE, PlaceUse.GROWING_ON, PlaceUse.HARDENING_OFF)));
        }
        List<Emergence> emergences = new ArrayList<>();
        List<LeafGrowth> leaves = new ArrayList<>();
        for (int crop = 0; crop < CROPS; crop++) {
            emergences.add(new Emergence(CardinalTemperatures.of(2 + crop % 5, 26 + crop % 3, 40), 3 + crop % 4, 0.2));
            leaves.add(
                    new LeafGrowth(CardinalTemperatures.of(2 + crop % 4, 22 + crop % 5, 36), 0.2 + crop / 300.0, 12));
        }
        batches = new ArrayList<>();
        for (int batch = 0; batch < BATCHES; batch++) {
            int crop = random.nextInt(CROPS);
            Way way = new Way(place(random), place(random), place(random));
            double sown = 100 + random.nextInt(100);
            batches.add(new Grown(
                    new Development(emergences.get(crop), leaves.get(crop), Hardiness.values()[crop % 3].daysOut()),
                    way,
                    Standing.sownAt(sown),
                    TODAY.plusDays(random.nextInt(90))));
        }
        warm = season();
        forecastAll(warm, null);
    }

    @Benchmark
    public void afterACount(Blackhole sink) {
        forecastAll(warm, sink);
    }

    @Benchmark
    public void firstLookOfTheDay(Blackhole sink) {
        forecastAll(season(), sink);
    }

    private void forecastAll(Season season, Blackhole sink) {
        Path path = new Path(4, 7, 5);
        for (Grown batch : batches) {
            BatchForecast forecast = BatchForecast.of(
                    path,
                    batch.standing(),
                    season.scenarios(batch.way(), batch.development(), Paces.BEFORE_ANY_COUNT),
                    season.freshDraws(batch.way(), batch.development(), Paces.BEFORE_ANY_COUNT),
                    batch.target());
            if (sink != null) {
                sink.consume(forecast);
            }
        }
    }

    private Season season() {
        return new Season(places, weather, Map.of(), 46);
    }

    private static PlaceId place(SplittableRandom random) {
        return new PlaceId(1 + random.nextInt(PLACES));
    }
}
