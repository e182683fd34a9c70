package kiver.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import kiver.core.crop.Crop;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceUse;

/**
 * Ranks the places for a crop: of those where the seed comes up nearly as fast as anywhere, the roomiest, and for seed that
 * mice eat the roomiest that keeps them out; seedlings
 * stand where the mean is nearest to what keeps them sturdy, and harden on the nursery's largest hardening ground.
 */
public final class WayFinder {

    private static final int DAYS_LOOKED_AT = 40;

    /** A place at least this fast, against the fastest, is as good. */
    private static final double FAST_ENOUGH = 0.7;

    /** Further from what suits a crop, in K, a place is not thought of. */
    private static final double TOO_FAR_OFF = 7;

    /** More trays than any place holds: among places that are fast enough, one where nothing eats the seed comes first. */
    private static final double FAR_BETTER = 1e6;

    private static final int MOST_EMERGENCE = 3;
    private static final int MOST_GROWING = 4;
    private static final int MOST_HARDENING = 3;

    private WayFinder() {}

    /**
     * The places that suit best, whether they have room or not.
     *
     * @param season to look into
     * @param crop to be grown
     * @param from about when it will be sown, inside the season
     * @throws IllegalArgumentException when the nursery has no place for one of the stages
     */
    public static Way wayFor(Season season, Crop crop, LocalDate from) {
        return waysFor(season, crop, from).get(0);
    }

    /**
     * Ways worth thinking of, the best of each kind of place first; at most 36.
     *
     * @param season to look into
     * @param crop to be grown
     * @param from about when it will be sown, inside the season
     * @throws IllegalArgumentException when the nursery has no place for one of the stages
     */
    public static List<Way> waysFor(Season season, Crop crop, LocalDate from) {
        ToDoubleFunction<Place> speed =
                place -> crop.emergence().temperatures().rate(season.meanTemperature(place.id(), from, 14));
        double fastest = season.places().stream()
                .filter(place ->
                        place.suits(PlaceUse.EMERGENCE) && !place.exists().isOverOn(from))
                .mapToDouble(speed)
                .max()
                .orElse(0);
        List<Place> emergence = ranked(season, from, PlaceUse.EMERGENCE, MOST_EMERGENCE, place -> {
            double fast = speed.applyAsDouble(place);
            boolean safe = place.keepsMiceOut() || !crop.seed().eatenByMice();
            if (fast >= FAST_ENOUGH * fastest) {
                return -place.slots() - (safe ? FAR_BETTER : 0);
            }
            return 1 - fast;
        });
        ToDoubleFunction<Place> misfit =
                place -> Math.abs(season.meanTemperature(place.id(), from.plusDays(7), DAYS_LOOKED_AT) - crop.growAt());
        List<Place> growing = ranked(season, from, PlaceUse.GROWING_ON, MOST_GROWING, misfit);
        List<Place> hardening = ranked(season, from, PlaceUse.HARDENING_OFF, MOST_HARDENING, place -> -place.slots());
        List<Way> ways = new ArrayList<>();
        for (Place outside : hardening) {
            for (Place warm : emergence) {
                for (Place bench : growing) {
                    if (bench.equals(growing.get(0)) || misfit.applyAsDouble(bench) < TOO_FAR_OFF) {
                        ways.add(new Way(warm.id(), bench.id(), outside.id()));
                    }
                }
            }
        }
        return List.copyOf(ways);
    }

    private static List<Place> ranked(
            Season season, LocalDate from, PlaceUse use, int most, ToDoubleFunction<Place> distance) {
        List<Place> ranked = season.places().stream()
                .filter(place -> place.suits(use) && !place.exists().isOverOn(from))
                .sorted(Comparator.comparingDouble(distance).thenComparing(Place::walkingOrder))
                .limit(most)
                .toList();
        if (ranked.isEmpty()) {
            throw new IllegalArgumentException("The nursery has no place for "
                    + use.name().toLowerCase(Locale.ROOT).replace('_', ' ') + ".");
        }
        return ranked;
    }
}
