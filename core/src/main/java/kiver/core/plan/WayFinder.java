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
 * Picks the places for a crop: the seed lies where it comes up fastest, seedlings stand where the mean is nearest to
 * what keeps them sturdy, and harden where the nursery hardens.
 */
public final class WayFinder {

    private static final int DAYS_LOOKED_AT = 40;

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
        PlaceId emergence = nearest(season, PlaceUse.EMERGENCE, place ->
                -crop.emergence().temperatures().rate(season.meanTemperature(place.id(), from, 14)));
        PlaceId growingOn = nearest(season, PlaceUse.GROWING_ON, place ->
                Math.abs(season.meanTemperature(place.id(), from.plusDays(7), DAYS_LOOKED_AT) - crop.growAt()));
        PlaceId hardening = nearest(season, PlaceUse.HARDENING_OFF, Place::walkingOrder);
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
