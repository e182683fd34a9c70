package kiver.server.space;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import kiver.core.outlook.RoomInYears;
import kiver.core.outlook.RoomInYears.Course;
import kiver.core.space.Occupancy;
import kiver.core.space.OccupancySpread;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Room over all past years, and what would break in the weather of any one of them. */
@RestController
class YearsController {

    /** What lacks in fewer years is not shown. */
    private static final double ONE_OF_TEN = 0.1;

    private static final double NINE_OF_TEN = 0.9;
    private static final double HALF = 0.5;

    private final BatchOutlooks batches;
    private final SeasonService seasons;
    private final PastYears years;
    private final NurseryClock clock;

    YearsController(BatchOutlooks batches, SeasonService seasons, PastYears years, NurseryClock clock) {
        this.batches = batches;
        this.seasons = seasons;
        this.years = years;
        this.clock = clock;
    }

    /**
     * A past year to choose.
     *
     * @param spring mean of its spring, °C; missing where none lies ahead
     * @param firstFrost in autumn, on the day of the season ahead
     * @param earlySummer mean of the highest in its first month of summer, °C
     */
    record PastYearView(
            int year,
            @Nullable Double spring,
            @Nullable LocalDate firstFrost,
            @Nullable Double earlySummer,
            Set<PastYears.RememberedFor> rememberedFor) {}

    /** Years to choose from, the latest first; estimated where most of their weather was never measured. */
    record PastYearsView(boolean estimated, List<PastYearView> years) {}

    /** Tray places enough at a place in half and in nine of ten years, by day. */
    record PlaceOverYears(long id, List<Double> half, List<Double> nineOfTen) {}

    /**
     * Days on which a place may lack room.
     *
     * @param to last day
     * @param share of the years in which it does, 0 to 1
     * @param overInHalf tray places lacking in half of those, at most
     * @param overInNineOfTen the same in nine of ten of those
     */
    record RoomRisk(
            long placeId,
            String place,
            LocalDate from,
            LocalDate to,
            double share,
            double overInHalf,
            double overInNineOfTen) {}

    /** Room over all past years. */
    record SpreadView(LocalDate firstDay, List<PlaceOverYears> places, List<RoomRisk> risks) {}

    /**
     * A batch that does not go well in that year.
     *
     * @param target day on which it is wanted
     * @param day on which it is ready, or past its best; missing for one that never is ready
     * @param usual whether the same goes wrong as most likely
     */
    record Broken(
            int batch,
            String variety,
            RoomInYears.GoesWrong goesWrong,
            LocalDate target,
            @Nullable LocalDate day,
            boolean usual) {}

    /** Tray places used at a place, by day. */
    record PlaceInYear(long id, List<Double> used) {}

    /** The season in the weather of one past year. */
    record InYearView(
            int year,
            LocalDate firstDay,
            List<PlaceInYear> places,
            List<OverflowView> overflows,
            List<Broken> broken) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/years")
    PastYearsView years() {
        // First the years: with the season the days are fetched by which it is told whether they were measured.
        List<PastYears.PastYear> all = years.all();
        return new PastYearsView(
                years.areEstimated(),
                all.stream()
                        .map(each -> new PastYearView(
                                each.year(),
                                each.character().spring().isPresent()
                                        ? tenth(each.character().spring().getAsDouble())
                                        : null,
                                each.character().firstFrost().orElse(null),
                                each.character().earlySummer().isPresent()
                                        ? tenth(each.character().earlySummer().getAsDouble())
                                        : null,
                                each.rememberedFor()))
                        .toList());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/spread")
    SpreadView spread() {
        OccupancySpread spread = room().spread(batches.all());
        return new SpreadView(
                spread.firstDay(),
                seasons.season().places().stream()
                        .map(place -> new PlaceOverYears(
                                place.id().number(),
                                rounded(spread.enoughIn(place.id(), HALF)),
                                rounded(spread.enoughIn(place.id(), NINE_OF_TEN))))
                        .toList(),
                spread.risks(ONE_OF_TEN).stream()
                        .map(risk -> new RoomRisk(
                                risk.place().id().number(),
                                risk.place().name(),
                                risk.from(),
                                risk.until().minusDays(1),
                                risk.share(),
                                risk.overInHalf(),
                                risk.overInNineOfTen()))
                        .toList());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/in-year")
    InYearView inYear(@RequestParam int year) {
        PastYears.PastYear chosen = years.named(year);
        RoomInYears room = room();
        List<Course> courses = room.courses(batches.all(), chosen.scenario());
        Occupancy occupancy = room.occupancy(courses);
        return new InYearView(
                year,
                occupancy.firstDay(),
                seasons.season().places().stream()
                        .map(place -> new PlaceInYear(place.id().number(), rounded(occupancy.used(place.id()))))
                        .toList(),
                OverflowView.of(occupancy),
                courses.stream()
                        // What is late already is so in every weather, and the round says it.
                        .filter(course -> !target(course).isBefore(occupancy.firstDay()))
                        .flatMap(course -> course.goesWrong().map(wrong -> broken(course, wrong)).stream())
                        .sorted(Comparator.comparing(Broken::usual)
                                .thenComparing(Broken::target)
                                .thenComparing(Broken::batch))
                        .toList());
    }

    private static Broken broken(Course course, RoomInYears.GoesWrong wrong) {
        return new Broken(
                course.batch().number(),
                course.batch().file().batch().variety(),
                wrong,
                target(course),
                switch (wrong) {
                    case LATE -> course.ready().orElseThrow();
                    case PAST_BEST -> course.pastBest().orElseThrow();
                    case NEVER_READY -> null;
                },
                course.isUsual());
    }

    private static LocalDate target(Course course) {
        return course.batch().file().batch().target();
    }

    private RoomInYears room() {
        LocalDate today = clock.today();
        return new RoomInYears(seasons.season(today), today);
    }

    private static List<Double> rounded(double[] slots) {
        return Arrays.stream(slots)
                .map(each -> Math.round(100 * each) / 100.0)
                .boxed()
                .toList();
    }

    private static double tenth(double celsius) {
        return Math.round(10 * celsius) / 10.0;
    }
}
