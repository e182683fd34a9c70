package kiver.server.grow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.CountSoFar;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.grow.BatchCourse;
import kiver.core.grow.BatchForecast;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
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
import kiver.core.sow.SowQuantity;
import kiver.core.space.Footprint;
import kiver.core.space.Stay;
import kiver.server.batch.Batch;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.kept.Kept;
import kiver.server.problem.NotFound;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.space.BatchInSpace;
import kiver.server.space.BatchesInSpace;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Service;

/** Works out how batches stand, from their records, the temperatures they had and the season ahead. */
@Service
public class BatchAnalyst implements BatchesInSpace {

    /** Light is judged over this many days gone by. */
    private static final int DAYS_OF_LIGHT = 7;

    private final BatchBook batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final CropBook crops;
    private final SeedStore seeds;
    private final LotKnowledge lots;
    private final TrayBook trays;
    private final Map<Integer, KeptOne> kept = new ConcurrentHashMap<>();

    /** An analysis with all that it rests on. */
    private record KeptOne(BatchFile file, Season season, Germination germination, BatchAnalysis analysis) {

        /** The same season and record are the same objects: they are only ever replaced. */
        boolean restsOn(BatchFile otherFile, Season otherSeason, Germination otherGermination) {
            return season == otherSeason && file.state() == otherFile.state() && file.batch().equals(otherFile.batch())
                    && germination.equals(otherGermination);
        }
    }

    /** All analyses, with the mark of what they rest on. */
    private record KeptAll(String mark, Season season, List<BatchAnalysis> analyses) {}

    private volatile KeptAll keptAll;

