package kiver.server.place;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import kiver.core.place.Lamps;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlacePattern;
import kiver.core.place.PlaceUse;
import kiver.core.place.ShadeCloth;
import kiver.core.weather.Aspect;
import kiver.core.weather.SkyView;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Places as they usually are, from the library. */
@Component
class PatternBook {

    private final List<LibraryPlace> places;

    PatternBook(JsonMapper json, @Value("${kiver.library}") Path folder) {
        try {
            places = json.readValue(Files.readString(folder.resolve("places.json")), Library.class)
                    .places();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The library's file. */
    record Library(String note, List<LibraryPlace> places) {}

    /** Where the light comes from, by the sun and not by the compass. */
    enum Facing {
        OVERHEAD,
        TOWARDS_SUN;

        Aspect on(boolean northern) {
            return this == OVERHEAD ? Aspect.OVERHEAD : northern ? Aspect.SOUTH : Aspect.NORTH;
        }
    }

    /** A place as it stands there. */
    record LibraryPlace(
            PlacePattern.Kind kind,
            Set<PlaceUse> uses,
            double length,
            double breadth,
            double daylightShare,
            Facing aspect,
            double lampFlux,
            double lampHours,
            boolean keepsMiceOut,
            PlacePattern.Caution caution,
            @Nullable Double day,
            @Nullable Double night,
            @Nullable Double gainByNight,
            @Nullable Double gainByDay,
            @Nullable Double floor) {

        PlacePattern pattern(boolean northern) {
            PlaceClimate climate = day != null
                    ? new PlaceClimate.SetPoints(day, night)
                    : new PlaceClimate.FollowsWeather(
                            gainByNight, gainByDay, floor == null ? PlaceClimate.FollowsWeather.NO_FLOOR : floor);
            Lamps lamps = lampFlux == 0 ? Lamps.NONE : new Lamps(lampFlux, lampHours, Lamps.NONE.distance());
            return new PlacePattern(
                    kind,
                    climate,
                    new PlaceLight(
                            daylightShare,
                            new SkyView(aspect.on(northern), SkyView.OPEN.sunFrom(), SkyView.OPEN.sunUntil()),
                            ShadeCloth.NONE,
                            lamps),
                    keepsMiceOut,
                    uses,
                    length,
                    breadth,
                    caution);
        }
    }

    List<PlacePattern> patterns(boolean northern) {
        return places.stream().map(place -> place.pattern(northern)).toList();
    }
}
