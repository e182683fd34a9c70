package kiver.benchmark;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Milestones;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Plan;
import kiver.core.plan.PlanRequest;
import kiver.core.promise.Answer;
import kiver.core.promise.Promise;
import kiver.core.promise.PromiseCheck;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.Allowances;
import kiver.core.space.Occupancy;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;

/**
 * Holds stated chances against what comes true: a few hundred questions are answered from thirty past years, and each
 * promised sowing is then lived through many times in years that the answer never saw, with batches and crops that run
 * fast or slow, lots that differ from their label, plants that die and mishaps that nobody foresees.
 */
public final class ChancesComeTrue {

    private static final LocalDate TODAY = LocalDate.of(2027, 3, 1);
    private static final int QUESTIONS = 400;
    private static final int LIVES = 400;
    private static final int FRESH_YEARS = 60;

    /** What is really so, as the standard deviation of the logarithm of pace: of a batch, and of the crop's own figures. */
    private static final double BATCH = 0.15;

    private static final double CROP = 0.08;

    private final SplittableRandom random;
    private final Season season;
    private final Season fresh;

    private ChancesComeTrue(long seed) {
        random = new SplittableRandom(seed);
        StationRecord record = StationSimulator.draw(MadeUpNursery.VALLEY, random, LocalDate.of(1996, 1, 1), 32 * 366);
        List<StationRecord> past =
                record.scenarios(TODAY.minusDays(1), List.of(), TODAY.minusDays(30), TODAY.plusDays(260));
        season = new Season(MadeUpNursery.PLACES, past, Map.of(), 46);
        List<StationRecord> unseen = new ArrayList<>();
        for (int year = 0; year < FRESH_YEARS; year++) {
            List<DailyRange> days = StationSimulator.draw(
                            MadeUpNursery.VALLEY,
                            random,
                            TODAY.minusDays(30),
                            past.get(0).days().size())
                    .days();
            unseen.add(new StationRecord(TODAY.minusDays(30), days));
        }
        fresh = new Season(MadeUpNursery.PLACES, unseen, Map.of(), 46);
    }

    /** An answer and what became of it; shares of lives in which days lay inside the bands of the plan. */
    private record Outcome(Answer answer, double stated, double came, double upInside, double readyInside) {}

    public static void main(String[] arguments) throws IOException {
        Path library = Path.of(arguments.length > 0 ? arguments[0] : "library");
        List<Crop> crops;
        List<Container> containers;
        try (Reader file = Files.newBufferedReader(library.resolve("crops.csv"))) {
            crops = CropLibraryReader.readCrops("crops.csv", file);
        }
        try (Reader file = Files.newBufferedReader(library.resolve("containers.csv"))) {
            containers = CropLibraryReader.readContainers("containers.csv", file);
        }
        List<Outcome> outcomes = new ArrayList<>();
        for (long seed = 1; seed <= 4; seed++) {
            outcomes.addAll(new ChancesComeTrue(seed).ask(crops, containers, QUESTIONS / 4));
        }
        print(outcomes);
    }

    private List<Outcome> ask(List<Crop> crops, List<Container> containers, int questions) {
        Occupancy empty = Occupancy.of(season.places(), Map.of(), TODAY, 260);
        List<Outcome> outcomes = new ArrayList<>();
        while (outcomes.size() < questions) {
            Crop crop = crops.get(random.nextInt(crops.size()));
            Container container = containers.get(random.nextInt(containers.size()));
            int leaves = 3 + random.nextInt(3);
            int plants = 20 + random.nextInt(380);
            OrderLine line = new OrderLine(
                    plants,
                    new LeafStage(leaves, leaves + 1 + random.nextInt(3)),
                    TODAY.plusDays(35 + random.nextInt(120)));
            Germination germination = new Germination(80 + random.nextInt(16), 10).ofNextBatch();
            PlanRequest request = new PlanRequest(
                    line,
                    crop,
                    ContainerPath.straight(container),
                    Optional.empty(),
                    germination,
                    100_000,
                    Allowances.USUAL,
                    0,
                    5,
                    TODAY);
            Promise promise = new PromiseCheck(season, empty, List.of(), List::of).answer(request);
            Plan plan = promise.plan();
            if (plan.sowDay().isPresent() && plan.chosen().isPresent() && plan.isPossible()) {
                outcomes.add(lived(request, promise));
            }
        }
        return outcomes;
    }

