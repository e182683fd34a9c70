package kiver.server.grow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.CountSoFar;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.emerge.ExpectedShare;
import kiver.core.grow.BatchCourse;
import kiver.core.grow.BatchForecast;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.Allowances;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.seed.Survival;
import kiver.core.sow.ClumpSizes;
import kiver.core.sow.SowQuantity;
import kiver.core.space.Footprint;
import kiver.core.space.Stay;
import kiver.core.tray.TrayId;
import kiver.server.batch.Batch;
import kiver.server.batch.BatchFile;
import kiver.server.batch.Promised;

/** How a batch stands on a day and what lies ahead of it, from its record, the temperatures it had and the season. */
final class BatchOutlook {

    /** Light is judged over this many days gone by. */
    private static final int DAYS_OF_LIGHT = 7;

    private static final double EVEN = 0.5;

    private BatchOutlook() {}

    /**
     * A batch as it stands on a day.
     *
     * @param file as recorded
     * @param germination what is known of its lot, its own counts left out
     * @param crop it is of
     * @param containers it passes
     * @param season ahead
     * @param today the day
     * @param containerByTray code of the container of each tray
     */
    static BatchAnalysis of(
            BatchFile file, Germination germination, Crop crop, ContainerPath containers, Season season, LocalDate today,
            Map<Long, String> containerByTray) {
        Batch batch = file.batch();
        BatchState state = file.state();
        Container container = containers.last();
        Way way = wayFromHere(file, season);
        Optional<BatchCourse> course = state.sownOn().filter(sown -> !sown.isBefore(season.firstDay()))
                .map(sown -> new BatchCourse(
                        state.placements(),
                        place -> season.emergence(place, crop.emergence()).get(0),
                        place -> season.leaves(place, crop.leaves()).get(0)));
        Optional<EmergenceWatch> watch = batch.isBoughtIn() ? Optional.empty()
                : course.map(made -> watch(state, crop, germination, made));
        PaceSpread pace = watch.filter(made -> !state.cellsUp().isEmpty())
                .map(EmergenceWatch::pace)
                .orElse(PaceSpread.BEFORE_ANY_COUNT);
        List<Potting> pottings = containers.pottings(crop, batch.leavesFrom(), batch.pottedLate());
        Standing standing = course
                .map(made -> made.standing(
                        state, today, Math.exp(pace.logMean()), pottings,
                        pottingsDone(state, batch.containerCodes(), containerByTray)))
                .orElseGet(() -> beforeItBegins(batch, timeOf(later(batch.sowDay(), today), season)));
        double limit = Math.min(batch.leavesTo() + 1.0, crop.leafLimitIn(container));
        int hardeningDays = state.hardenedOn().isPresent() ? state.hardeningDays()
                : state.hardeningStartedOn().isPresent() ? state.programmeDays() : batch.hardeningProgramme().days();
        Path path = new Path(
                pottings, batch.leavesFrom(), Math.max(limit, batch.leavesFrom()), crop.dayLimitIn(container), hardeningDays);
        List<Scenario> scenarios = season.scenarios(way, crop.emergence(), crop.leaves(), pace);
        List<Scenario> fresh = season.freshDraws(way, crop.emergence(), crop.leaves(), pace);
        BatchForecast forecast = BatchForecast.of(path, standing, scenarios, fresh, batch.target());
        double progress = course.map(made -> made.emergenceProgressUntil(today)).orElse(0.0);
        ToDoubleFunction<Integer> enoughFor = wanted -> chanceEnough(file, crop, watch, germination, today, wanted);
        double enough = enoughFor.applyAsDouble(file.stillWanted());
        Map<Long, Double> byLine = chanceByLine(file, enoughFor, target -> target.equals(batch.target())
                ? forecast
                : BatchForecast.of(path, standing, scenarios, fresh, target));
        return new BatchAnalysis(
                file, crop, container, containers, path, standing, pace, way, course, watch,
                watch.map(made -> made.expectedAt(progress).middle()).orElse(0.0),
                watch.flatMap(EmergenceWatch::expectedAtLastCount).map(ExpectedShare::middle).orElse(0.0),
                verdict(file, watch, progress, enough),
                enough,
                forecast, byLine, standing.leafProgress(),
                standing.hasEmerged() && isLeggy(state, crop, season, today),
                stays(file, containers, path, way, standing, scenarios, today), 0, file.problem());
    }

    private static Standing beforeItBegins(Batch batch, double time) {
        return batch.isBoughtIn() ? Standing.arrivingAt(time, batch.leavesOnArrival()) : Standing.sownAt(time);
    }

