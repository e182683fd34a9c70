package kiver.core.growth;

import java.util.Map;
import kiver.core.place.PlaceId;

/**
 * What counts have taught this nursery of how fast a crop goes through a stage here, beside the crop's own figures.
 *
 * @param elsewhere logarithm of the pace where nothing was counted at the place itself; positive is slower
 * @param at the same at places of which counts told
 */
public record TaughtPace(double elsewhere, Map<PlaceId, Double> at) {

    /** Nothing was counted yet. */
    public static final TaughtPace NOTHING = new TaughtPace(0, Map.of());

    public TaughtPace {
        at = Map.copyOf(at);
    }

    /** Times as long as the crop's figures say that it takes at a place; above 1 is slower. */
    public double longerAt(PlaceId place) {
        return Math.exp(at.getOrDefault(place, elsewhere));
    }
}
