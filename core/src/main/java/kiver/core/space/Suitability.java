package kiver.core.space;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import kiver.core.plan.CountBack;
import kiver.core.plan.SeedlingLight;
import kiver.core.plan.WayFinder;

/**
 * How well ways through the nursery suit a batch, as a cost: what chance of the order is lost, how far the growing
 * place is from what keeps plants sturdy, how long the seed lies, light too weak, and moves.
 */
public final class Suitability {

    /** Points for a lost hundredth of chance; everything else is weighed against this. */
    private static final double CHANCE = 100;

    private static final double KELVIN_OFF = 0.6;
    private static final double KELVIN_FREE = 2;
    private static final double DAY_OF_EMERGENCE = 0.3;
    private static final double MOVE = 1;
    private static final double TOO_DARK = 12;
    private static final double WINTER_TO_WATCH = 20;
    private static final int DAYS_LOOKED_AT = 30;

    /** Worse ones are hardly ever taken, and each has to be looked at. */
    private static final int MOST_CANDIDATES = 16;

    private final Season season;
    private final Crop crop;
    private final Path path;
    private final Map<LocalDate, List<Way>> ways = new ConcurrentHashMap<>();
    private final Map<Way, CountBack> countBacks = new ConcurrentHashMap<>();
    private final Map<WayAndDay, Footprint.Marks> marks = new ConcurrentHashMap<>();
    private final Map<PlaceAndDay, Double> misfits = new ConcurrentHashMap<>();
    private final Map<PlaceAndDay, Double> hardeningFrom = new ConcurrentHashMap<>();

    private record WayAndDay(Way way, LocalDate sowDay) {}

    private record PlaceAndDay(PlaceId place, LocalDate sowDay) {}

    /**
     * For batches of one crop on one path. What is worked out for one of them is kept for the next; it is a pure
     * function of what this is made of, so threads may share it.
     *
     * @param season to look into
     * @param crop grown
     * @param path from sowing to release
     */
    public Suitability(Season season, Crop crop, Path path) {
        this.season = season;
        this.crop = crop;
        this.path = path;
    }

    /**
     * The candidates for a batch to be sown, the best first; at most 16.
     *
     * @param target day on which plants are wanted
     * @param notBefore first day on which it can be sown
     * @param slots bench room in each container of the path
     */
    public List<Candidate> candidates(LocalDate target, LocalDate notBefore, List<Double> slots) {
        return ways.computeIfAbsent(notBefore, day -> WayFinder.waysFor(season, crop, day)).stream()
                .map(way -> candidate(way, target, notBefore, slots))
                .sorted(Comparator.comparingDouble(Candidate::cost))
                .limit(MOST_CANDIDATES)
                .toList();
    }

    private Candidate candidate(Way way, LocalDate target, LocalDate notBefore, List<Double> slots) {
        CountBack countBack =
                countBacks.computeIfAbsent(way, each -> new CountBack(path, scenarios(each), season.firstDay()));
        LocalDate sowDay = countBack.goodDay(target, notBefore);
        Standing sown = Standing.sownAt(
                (double) (sowDay.toEpochDay() - season.firstDay().toEpochDay()));
        Footprint.Marks passed = marks.computeIfAbsent(
                new WayAndDay(way, sowDay),
                key -> Footprint.Marks.of(countBack.milestones(sowDay), path, sown, scenarios(way)));
        List<Stay> stays = new Footprint(path, way, slots)
                .from(sown, passed, season.firstDay(), target, hardeningFrom(way, target));
        double cost = cost(way, countBack.chance(sowDay, target), sowDay, stays);
        return new Candidate(way, cost + costOfWinter(countBack, way, sowDay, target), stays);
    }

    /** Places too mild for a rest do not serve; of the others the one with fewest winters of nights that must be watched. */
    private double costOfWinter(CountBack countBack, Way way, LocalDate sowDay, LocalDate target) {
        if (path.winter().isEmpty()) {
            return 0;
        }
        return countBack
                .restBetween(sowDay, target)
                .map(rest -> WINTER_TO_WATCH
                        * season.chanceOfNightBelow(
                                way.hardening(),
                                crop.hardiness().floor(),
                                season.firstDay().plusDays((long) rest.from()),
                                season.firstDay().plusDays((long) rest.until())))
                .orElse(CHANCE);
    }

    /** Over all scenarios; days out depend on the place alone. */
    private double hardeningFrom(Way way, LocalDate target) {
        return hardeningFrom.computeIfAbsent(
                new PlaceAndDay(way.hardening(), target),
                key -> path.hardeningFrom(ChronoUnit.DAYS.between(season.firstDay(), target), scenarios(way)));
    }

    private List<Scenario> scenarios(Way way) {
        return season.scenarios(way, crop.development(), crop.learnt().paces());
    }

    private double cost(Way way, double chance, LocalDate sowDay, List<Stay> stays) {
        double lying = stays.stream()
                .filter(stay -> stay.place().equals(way.emergence()))
                .mapToInt(Stay::days)
                .findFirst()
                .orElse(0);
        int moves = (way.emergence().equals(way.growingOn()) ? 0 : 1)
                + (way.growingOn().equals(way.hardening()) ? 0 : 1);
        return CHANCE * (1 - chance)
                + misfits.computeIfAbsent(new PlaceAndDay(way.growingOn(), sowDay), this::misfit)
                + DAY_OF_EMERGENCE * lying
                + MOVE * moves;
    }

    /** How little a growing place suits seedlings sown on a day, for its temperature and its light. */
    private double misfit(PlaceAndDay at) {
        double off =
                Math.abs(season.meanTemperature(at.place(), at.sowDay().plusDays(7), DAYS_LOOKED_AT) - crop.growAt());
        boolean dark = !SeedlingLight.at(season, at.place(), crop.leaves()).isEnough(at.sowDay());
        return KELVIN_OFF * Math.max(0, off - KELVIN_FREE) + (dark ? TOO_DARK : 0);
    }
}
