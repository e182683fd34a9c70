package kiver.server.place;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceSpan;
import kiver.core.place.PlaceUse;
import kiver.core.place.ShadeCloth;
import kiver.core.weather.Aspect;
import kiver.core.weather.DailyRange;
import kiver.core.weather.SkyView;
import kiver.core.weather.StationRecord;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the places and what their thermometers read. */
@Component
public class PlaceBook {

    private final PlaceMapper mapper;
    private final PlaceProbe probe;
    private final Kept<List<Place>> places;

    PlaceBook(PlaceMapper mapper, PlaceProbe probe, Revisions revisions) {
        this.mapper = mapper;
        this.probe = probe;
        places = new Kept<>(
                () -> placesWithCautions().stream().map(NamedPlace::place).toList());
        revisions.whenChanged("place", places::discard);
    }

    /** The places in walking order. */
    public List<Place> places() {
        return places.get();
    }

    /** The places in walking order, each with its caution. */
    public List<NamedPlace> placesWithCautions() {
        List<PlaceMapper.PlaceRow> rows = mapper.all();
        // Read afterwards: a place that was added in between has its light, too.
        Map<Long, PlaceLight> lights =
                mapper.lights().stream().collect(Collectors.toMap(PlaceMapper.LightRow::id, PlaceBook::light));
        return rows.stream()
                .map(row -> new NamedPlace(place(row, lights.get(row.id())), row.caution()))
                .toList();
    }

    /** Adds a place; its number in {@code place} is not used. */
    public void add(Place place, String caution) {
        mapper.insert(row(place, caution), place.light());
        places.forget();
    }

    /** Adds a place or changes the one of its name. */
    public void put(Place place, String caution) {
        if (mapper.orderTaken(place.walkingOrder(), place.name())) {
            throw new Refusal(
                    "walking_order",
                    Said.of("Another place is stop {stop} on the round.").with("stop", place.walkingOrder()));
        }
        if (mapper.update(row(place, caution)) == 0) {
            mapper.insert(row(place, caution), place.light());
        } else {
            mapper.light(place.name(), place.light());
        }
        places.forget();
    }

    /** Changes what makes the light of a place that is there. */
    public void light(Place place, PlaceLight light) {
        mapper.light(place.name(), light);
        places.forget();
    }

    private static PlaceMapper.PlaceRow row(Place place, String caution) {
        PlaceClimate.SetPoints heated = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
        PlaceClimate.FollowsWeather open =
                place.climate() instanceof PlaceClimate.FollowsWeather follows ? follows : null;
        return new PlaceMapper.PlaceRow(
                0,
                place.name(),
                place.walkingOrder(),
                place.slots(),
                heated == null ? null : heated.day(),
                heated == null ? null : heated.night(),
                open == null ? null : open.gainByDay(),
                open == null ? null : open.gainByNight(),
                open == null ? null : open.floor(),
                place.suits(PlaceUse.EMERGENCE),
                place.suits(PlaceUse.GROWING_ON),
                place.suits(PlaceUse.HARDENING_OFF),
                place.keepsMiceOut(),
                caution,
                place.exists().firstDay().orElse(null),
                place.exists().lastDay().orElse(null));
    }

    /** Reads the thermometers for days that are over, in a transaction of its own. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void catchUp(List<LocalDate> days, StationRecord outside) {
        List<PlaceMapper.Reading> readings = new ArrayList<>();
        for (Place place : places()) {
            for (LocalDate day : days) {
                DailyRange read = probe.read(place, day, outside.on(day));
                readings.add(new PlaceMapper.Reading(place.id().number(), day, read.minimum(), read.maximum()));
            }
        }
        if (!readings.isEmpty()) {
            mapper.insertReadings(readings);
        }
    }

    /** Readings from a day on, by place and day. */
    public Map<PlaceId, Map<LocalDate, DailyRange>> readings(LocalDate from) {
        Map<PlaceId, Map<LocalDate, DailyRange>> byPlace = new HashMap<>();
        for (PlaceMapper.Reading reading : mapper.readings(from)) {
            byPlace.computeIfAbsent(new PlaceId(reading.placeId()), place -> new HashMap<>())
                    .put(reading.day(), new DailyRange(reading.minimum(), reading.maximum()));
        }
        return byPlace;
    }

    private static Place place(PlaceMapper.PlaceRow row, PlaceLight light) {
        Set<PlaceUse> suits = EnumSet.noneOf(PlaceUse.class);
        if (row.forEmergence()) {
            suits.add(PlaceUse.EMERGENCE);
        }
        if (row.forGrowingOn()) {
            suits.add(PlaceUse.GROWING_ON);
        }
        if (row.forHardeningOff()) {
            suits.add(PlaceUse.HARDENING_OFF);
        }
        PlaceClimate climate = row.daySetPoint() != null
                ? new PlaceClimate.SetPoints(row.daySetPoint(), row.nightSetPoint())
                : new PlaceClimate.FollowsWeather(row.gainByNight(), row.gainByDay(), row.floor());
        return new Place(
                new PlaceId(row.id()),
                row.name(),
                row.walkingOrder(),
                row.slots(),
                climate,
                light,
                row.keepsMiceOut(),
                suits,
                new PlaceSpan(Optional.ofNullable(row.existsFrom()), Optional.ofNullable(row.existsUntil())));
    }

    private static PlaceLight light(PlaceMapper.LightRow row) {
        return new PlaceLight(
                row.daylightShare(),
                new SkyView(Aspect.valueOf(row.aspect()), row.sunFrom(), row.sunUntil()),
                new ShadeCloth(row.clothTakes(), row.clothAbove()),
                new Lamps(row.lampFlux(), row.lampHours(), row.lampDistance()));
    }
}
