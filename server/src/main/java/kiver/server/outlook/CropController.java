package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.CropSheet;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PotDepth;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.NormalHierarchy;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.ObservedBook;
import kiver.server.crop.PaceTellings;
import kiver.server.growth.SeasonService;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A crop with its fitted curves, its stages at a place, and where its figures come from. */
@RestController
class CropController {

    private static final int STAGE_LEAVES = 6;

    private final CropBook crops;
    private final ObservedBook observed;
    private final PaceTellings tellings;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final ColumnWords words;

    CropController(
            CropBook crops,
            ObservedBook observed,
            PaceTellings tellings,
            SeasonService seasons,
            NurseryClock clock,
            ColumnWords words) {
        this.words = words;
        this.crops = crops;
        this.observed = observed;
        this.tellings = tellings;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** Days to half up, or leaves a day, at a constant temperature. */
    record TemperaturePoint(double temperature, @Nullable Double days, double leavesPerDay) {}

    /** Days that were observed at a temperature. */
    record ObservedPoint(double temperature, double days) {}

    /** When a stage is reached, if sown on the day asked for. */
    record StageAt(Said stage, @Nullable DateSpread spread) {}

    /** One figure with its name. */
    record Figure(Said name, Said hint, String value) {}

    /**
     * What counts of its leaves taught at a place.
     *
     * @param longer times as long as the figures say that a leaf takes
     * @param from one nursery in ten like this would be below it
     * @param to one in ten above
     * @param batches that told
     */
    record TaughtHere(String place, double longer, double from, double to, int batches) {}

    /** How this nursery tends it, where good growers differ; leaves from which on, 0 for never. */
    record TendedLike(PotDepth potDepth, boolean brushed, double pinchedFrom, double flowersOffFrom) {}

    /** A crop's page. */
    record CropView(
            String code,
            String name,
            Said hardiness,
            List<TemperaturePoint> curve,
            List<ObservedPoint> observed,
            String emergenceSource,
            String growthSource,
            String caution,
            TendedLike tending,
            List<TaughtHere> taught,
            List<Figure> figures,
            long placeId,
            LocalDate sown,
            List<StageAt> stages,
            double meanTemperature) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/crops/{code}")
    CropView crop(
            @PathVariable String code,
            @RequestParam(required = false) @Nullable Long place,
            @RequestParam(required = false) @Nullable LocalDate sown) {
        Crop crop = crops.crop(new CropCode(code));
        Season season = seasons.season();
        LocalDate day = sown == null
                        || sown.isBefore(season.firstDay())
                        || sown.isAfter(season.lastDay().minusDays(60))
                ? clock.today()
                : sown;
        PlaceId at = Optional.ofNullable(place)
                .map(PlaceId::new)
                .filter(id -> season.places().stream().map(Place::id).anyMatch(id::equals))
                .orElse(season.places().get(0).id());
        List<String> values =
                CropSheet.NAMES.stream().map(CropSheet.write(crop)::text).toList();
        List<Figure> figures = new ArrayList<>();
        for (int index = 0; index < values.size(); index++) {
            String column = CropSheet.NAMES.get(index);
            figures.add(new Figure(words.name("crops", column), words.hint("crops", column), values.get(index)));
        }
        return new CropView(
                crop.code().written(),
                crop.name(),
                Said.of("hardiness." + crop.hardiness()),
                curve(crop),
                observed.of(code).entrySet().stream()
                        .map(entry -> new ObservedPoint(entry.getKey(), entry.getValue()))
                        .toList(),
                crop.sources().emergence(),
                crop.sources().growth(),
                crop.planting().caution(),
                new TendedLike(
                        crop.cells().potDepth(),
                        crop.tending().brushed(),
                        crop.tending().pinchedFrom(),
                        crop.tending().flowersOffFrom()),
                taught(crop, season),
                figures,
                at.number(),
                day,
                stages(crop, season, at, day),
                season.meanTemperature(at, day, 21));
    }

    private List<TaughtHere> taught(Crop crop, Season season) {
        PaceLessons lessons = tellings.ofLeaves();
        return season.places().stream()
                .filter(place -> lessons.places(crop.code()).contains(place.id()))
                .map(place -> {
                    PaceLessons.Lesson lesson = lessons.at(crop.code(), place.id());
                    double aside = NormalHierarchy.Normal.EIGHT_OF_TEN * lesson.deviation();
                    return new TaughtHere(
                            place.name(),
                            Math.exp(lesson.log()),
                            Math.exp(lesson.log() - aside),
                            Math.exp(lesson.log() + aside),
                            lesson.batches());
                })
                .toList();
    }

    private static List<TemperaturePoint> curve(Crop crop) {
        List<TemperaturePoint> points = new ArrayList<>();
        for (double temperature = 0; temperature <= 42; temperature += 1) {
            double days = crop.emergence().daysAt(temperature);
            points.add(new TemperaturePoint(
                    temperature,
                    Double.isFinite(days) && days <= 120 ? days : null,
                    crop.leaves().leavesPerDayAtBest()
                            * crop.leaves().temperatures().rate(temperature)));
        }
        return points;
    }

    private static List<StageAt> stages(Crop crop, Season season, PlaceId place, LocalDate day) {
        Way way = new Way(place, place, place);
        var scenarios = season.scenarios(way, crop.development(), crop.learnt().paces());
        Standing sown =
                Standing.sownAt((double) (day.toEpochDay() - season.firstDay().toEpochDay()));
        List<StageAt> stages = new ArrayList<>();
        for (int leaves = 1; leaves <= STAGE_LEAVES; leaves++) {
            Path path = new Path(leaves, leaves + 1.0, 0);
            Milestones[] milestones = scenarios.stream()
                    .map(scenario -> path.from(sown, scenario))
                    .toArray(Milestones[]::new);
            MilestoneSpreads spreads = new MilestoneSpreads(season.firstDay(), season.lastDay(), milestones);
            if (leaves == 1) {
                stages.add(new StageAt(
                        Said.of("Half up"), spreads.of(Milestones::emerged).orElse(null)));
            }
            stages.add(new StageAt(
                    Said.of("{leaves, plural, one {# true leaf} other {# true leaves}}")
                            .with("leaves", leaves),
                    spreads.of(Milestones::stageReached).orElse(null)));
        }
        return stages;
    }
}
