package kiver.core.place;

/**
 * Identifies a place within the nursery.
 *
 * @param number 1 or more
 */
public record PlaceId(long number) {}
