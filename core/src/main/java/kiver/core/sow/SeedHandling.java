package kiver.core.sow;

import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.place.Place;

/** What hands must know when they sow a crop into a container, besides depth and light. */
public enum SeedHandling {
    /** So fine that a breath carries it: no fan, no heater, with a wet stick or mixed with sand. */
    FINE,
    /** It was to lie in water before. */
    SOAKED,
    /** Flat seed, set on edge so that water runs off. */
    ON_EDGE,
    /** So deep that the cells are filled low and topped up over the seed. */
    FILL_LOW,
    /** Deeper than the cell can give with room for roots. */
    CELL_TOO_SHALLOW,
    /** Mice eat it, and come into the place where it is to lie. */
    MICE,
    /** One seed gives several seedlings. */
    CLUSTER;

    /** Lighter seed than this is fine: g for a thousand; lettuce has about 1, celery 0.4. */
    private static final double FINE_BELOW = 0.7;

    /** Deeper seed than this share of the cell goes in before the cell is full. */
    private static final double LOW_FROM = 0.25;

    private static final double TOO_DEEP_FROM = 0.5;

    /**
     * What is to be known, in the order in which it matters to the hand.
     *
     * @param place where it is to come up
     */
    public static List<SeedHandling> of(Crop crop, Container container, Place place) {
        List<SeedHandling> handling = new ArrayList<>();
        double share = crop.seed().depth() / container.cellDepth();
        if (crop.seed().soakHours() > 0) {
            handling.add(SOAKED);
        }
        if (crop.seed().onEdge()) {
            handling.add(ON_EDGE);
        }
        if (crop.seed().thousandSeedWeight() < FINE_BELOW) {
            handling.add(FINE);
        }
        if (share > TOO_DEEP_FROM) {
            handling.add(CELL_TOO_SHALLOW);
        } else if (share > LOW_FROM) {
            handling.add(FILL_LOW);
        }
        if (crop.cells().seedlingsPerSeed() > 1) {
            handling.add(CLUSTER);
        }
        if (crop.seed().eatenByMice() && !place.keepsMiceOut()) {
            handling.add(MICE);
        }
        return List.copyOf(handling);
    }
}