    /** The share of lives in which enough plants are ready and young on the day, and in which the bands hold. */
    private Outcome lived(PlanRequest request, Promise promise) {
        Plan plan = promise.plan();
        Way way = promise.way();
        Crop crop = request.crop();
        double due = request.line().target().toEpochDay() - season.firstDay().toEpochDay();
        Standing sown = Standing.sownAt(
                plan.sowDay().orElseThrow().toEpochDay() - season.firstDay().toEpochDay());
        int kept = 0;
        int up = 0;
        int ready = 0;
        for (int life = 0; life < LIVES; life++) {
            int year = random.nextInt(FRESH_YEARS);
            Scenario scenario = new Scenario(
                    fresh.emergence(way.emergence(), crop.emergence()).get(year),
                    fresh.leaves(way.growingOn(), crop.leaves()).get(year),
                    fresh.leaves(way.hardening(), crop.leaves()).get(year),
                    fresh.daysOut(way.hardening(), crop.hardiness().daysOut()).get(year),
                    pace(),
                    pace());
            Milestones milestones = request.path().from(sown, scenario);
            kept += milestones.fitOn(due)
                            && living(request, plan) >= request.line().accepted()
                    ? 1
                    : 0;
            up += isInside(milestones.emerged(), plan.emerged()) ? 1 : 0;
            ready += isInside(milestones.ready(), plan.ready()) ? 1 : 0;
        }
        return new Outcome(
                promise.answer(), plan.chance(), kept / (double) LIVES, up / (double) LIVES, ready / (double) LIVES);
    }

    private boolean isInside(double time, Optional<DateSpread> band) {
        LocalDate day = season.firstDay().plusDays((long) time);
        return band.isPresent()
                && !day.isBefore(band.get().early())
                && !day.isAfter(band.get().late());
    }

    private double pace() {
        return Math.exp(BATCH * random.nextGaussian() + CROP * random.nextGaussian());
    }

    private int living(PlanRequest request, Plan plan) {
        int seeds = plan.chosen().orElseThrow().seedsPerCell();
        // The request's germination is that of the next batch already; a lot drawn from it is that batch's.
        double germination =
                beta(request.germination().up(), request.germination().failed());
        if (random.nextDouble() < GerminationNodes.CHANCE_OF_MISHAP) {
            germination *= random.nextDouble();
        }
        double survival = beta(
                request.crop().learnt().living().mean() * 60,
                (1 - request.crop().learnt().living().mean()) * 60);
        double good = (1 - Math.pow(1 - germination, seeds)) * survival;
        int living = 0;
        for (int cell = 0; cell < plan.chosen().orElseThrow().cells(); cell++) {
            living += random.nextDouble() < good ? 1 : 0;
        }
        return living;
    }

    private double beta(double up, double failed) {
        double one = gamma(up);
        return one / (one + gamma(failed));
    }

    /** Marsaglia and Tsang (2000), "A simple method for generating gamma variables". */
    private double gamma(double shape) {
        if (shape < 1) {
            return gamma(shape + 1) * Math.pow(random.nextDouble(), 1 / shape);
        }
        double d = shape - 1.0 / 3;
        double c = 1 / Math.sqrt(9 * d);
        while (true) {
            double x = random.nextGaussian();
            double v = Math.pow(1 + c * x, 3);
            if (v > 0 && Math.log(random.nextDouble()) < 0.5 * x * x + d - d * v + d * Math.log(v)) {
                return d * v;
            }
        }
    }

    private static void print(List<Outcome> outcomes) {
        System.out.println("stated      questions   stated mean   came true   difference");
        for (int decile = 0; decile < 10; decile++) {
            double from = decile / 10.0;
            List<Outcome> inside = outcomes.stream()
                    .filter(each -> each.stated() >= from && (each.stated() < from + 0.1 || from >= 0.9))
                    .toList();
            if (!inside.isEmpty()) {
                double stated =
                        inside.stream().mapToDouble(Outcome::stated).average().orElse(0);
                double came =
                        inside.stream().mapToDouble(Outcome::came).average().orElse(0);
                System.out.printf(
                        "%.1f to %.1f  %6d      %.3f         %.3f       %+.3f%n",
                        from, from + 0.1, inside.size(), stated, came, stated - came);
            }
        }
        List<Outcome> yes =
                outcomes.stream().filter(each -> each.answer() == Answer.YES).toList();
        // Lives are drawn, so a yes that comes true 79 times in 100 in them may well be one of 80.
        long wrong = yes.stream()
                .filter(each -> each.came()
                        < PromiseCheck.SURE_ENOUGH
                                - 1.64 * Math.sqrt(PromiseCheck.SURE_ENOUGH * (1 - PromiseCheck.SURE_ENOUGH) / LIVES))
                .count();
        System.out.printf(
                "plain yes: %d of %d questions; false (surely below 4 in 5): %d, %.1f %%; came true on average %.3f%n",
                yes.size(),
                outcomes.size(),
                wrong,
                100.0 * wrong / Math.max(1, yes.size()),
                yes.stream().mapToDouble(Outcome::came).average().orElse(0));
        System.out.printf(
                "bands of nine in ten on either side: half up inside %.3f, ready inside %.3f of all lives%n",
                outcomes.stream().mapToDouble(Outcome::upInside).average().orElse(0),
                outcomes.stream().mapToDouble(Outcome::readyInside).average().orElse(0));
    }
}