    /** The room that the batch takes from today on; none once all its plants are gone. */
    private static List<Stay> stays(
            BatchFile file, ContainerPath containers, Path path, Way way, Standing standing, List<Scenario> scenarios,
            LocalDate today) {
        BatchState state = file.state();
        Batch batch = file.batch();
        boolean over = state.sownOn().isPresent() && state.balance().alive() + state.balance().waiting() == 0;
        if (over) {
            return List.of();
        }
        int plants = state.sownOn().isPresent()
                ? Math.max(1, state.balance().alive() + state.balance().waiting())
                : batch.cellsNeeded();
        List<Double> planned = containers.slots(batch.cells(), plants);
        List<Double> slots = new ArrayList<>(planned.subList(standing.pottingsDone(), planned.size()));
        long trays = traysInUse(state);
        if (trays > 0) {
            slots.set(0, trays * containers.containers().get(standing.pottingsDone()).slots());
        }
        LocalDate leaves = later(batch.target(), today);
        long elsewhere = traysElsewhere(state);
        if (elsewhere == 0) {
            return beginningWhereItStands(new Footprint(path, way, slots).from(standing, scenarios, leaves), state, today);
        }
        double slotsOfOne = containers.containers().get(standing.pottingsDone()).slots();
        slots.set(0, Math.max(0, slots.get(0) - elsewhere * slotsOfOne));
        List<Stay> stays = new ArrayList<>(beginningWhereItStands(
                new Footprint(path, way, slots).from(standing, scenarios, leaves), state, today));
        state.trays().stream()
                .filter(tray -> inUse(state, tray) && !state.placeOf(tray).equals(state.place()))
                .forEach(tray -> stays.add(
                        new Stay(state.placeOf(tray).orElseThrow(), today, leaves.plusDays(1), slotsOfOne)));
        return List.copyOf(stays);
    }

    /** What should have been moved and still stands where it was takes its room there today. */
    private static List<Stay> beginningWhereItStands(List<Stay> stays, BatchState state, LocalDate today) {
        if (stays.isEmpty() || state.place().isEmpty() || stays.get(0).place().equals(state.place().get())) {
            return stays;
        }
        List<Stay> moved = new ArrayList<>();
        Stay first = stays.get(0);
        moved.add(new Stay(state.place().get(), today, today.plusDays(1), first.slots()));
        for (Stay stay : stays) {
            LocalDate from = later(stay.from(), today.plusDays(1));
            if (from.isBefore(stay.until())) {
                moved.add(new Stay(stay.place(), from, stay.until(), stay.slots()));
            }
        }
        return List.copyOf(moved);
    }

    /** Trays that stand elsewhere than most of the batch. */
    private static long traysElsewhere(BatchState state) {
        return state.trays().stream()
                .filter(tray -> inUse(state, tray) && !state.placeOf(tray).equals(state.place()))
                .count();
    }

    private static boolean inUse(BatchState state, TrayId tray) {
        return !state.cellsIn(tray, CellCondition.ALIVE).isEmpty() || !state.cellsIn(tray, CellCondition.WAITING).isEmpty();
    }

    /** Trays in which something is alive or may yet come up. */
    private static long traysInUse(BatchState state) {
        return state.trays().stream().filter(tray -> inUse(state, tray)).count();
    }

    /** How far along its containers most of its plants are. */
    private static int pottingsDone(BatchState state, List<String> containers, Map<Long, String> containerByTray) {
        int[] plants = new int[containers.size()];
        for (TrayId tray : state.trays()) {
            int at = containers.indexOf(containerByTray.getOrDefault(tray.number(), ""));
            plants[Math.max(at, 0)] += state.cellsIn(tray, CellCondition.ALIVE).size();
        }
        int most = 0;
        for (int index = 1; index < plants.length; index++) {
            most = plants[index] >= plants[most] && plants[index] > 0 ? index : most;
        }
        return most;
    }

    private static EmergenceWatch watch(BatchState state, Crop crop, Germination germination, BatchCourse course) {
        List<CountSoFar> counts = new ArrayList<>();
        int most = 0;
        for (Map.Entry<LocalDate, Integer> count : state.cellsUp().entrySet()) {
            most = Math.max(most, count.getValue());
            counts.add(new CountSoFar(course.emergenceProgressUntil(count.getKey()), most));
        }
        int seedsPerCell = state.sowings().values().iterator().next().sown().seedsPerCell();
        return new EmergenceWatch(
                crop.emergence(), germination, PaceSpread.BEFORE_ANY_COUNT, state.balance().sown(), seedsPerCell, counts);
    }

    private static EmergenceVerdict verdict(
            BatchFile file, Optional<EmergenceWatch> watch, double progress, double chanceEnough) {
        if (file.state().isCompletelyCounted() && file.toSow().isEmpty()) {
            return chanceEnough >= EVEN ? EmergenceVerdict.ON_COURSE : EmergenceVerdict.FAILING;
        }
        return watch.map(made -> made.verdict(progress, chanceEnough)).orElse(EmergenceVerdict.TOO_SOON_TO_TELL);
    }

