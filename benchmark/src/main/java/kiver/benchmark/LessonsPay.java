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
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.core.crop.Descent;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PaceLessons.Level;
import kiver.core.crop.PaceTelling;
import kiver.core.growth.Milestones;
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

    /** How far the library's figures of a crop are off at a stage: what lessons take them to be before any count, and less. */
    private static final double[] CROPS_DIFFER = {Level.CROP.deviation(), 0.12};

    private static final double COUNTED_UP = 0.06;
    private static final double COUNTED_LEAVES = 0.1;
    private static final Path PATH = new Path(4, 14, 3);
    private static final long[] EMERGENCE = {1, 3};
    private static final long[] GROWING = {2, 3, 4};

    private final SplittableRandom random = new SplittableRandom(2_718);
    private final List<Crop> crops;
    private final double cropsDiffer;
    private final double batchesDiffer;
    private final Season ahead;

    private final List<Told> tellings;

    /** A day that is forecast on the sow day, and how far off its forecasts were after so many seasons of lessons. */
    private static final class Told {
        private final String name;
        private final ToDoubleFunction<Milestones> mark;

        /** In days, a list for each number of seasons taught. */
        private final List<List<Double>> errors = Stream.generate(() -> (List<Double>) new ArrayList<Double>())
                .limit(SEASONS + 1L)
                .toList();

        private final int[] inside = new int[SEASONS + 1];

        Told(String name, ToDoubleFunction<Milestones> mark) {
            this.name = name;
            this.mark = mark;
        }

        /** Notes how far off the middle of a forecast was, and whether its band held. */
        void tell(int season, List<Milestones> forecast, Milestones own) {
            double came = mark.applyAsDouble(own);
            double[] sorted = forecast.stream().mapToDouble(mark).sorted().toArray();
            if (came < DAYS && sorted[sorted.length - 1] < DAYS) {
                errors.get(season).add(Math.abs(came - sorted[sorted.length / 2]));
                double early = sorted[sorted.length / 10];
                double late = sorted[sorted.length - 1 - sorted.length / 10];
                inside[season] += came < early || came > late ? 0 : 1;
            }
        }

        void print(double cropsDiffer, double batchesDiffer) {
            for (int season = 0; season <= SEASONS; season++) {
                double[] sorted = errors.get(season).stream()
                        .mapToDouble(Double::doubleValue)
                        .sorted()
                        .toArray();
                System.out.printf(
                        "%-8s  %.2f             %.2f               %-17s  %5.2f               %5.2f             %.3f%n",
                        name,
                        cropsDiffer,
                        batchesDiffer,
                        season == SEASONS ? "all were known" : String.valueOf(season),
                        sorted[sorted.length / 2],
                        Arrays.stream(sorted).average().orElse(0),
                        inside[season] / (double) sorted.length);
            }
        }
    }

    private LessonsPay(List<Crop> crops, double cropsDiffer, double batchesDiffer) {
        this.cropsDiffer = cropsDiffer;
        this.batchesDiffer = batchesDiffer;
        this.crops = crops;
        StationRecord record = StationSimulator.draw(MadeUpNursery.VALLEY, random, LocalDate.of(1996, 1, 1), 32 * 366);
        ahead = new Season(
                MadeUpNursery.PLACES,
                record.scenarios(FIRST.minusDays(1), List.of(), FIRST, FIRST.plusDays(DAYS)),
                Map.of(),
                46);
        tellings = List.of(new Told("half up", Milestones::emerged), new Told("ready", Milestones::ready));
    }

    public static void main(String[] arguments) throws IOException {
        java.nio.file.Path library = java.nio.file.Path.of(arguments.length > 0 ? arguments[0] : "library");
        try (Reader file = Files.newBufferedReader(library.resolve("crops.csv"))) {
            List<Crop> all = CropLibraryReader.readCrops("crops.csv", file);
            System.out.println("forecasts made on the sow day");
            System.out.println(
                    "of        crops differ by  batches differ by  seasons of counts  median error, days  mean error, days  inside the band");
            for (double cropsDiffer : CROPS_DIFFER) {
                for (double batchesDiffer : BATCHES_DIFFER) {
                    LessonsPay lessons = new LessonsPay(all.subList(0, CROPS), cropsDiffer, batchesDiffer);
                    for (int nursery = 0; nursery < NURSERIES; nursery++) {
                        lessons.live();
                    }
                    lessons.tellings.forEach(each -> each.print(cropsDiffer, batchesDiffer));
                }
            }
        }
    }

    /** What is true of a nursery, drawn when first asked for and kept. */
    private final class Truth {
        private final Map<String, Double> effects = new HashMap<>();

        double of(String what, Level level) {
            return effects.computeIfAbsent(
                    what, key -> (level == Level.CROP ? cropsDiffer : level.deviation()) * random.nextGaussian());
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
                Milestones came = PATH.from(sown, own);
                Crop taught = crop.taught(ofEmergence.pace(crop.code()), ofLeaves.pace(crop.code()), crop.learnt());
                List<Milestones> forecast =
                        forecast(taught, Paces.of(ofEmergence.own(descent), ofLeaves.own(descent)), way, sown);
                Paces known = Paces.of(truth.pace("up ", descent, lies), truth.pace("leaves ", descent, grows));
                for (Told each : tellings) {
                    each.tell(season, forecast, came);
                    if (season == SEASONS - 1) {
                        each.tell(SEASONS, forecast(crop, known, way, sown), came);
                    }
                }
                int number = up.size() + 1;
                up.add(telling(number, descent, lies, coming, COUNTED_UP));
                leaves.add(telling(number, descent, grows, growing, COUNTED_LEAVES));
            }
        }
    }

    private PaceTelling telling(int batch, Descent descent, long place, double log, double deviation) {
        return new PaceTelling(batch, descent, new PlaceId(place), log + deviation * random.nextGaussian(), deviation);
    }

    /** What becomes of it in each way the season may go. */
    private List<Milestones> forecast(Crop crop, Paces paces, Way way, Standing sown) {
        return ahead.scenarios(way, crop.development(), paces).stream()
                .map(scenario -> PATH.from(sown, scenario))
                .toList();
    }
}
