package kiver.core.place;

import java.util.Objects;
import kiver.core.weather.SkyView;

/**
 * What makes the light of a place.
 *
 * @param daylightShare share of the light that meets its glass, roof or window and comes through to the plants, 0 to 1
 * @param sky what it sees of the sky
 * @param cloth drawn against fierce sun
 * @param lamps over it
 */
public record PlaceLight(double daylightShare, SkyView sky, ShadeCloth cloth, Lamps lamps) {

    public PlaceLight {
        Objects.requireNonNull(sky);
        Objects.requireNonNull(cloth);
        Objects.requireNonNull(lamps);
        if (!(daylightShare >= 0 && daylightShare <= 1)) {
            throw new IllegalArgumentException("The daylight share must be from 0 to 1, not " + daylightShare + ".");
        }
    }

    /** Light from above, all day, and lamps. */
    public PlaceLight(double daylightShare, Lamps lamps) {
        this(daylightShare, SkyView.OPEN, ShadeCloth.NONE, lamps);
    }

    /** The light of its days at that latitude, degrees, north positive. */
    public DailyLight at(double latitude) {
        return new DailyLight(this, latitude);
    }
}
