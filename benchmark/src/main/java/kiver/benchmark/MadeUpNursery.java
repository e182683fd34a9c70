package kiver.benchmark;

import java.util.List;
import java.util.Set;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.weather.StationClimate;

/** An invented valley and the places of a nursery in it. */
final class MadeUpNursery {

    static final StationClimate VALLEY = new StationClimate(9.2, 10.2, 10.5, 3.2, 0.72);

    static final List<Place> PLACES = List.of(
            new Place(
                    new PlaceId(1),
                    "Bench",
                    1,
                    400,
                    new PlaceClimate.SetPoints(23, 20),
                    0.4,
                    6,
                    Set.of(PlaceUse.EMERGENCE)),
            new Place(
                    new PlaceId(2),
                    "House",
                    2,
                    400,
                    new PlaceClimate.SetPoints(18, 13),
                    0.75,
                    2,
                    Set.of(PlaceUse.GROWING_ON)),
            new Place(
                    new PlaceId(3),
                    "Cool house",
                    3,
                    400,
                    new PlaceClimate.SetPoints(14, 8),
                    0.75,
                    0,
                    Set.of(PlaceUse.GROWING_ON, PlaceUse.EMERGENCE)),
            new Place(
                    new PlaceId(4),
                    "Tunnel",
                    4,
                    400,
                    new PlaceClimate.FollowsWeather(2, 7, -60),
                    0.8,
                    0,
                    Set.of(PlaceUse.GROWING_ON)),
            new Place(
                    new PlaceId(5),
                    "Yard",
                    5,
                    400,
                    new PlaceClimate.FollowsWeather(0.5, 1, -60),
                    0.9,
                    0,
                    Set.of(PlaceUse.HARDENING_OFF)));

    private MadeUpNursery() {}
}
