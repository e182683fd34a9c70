package kiver.core.growth;

import kiver.core.place.PlaceId;

/**
 * The places on a batch's path.
 *
 * @param emergence where the seed lies
 * @param growingOn where seedlings make their leaves
 * @param hardening where they get used to the open
 */
public record Way(PlaceId emergence, PlaceId growingOn, PlaceId hardening) {}
