package kiver.server.grow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchState;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.emerge.CountSoFar;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.grow.BatchCourse;
import kiver.core.grow.BatchForecast;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.Allowances;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.SowQuantity;
import kiver.server.batch.Batch;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import org.springframework.stereotype.Service;

/** Works out how batches stand, from their records, the temperatures they had and the season ahead. */
@Service
public class BatchAnalyst {

    /** Light is judged over this many days gone by. */
    private static final int DAYS_OF_LIGHT = 7;

    private final BatchBook batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final CropBook crops;
    private final SeedStore seeds;
    private final LotKnowledge lots;

    BatchAnalyst(
            BatchBook batches,
            SeasonService seasons,
            NurseryClock clock,
            CropBook crops,
            SeedStore seeds,
            LotKnowledge lots) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.crops = crops;
        this.seeds = seeds;
        this.lots = lots;
    }

    /** All batches as they stand today. */
    public List<BatchAnalysis> all() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        List<BatchFile> files = batches.files();
        Map<Long, SeedLot> lotsById = seeds.lots().stream()
                .collect(Collectors.toMap(SeedLot::id, lot -> lot));
        return files.stream()
                .map(file -> analyse(file, files, lotsById.get(lotOf(file)), season, today))
                .toList();
    }

    /** One batch as it stands today. */
    public BatchAnalysis one(int number) {
        LocalDate today = clock.today();
        BatchFile file = batches.file(number);
        return analyse(file, batches.files(), seeds.lot(lotOf(file)), seasons.season(today), today);
    }

    private static long lotOf(BatchFile file) {
        return file.state().sowings().keySet().stream()
                .findFirst()
                .map(sown -> sown.lot())
                .orElse(file.batch().lotId());
    }

    private BatchAnalysis analyse(
            BatchFile file, List<BatchFile> others, SeedLot lot, Season season, LocalDate today) {
        Batch batch = file.batch();
        BatchState state = file.state();
        Crop crop = crops.crop(batch.crop());
        Container container = crops.container(batch.container());
        Germination germination = lots.germination(lot, today, others, batch.number());
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
                .map(made -> made.standing(state, today, Math.exp(pace.logMean())))
                .orElseGet(() -> Standing.sownAt(timeOf(later(batch.sowDay(), today), season)));
        double limit = Math.min(batch.leavesTo() + 1.0, crop.leafLimitIn(container));
        int hardeningDays = state.hardenedOn().isPresent() ? state.hardeningDays()
                : state.hardeningStartedOn().isPresent() ? state.programmeDays() : batch.hardeningProgramme().days();
        BatchForecast forecast = BatchForecast.of(
                new Path(batch.leavesFrom(), Math.max(limit, batch.leavesFrom()), hardeningDays),
                standing,
                season.scenarios(way, crop.emergence(), crop.leaves(), pace),
                batch.target());
        double progress = course.map(made -> made.emergenceProgressUntil(today)).orElse(0.0);
        return new BatchAnalysis(
                file, crop, container, way, course, watch,
                watch.map(made -> made.expectedAt(progress).middle()).orElse(0.0),
                verdict(file, watch, progress),
                chanceEnough(file, watch, germination),
                forecast, standing.leafProgress(),
                standing.hasEmerged() && isLeggy(state, crop, season, today));
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
