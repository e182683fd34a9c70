package kiver.benchmark;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.core.crop.Descent;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PaceLessons.Level;
import kiver.core.crop.PaceTelling;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;

/**
 * What two seasons taught are worth in the third: made-up nurseries whose crops, places, varieties and lots are faster or slower
 * than the library says count their batches for two seasons, and forecast those of the third with and without what was learnt.
 * Batches differ, weather is unseen, and counts err, as in life.
 */
public final class LessonsPay {

    private static final int NURSERIES = 30;
    private static final int SEASONS = 3;
    private static final int CROPS = 12;
    private static final int BATCHES = 120;
    private static final int DAYS = 220;
    private static final LocalDate FIRST = LocalDate.of(2027, 2, 1);

    /** How far batches of a kind differ, and how far off counts are, as standard deviations of the logarithm of pace. */
    private static final double[] BATCHES_DIFFER = {0.15, 0.1, 0.05};

    private static final double COUNTED_UP = 0.06;
    private static final double COUNTED_LEAVES = 0.1;
    private static final Path PATH = new Path(4, 14, 3);
    private static final long[] EMERGENCE = {1, 3};
    private static final long[] GROWING = {2, 3, 4};

    private final SplittableRandom random = new SplittableRandom(2_718);
    private final List<Crop> crops;
    private final double batchesDiffer;
    private final Season ahead;

    /** Errors of forecasts made on the sow day, in days, after so many seasons of lessons. */
    private final List<List<Double>> errors = new ArrayList<>();

    private final int[] inside = new int[SEASONS + 1];
    private final int[] all = new int[SEASONS + 1];

    private LessonsPay(List<Crop> crops, double batchesDiffer) {
        this.batchesDiffer = batchesDiffer;
        this.crops = crops;
        StationRecord record = StationSimulator.draw(MadeUpNursery.VALLEY, random, LocalDate.of(1996, 1, 1), 32 * 366);
        ahead = new Season(
                MadeUpNursery.PLACES,
                record.scenarios(FIRST.minusDays(1), List.of(), FIRST, FIRST.plusDays(DAYS)),
                Map.of(),
                46);
        for (int season = 0; season <= SEASONS; season++) {
            errors.add(new ArrayList<>());
        }
    }

    public static void main(String[] arguments) throws IOException {
        java.nio.file.Path library = java.nio.file.Path.of(arguments.length > 0 ? arguments[0] : "library");
        try (Reader file = Files.newBufferedReader(library.resolve("crops.csv"))) {
            List<Crop> all = CropLibraryReader.readCrops("crops.csv", file);
            System.out.println("forecasts of the ready date, made on the sow day");
            System.out.println(
                    "batches differ by  seasons of counts  median error, days  mean error, days  inside the band");
            for (double differ : BATCHES_DIFFER) {
                LessonsPay lessons = new LessonsPay(all.subList(0, CROPS), differ);
                for (int nursery = 0; nursery < NURSERIES; nursery++) {
                    lessons.live();
                }
                lessons.print();
            }
        }
    }

    /** What is true of a nursery, drawn when first asked for and kept. */
    private final class Truth {
        private final Map<String, Double> effects = new HashMap<>();

        double of(String what, Level level) {
            return effects.computeIfAbsent(what, key -> level.deviation() * random.nextGaussian());
        }

        /** Logarithm of the pace of a batch like its kind. */
        double pace(String stage, Descent descent, long place) {
            String crop = stage + descent.crop().written();
            return of(stage, Level.NURSERY)
                    + of(crop, Level.CROP)
                    + of(crop + " at " + place, Level.PLACE)
                    + of(crop + " variety " + descent.variety(), Level.VARIETY)
                    + of(crop + " lot " + descent.lot(), Level.LOT);
        }
    }

