package kiver.core.promise;

import java.util.Optional;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;

/**
 * A site, or the same site under other cover, that may be offered instead.
 *
 * @param key by which the site is known
 * @param protection over the plants, where it is other than the site's own
 * @param outdoors when the crop may stand there
 */
public record SiteChoice(String key, Optional<Protection> protection, OutdoorSeason outdoors) {}
