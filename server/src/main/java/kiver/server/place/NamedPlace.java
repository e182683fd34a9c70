package kiver.server.place;

import kiver.core.place.Place;

/**
 * A place with what must be said there.
 *
 * @param place itself
 * @param caution the safety caution that applies there, or empty
 */
public record NamedPlace(Place place, String caution) {}