    private void live() {
        Truth truth = new Truth();
        List<PaceTelling> up = new ArrayList<>();
        List<PaceTelling> leaves = new ArrayList<>();
        for (int season = 0; season < SEASONS; season++) {
            PaceLessons ofEmergence = new PaceLessons(up);
            PaceLessons ofLeaves = new PaceLessons(leaves);
            StationRecord weather = new StationRecord(
                    FIRST,
                    StationSimulator.draw(MadeUpNursery.VALLEY, random, FIRST, DAYS + 1)
                            .days());
            Season lived = new Season(MadeUpNursery.PLACES, List.of(weather), Map.of(), 46);
            for (int batch = 0; batch < BATCHES; batch++) {
                Crop crop = crops.get(random.nextInt(crops.size()));
                long variety = 1 + random.nextInt(2);
                // Each variety has two lots a season; one of them is used up in the next.
                Descent descent = new Descent(crop.code(), variety, 10 * variety + season + random.nextInt(2));
                long lies = EMERGENCE[random.nextInt(EMERGENCE.length)];
                long grows = GROWING[random.nextInt(GROWING.length)];
                double coming = truth.pace("up ", descent, lies) + batchesDiffer * random.nextGaussian();
                double growing = truth.pace("leaves ", descent, grows) + batchesDiffer * random.nextGaussian();
                Way way = new Way(new PlaceId(lies), new PlaceId(grows), new PlaceId(5));
                Standing sown = Standing.sownAt(20 + random.nextInt(60));
                Scenario own = new Scenario(
                        lived.emergence(way.emergence(), crop.emergence()).get(0),
                        lived.leaves(way.growingOn(), crop.leaves()).get(0),
                        lived.leaves(way.hardening(), crop.leaves()).get(0),
                        lived.daysOut(way.hardening(), crop.hardiness().daysOut())
                                .get(0),
                        Math.exp(coming),
                        Math.exp(growing));
                double ready = PATH.from(sown, own).ready();
                Crop taught = crop.taught(ofEmergence.pace(crop.code()), ofLeaves.pace(crop.code()), crop.learnt());
                double[] forecast =
                        forecast(taught, Paces.of(ofEmergence.own(descent), ofLeaves.own(descent)), way, sown);
                if (ready < DAYS && forecast[forecast.length - 1] < DAYS) {
                    tell(season, forecast, ready);
                }
                if (season == SEASONS - 1) {
                    Paces known = Paces.of(truth.pace("up ", descent, lies), truth.pace("leaves ", descent, grows));
                    tell(SEASONS, forecast(crop, known, way, sown), ready);
                }
                int number = up.size() + 1;
                up.add(telling(number, descent, lies, coming, COUNTED_UP));
                leaves.add(telling(number, descent, grows, growing, COUNTED_LEAVES));
            }
        }
    }

    /** Notes how far off the middle of a forecast was, and whether its band held. */
    private void tell(int season, double[] forecast, double ready) {
        errors.get(season).add(Math.abs(ready - forecast[forecast.length / 2]));
        all[season]++;
        double early = forecast[forecast.length / 10];
        double late = forecast[forecast.length - 1 - forecast.length / 10];
        inside[season] += ready < early || ready > late ? 0 : 1;
    }

    private PaceTelling telling(int batch, Descent descent, long place, double log, double deviation) {
        return new PaceTelling(batch, descent, new PlaceId(place), log + deviation * random.nextGaussian(), deviation);
    }

    /** When it would be ready in each way the season may go, in order. */
    private double[] forecast(Crop crop, Paces paces, Way way, Standing sown) {
        return ahead.scenarios(way, crop.development(), paces).stream()
                .mapToDouble(scenario -> PATH.from(sown, scenario).ready())
                .sorted()
                .toArray();
    }

    private void print() {
        for (int season = 0; season <= SEASONS; season++) {
            double[] sorted = errors.get(season).stream()
                    .mapToDouble(Double::doubleValue)
                    .sorted()
                    .toArray();
            System.out.printf(
                    "%.2f               %-17s  %.2f                %.2f              %.3f%n",
                    batchesDiffer,
                    season == SEASONS ? "all were known" : String.valueOf(season),
                    sorted[sorted.length / 2],
                    Arrays.stream(sorted).average().orElse(0),
                    inside[season] / (double) all[season]);
        }
    }
}
