package kiver.core.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import kiver.core.crop.Crop;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;

/**
 * Picks the places for a crop: of those where the seed comes up nearly as fast as anywhere, the roomiest; seedlings
 * stand where the mean is nearest to what keeps them sturdy, and harden on the nursery's largest hardening ground.
 */
public final class WayFinder {

    private static final int DAYS_LOOKED_AT = 40;

    /** A place at least this fast, against the fastest, is as good. */
    private static final double FAST_ENOUGH = 0.7;

    private WayFinder() {}

    /**
     * The places.
     *
     * @param season to look into
     * @param crop to be grown
     * @param from about when it will be sown, inside the season
     * @throws IllegalArgumentException when the nursery has no place for one of the stages
     */
    public static Way wayFor(Season season, Crop crop, LocalDate from) {
        ToDoubleFunction<Place> speed =
                place -> crop.emergence().temperatures().rate(season.meanTemperature(place.id(), from, 14));
        double fastest = season.places().stream()
                .filter(place -> place.suits(PlaceUse.EMERGENCE))
                .mapToDouble(speed)
                .max()
                .orElse(0);
        PlaceId emergence = nearest(season, PlaceUse.EMERGENCE, place ->
                speed.applyAsDouble(place) >= FAST_ENOUGH * fastest ? -place.slots() : -speed.applyAsDouble(place));
        PlaceId growingOn = nearest(season, PlaceUse.GROWING_ON, place ->
                Math.abs(season.meanTemperature(place.id(), from.plusDays(7), DAYS_LOOKED_AT) - crop.growAt()));
        PlaceId hardening = nearest(season, PlaceUse.HARDENING_OFF, place -> -place.slots());
        return new Way(emergence, growingOn, hardening);
    }

    private static PlaceId nearest(Season season, PlaceUse use, ToDoubleFunction<Place> distance) {
        return season.places().stream()
                .filter(place -> place.suits(use))
                .min(Comparator.comparingDouble(distance).thenComparing(Place::walkingOrder))
                .map(Place::id)
                .orElseThrow(() -> new IllegalArgumentException("The nursery has no place for "
                        + use.name().toLowerCase(Locale.ROOT).replace('_', ' ') + "."));
    }
}
