package kiver.core.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
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
    private static final int DAYS_LOOKED_AT = 30;

    private final Season season;
    private final Crop crop;
    private final Path path;
    private final List<Double> slots;

    /**
     * For batches of one crop on one path.
     *
     * @param season to look into
     * @param crop grown
     * @param path from sowing to release
     * @param slots bench room in each container of the path
     */
    public Suitability(Season season, Crop crop, Path path, List<Double> slots) {
        this.season = season;
        this.crop = crop;
        this.path = path;
        this.slots = List.copyOf(slots);
    }

    /**
     * The candidates for a batch to be sown, the best first.
     *
     * @param target day on which plants are wanted
     * @param notBefore first day on which it can be sown
     */
    public List<Candidate> candidates(LocalDate target, LocalDate notBefore) {
        List<Candidate> candidates = new ArrayList<>();
        for (Way way : WayFinder.waysFor(season, crop, notBefore)) {
            CountBack countBack = countBack(way);
            LocalDate sowDay = countBack.lastEvenOdds(target, notBefore);
            candidates.add(candidate(way, countBack, sowDay, target));
        }
        candidates.sort(Comparator.comparingDouble(Candidate::cost));
        return List.copyOf(candidates);
    }

    /** The candidates for a batch that is sown on a fixed day. */
    public List<Candidate> candidatesSownOn(LocalDate sowDay, LocalDate target) {
        return WayFinder.waysFor(season, crop, sowDay).stream()
                .map(way -> candidate(way, countBack(way), sowDay, target))
                .sorted(Comparator.comparingDouble(Candidate::cost))
                .toList();
    }

    /** A way that a batch sown on that day takes. */
    public Candidate along(Way way, LocalDate sowDay, LocalDate target) {
        return candidate(way, countBack(way), sowDay, target);
    }

    private CountBack countBack(Way way) {
        return new CountBack(path, scenarios(way), season.firstDay());
    }

    private List<Scenario> scenarios(Way way) {
        return season.scenarios(way, crop.emergence(), crop.leaves(), PaceSpread.BEFORE_ANY_COUNT);
    }

    private Candidate candidate(Way way, CountBack countBack, LocalDate sowDay, LocalDate target) {
        List<Stay> stays = new Footprint(path, way, slots)
                .from(Standing.sownAt(sowDay.toEpochDay() - season.firstDay().toEpochDay()), scenarios(way), target);
        return new Candidate(way, cost(way, countBack.chance(sowDay, target), sowDay, stays), stays);
    }

    private double cost(Way way, double chance, LocalDate sowDay, List<Stay> stays) {
        double off = Math.abs(season.meanTemperature(way.growingOn(), sowDay.plusDays(7), DAYS_LOOKED_AT) - crop.growAt());
        double lying = stays.stream()
                .filter(stay -> stay.place().equals(way.emergence()))
                .mapToInt(Stay::days)
                .findFirst()
                .orElse(0);
        boolean dark = !SeedlingLight.at(season, way.growingOn(), crop.leaves()).isEnough(sowDay);
        int moves = (way.emergence().equals(way.growingOn()) ? 0 : 1) + (way.growingOn().equals(way.hardening()) ? 0 : 1);
        return CHANCE * (1 - chance)
                + KELVIN_OFF * Math.max(0, off - KELVIN_FREE)
                + DAY_OF_EMERGENCE * lying
                + (dark ? TOO_DARK : 0)
                + MOVE * moves;
    }
}