    BatchAnalyst(
            BatchBook batches,
            SeasonService seasons,
            NurseryClock clock,
            CropBook crops,
            SeedStore seeds,
            LotKnowledge lots,
            TrayBook trays) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.crops = crops;
        this.seeds = seeds;
        this.lots = lots;
        this.trays = trays;
    }

    /** All batches as they stand today; worked out anew only when something has changed. */
    public List<BatchAnalysis> all() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        String mark = batches.mark();
        KeptAll present = keptAll;
        if (present != null && present.season() == season && present.mark().equals(mark)) {
            return present.analyses();
        }
        List<BatchAnalysis> analyses = analyseAll(season, today);
        if (!Kept.writing()) {
            keptAll = new KeptAll(mark, season, analyses);
        }
        return analyses;
    }

    private List<BatchAnalysis> analyseAll(Season season, LocalDate today) {
        List<BatchFile> files = batches.files();
        Map<Long, SeedLot> lotsById = seeds.lots().stream()
                .collect(Collectors.toMap(SeedLot::id, lot -> lot));
        LotKnowledge.OfAll known = lots.ofAll(files);
        Map<Long, String> containerByTray = containersByTray();
        // Each batch is worked out by itself; nothing in here asks the database.
        return files.parallelStream()
                .map(file -> {
                    SeedLot lot = lotsById.get(lotOf(file));
                    Germination germination = known.germination(lot, today, file.batch().number());
                    return keptOrNew(file, germination, season, today, containerByTray);
                })
                .toList();
    }

    /** One batch as it stands today. */
    public BatchAnalysis one(int number) {
        return all().stream()
                .filter(batch -> batch.file().batch().number() == number)
                .findFirst()
                .orElseThrow(() -> new NotFound("batch " + number));
    }

    /** The batch as it would stand, were it planned otherwise; nothing of this is kept. */
    public BatchAnalysis trial(BatchAnalysis standing, Batch otherwise) {
        LocalDate today = clock.today();
        BatchFile file = new BatchFile(otherwise, standing.file().runs(), standing.file().state());
        Germination germination = kept.get(otherwise.number()) == null
                ? lots.germination(seeds.lot(lotOf(file)), today, batches.files(), otherwise.number())
                : kept.get(otherwise.number()).germination();
        return analyse(file, germination, seasons.season(today), today, Map.of());
    }

    @Override
    public List<BatchInSpace> inSpace() {
        return all().stream().filter(batch -> !batch.stays().isEmpty()).map(BatchAnalyst::inSpace).toList();
    }

    /** A batch as it takes up room. */
    public static BatchInSpace inSpace(BatchAnalysis analysis) {
        Batch batch = analysis.file().batch();
        return new BatchInSpace(
                batch.number(), analysis.crop(), analysis.path(),
                analysis.containers().slots(batch.cells(), batch.cellsNeeded()), analysis.way(),
                analysis.file().state().sownOn().orElse(batch.sowDay()), batch.target(),
                analysis.file().state().sownOn().isPresent(), batch.pinned(), analysis.stays());
    }

    private BatchAnalysis keptOrNew(
            BatchFile file, Germination germination, Season season, LocalDate today, Map<Long, String> containerByTray) {
        int number = file.batch().number();
        KeptOne present = kept.get(number);
        if (present != null && present.restsOn(file, season, germination)) {
            return present.analysis();
        }
        BatchAnalysis analysis = analyse(file, germination, season, today, containerByTray);
        kept.put(number, new KeptOne(file, season, germination, analysis));
        return analysis;
    }

    private Map<Long, String> containersByTray() {
        return trays.all().stream().collect(Collectors.toMap(Tray::id, Tray::container));
    }

    private static long lotOf(BatchFile file) {
        return file.state().sowings().keySet().stream()
                .findFirst()
                .map(sown -> sown.lot())
                .orElse(file.batch().lotId());
    }

    private BatchAnalysis analyse(
            BatchFile file, Germination germination, Season season, LocalDate today, Map<Long, String> containerByTray) {
        Batch batch = file.batch();
        BatchState state = file.state();
        Crop crop = crops.crop(batch.crop());
        ContainerPath containers = new ContainerPath(
                batch.containerPath(), batch.containerCodes().stream().map(crops::container).toList());
        Container container = containers.last();
        Way way = wayFromHere(file, season);
        Optional<BatchCourse> course = state.sownOn().filter(sown -> !sown.isBefore(season.firstDay()))
                .map(sown -> new BatchCourse(
                        state.placements(),
                        place -> season.emergence(place, crop.emergence()).get(0),
                        place -> season.leaves(place, crop.leaves()).get(0)));
        Optional<EmergenceWatch> watch = course.map(made -> watch(state, crop, germination, made));
        PaceSpread pace = watch.filter(made -> !state.cellsUp().isEmpty())
                .map(EmergenceWatch::pace)
                .orElse(PaceSpread.BEFORE_ANY_COUNT);
        Standing standing = course
                .map(made -> made.standing(state, today, Math.exp(pace.logMean()))
                        .potted(pottingsDone(state, batch.containerCodes(), containerByTray)))
                .orElseGet(() -> Standing.sownAt(timeOf(later(batch.sowDay(), today), season)));
        double limit = Math.min(batch.leavesTo() + 1.0, crop.leafLimitIn(container));
        int hardeningDays = state.hardenedOn().isPresent() ? state.hardeningDays()
                : state.hardeningStartedOn().isPresent() ? state.programmeDays() : batch.hardeningProgramme().days();
        Path path = new Path(
                containers.pottings(crop, batch.leavesFrom(), batch.pottedLate()), batch.leavesFrom(), Math.max(limit, batch.leavesFrom()),
                crop.dayLimitIn(container), hardeningDays);
        List<Scenario> scenarios = season.scenarios(way, crop.emergence(), crop.leaves(), pace);
        BatchForecast forecast = BatchForecast.of(path, standing, scenarios, batch.target());
        double progress = course.map(made -> made.emergenceProgressUntil(today)).orElse(0.0);
        return new BatchAnalysis(
                file, crop, container, containers, path, standing, pace, way, course, watch,
                watch.map(made -> made.expectedAt(progress).middle()).orElse(0.0),
                verdict(file, watch, progress),
                chanceEnough(file, watch, germination),
                forecast, standing.leafProgress(),
                standing.hasEmerged() && isLeggy(state, crop, season, today),
                stays(file, containers, path, way, standing, scenarios, today));
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
        return new Footprint(path, way, slots).from(standing, scenarios, leaves);
    }

    /** Trays in which something is alive or may yet come up. */
    public static long traysInUse(BatchState state) {
        return state.trays().stream()
                .filter(tray -> !state.cellsIn(tray, CellCondition.ALIVE).isEmpty()
                        || !state.cellsIn(tray, CellCondition.WAITING).isEmpty())
                .count();
    }

    /** How far along its containers the plants are that stand in the largest of them. */
    private static int pottingsDone(BatchState state, List<String> containers, Map<Long, String> containerByTray) {
        if (containers.size() == 1) {
            return 0;
        }
        return state.trays().stream()
                .filter(tray -> !state.cellsIn(tray, CellCondition.ALIVE).isEmpty())
                .mapToInt(tray -> containers.indexOf(containerByTray.getOrDefault(tray.number(), "")))
                .max()
                .stream()
                .map(index -> Math.max(index, 0))
                .findFirst()
                .orElse(0);
    }

    private static EmergenceWatch watch(BatchState state, Crop crop, Germination germination, BatchCourse course) {
        List<CountSoFar> counts = new ArrayList<>();
        int most = 0;
        for (Map.Entry<LocalDate, Integer> count : state.cellsUp().entrySet()) {
            most = Math.max(most, count.getValue());
            counts.add(new CountSoFar(course.emergenceProgressUntil(count.getKey()), most));
        }
        int seedsPerCell = state.sowings().keySet().iterator().next().seedsPerCell();
        return new EmergenceWatch(
                crop.emergence(), germination, PaceSpread.BEFORE_ANY_COUNT, state.balance().sown(), seedsPerCell, counts);
    }

    private static EmergenceVerdict verdict(BatchFile file, Optional<EmergenceWatch> watch, double progress) {
        BatchState state = file.state();
        if (state.isCompletelyCounted()) {
            int plants = state.balance().alive() + state.balance().released();
            return plants >= file.batch().plants() ? EmergenceVerdict.ON_COURSE : EmergenceVerdict.FAILING;
        }
        return watch.map(made -> made.verdict(progress, file.batch().cellsNeeded()))
                .orElse(EmergenceVerdict.TOO_SOON_TO_TELL);
    }

    private static double chanceEnough(BatchFile file, Optional<EmergenceWatch> watch, Germination germination) {
        BatchState state = file.state();
        Batch batch = file.batch();
        if (state.balance().waiting() == 0 && state.sownOn().isPresent()) {
            return state.balance().alive() + state.balance().released() >= batch.plants() ? 1 : 0;
        }
        if (watch.isPresent()) {
            return watch.get().chanceOfReaching(batch.cellsNeeded());
        }
        return new SowQuantity(GerminationNodes.of(germination), batch.seedsPerCell(), Allowances.USUAL.survival())
                .chanceOfAtLeast(batch.plants(), batch.cells());
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