    /**
     * The chance that each line gets what its grower takes as whole. Whoever was promised first is served first, so a
     * line waits for those before it.
     */
    private static Map<Long, Double> chanceByLine(
            BatchFile file, ToDoubleFunction<Integer> enoughFor, Function<LocalDate, BatchForecast> forecastFor) {
        Map<Long, Integer> released = file.releasedByLine();
        Map<Long, Double> chances = new LinkedHashMap<>();
        int before = 0;
        for (Promised promise : file.promises()) {
            int wanted = promise.accepted() - released.getOrDefault(promise.lineId(), 0);
            if (wanted <= 0) {
                chances.put(promise.lineId(), 1.0);
                continue;
            }
            before += wanted;
            chances.put(
                    promise.lineId(),
                    forecastFor.apply(promise.target()).chanceOnTarget() * enoughFor.applyAsDouble(before));
        }
        return chances;
    }

    /**
     * The chance that so many plants more reach their release; deaths are still to come until then. What is planned and
     * not sown yet counts as it was planned.
     */
    private static double chanceEnough(
            BatchFile file, Crop crop, Optional<EmergenceWatch> watch, Germination germination, LocalDate today,
            int wanted) {
        BatchState state = file.state();
        Batch batch = file.batch();
        Survival living = Allowances.USUAL.living();
        if (batch.isBoughtIn()) {
            int toCome = file.toSow().stream().mapToInt(run -> run.length()).sum();
            return living.over(wayToGo(state, batch, today)).chanceOfAtLeast(file.plantsAlive() + toCome, wanted);
        }
        if (state.sownOn().isEmpty() || watch.isEmpty()) {
            GerminationNodes nodes = GerminationNodes.of(germination).withMishaps();
            return file.countsSeedlings()
                    ? new ClumpSizes(nodes, batch.seedsPerCell(), crop.cells().seedlingsPerSeed())
                            .chanceOfAtLeast(wanted, batch.cells(), living.mean())
                    : new SowQuantity(nodes, batch.seedsPerCell(), living).chanceOfAtLeast(wanted, batch.cells());
        }
        Survival ahead = living.over(wayToGo(state, batch, today));
        int alive = file.plantsAlive() + stillToSow(file, germination, crop);
        if (state.balance().waiting() == 0) {
            return ahead.chanceOfAtLeast(alive, wanted);
        }
        double plantsPerCell = file.countsSeedlings() ? Math.max(1, clump(file, germination, crop)) : 1;
        int wantedCells = (int) Math.ceil((wanted - stillToSow(file, germination, crop)) / plantsPerCell);
        return watch.get().chanceOfLiving(wantedCells, state.balance().alive(), ahead);
    }

    /** Plants that may be expected of cells not sown yet. */
    private static int stillToSow(BatchFile file, Germination germination, Crop crop) {
        int cells = file.toSow().stream().mapToInt(run -> run.length()).sum();
        double up = 1 - Math.pow(1 - germination.mean(), file.batch().seedsPerCell());
        return (int) Math.floor(cells * (file.countsSeedlings() ? clump(file, germination, crop) : up));
    }

    private static double clump(BatchFile file, Germination germination, Crop crop) {
        return file.batch().seedsPerCell() * germination.mean() * crop.cells().seedlingsPerSeed();
    }

    /** The share of the way from emergence to the target that is still to come, 0 to 1. */
    private static double wayToGo(BatchState state, Batch batch, LocalDate today) {
        LocalDate up = state.cellsUp().isEmpty() ? state.sownOn().orElse(today) : state.cellsUp().firstKey();
        double whole = Math.max(1, batch.target().toEpochDay() - up.toEpochDay());
        return (batch.target().toEpochDay() - today.toEpochDay()) / whole;
    }

    /** The planned way, bent by the moves that were made. */
    private static Way wayFromHere(BatchFile file, Season season) {
        Way planned = file.batch().way();
        Optional<PlaceId> here = file.state().place();
        if (here.isEmpty()) {
            return planned;
        }
        boolean hardening = file.state().hardeningStartedOn().isPresent();
        boolean movedOn = !here.get().equals(planned.emergence()) && season.place(here.get()).suits(PlaceUse.GROWING_ON);
        return new Way(
                here.get(),
                hardening || movedOn ? here.get() : planned.growingOn(),
                hardening ? here.get() : planned.hardening());
    }

    private static boolean isLeggy(BatchState state, Crop crop, Season season, LocalDate today) {
        if (state.place().isEmpty()) {
            return false;
        }
        ClimateSeries climate = season.climate(state.place().get()).get(0);
        int now = (int) timeOf(today, season);
        double light = 0;
        for (int day = now - DAYS_OF_LIGHT; day < now; day++) {
            light += climate.light(day) / DAYS_OF_LIGHT;
        }
        return crop.leaves().isLeggyIn(light);
    }

    private static double timeOf(LocalDate day, Season season) {
        return day.toEpochDay() - season.firstDay().toEpochDay();
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }
}
