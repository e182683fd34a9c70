package kiver.core.promise;

import kiver.core.order.OutdoorSeason;

/**
 * A site, or the same site under other cover, that may be offered instead.
 *
 * @param key by which it is known
 * @param words for example "under a low cover at Upper terrace"
 * @param outdoors when the crop may stand there
 */
public record SiteChoice(String key, String words, OutdoorSeason outdoors) {}
