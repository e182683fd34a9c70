package kiver.core.crop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.TaughtPace;
import kiver.core.place.PlaceId;

/**
 * What all counts of leaves teach of each crop at each place: each level borrows from the one above until it has counts of its
 * own.
 *
 * <p>Reference: a normal hierarchy (Gelman et al. 2013, Bayesian Data Analysis, chapter 5) of nursery, crop and place: the
 * logarithm of the pace of a crop at a place is that of the nursery, plus what is the crop's own, plus what is the place's.
 * Together they deviate by 0.2 before anything is known. Since each batch hangs on one place of one crop, it is worked out
 * exactly by passing precisions up and down the tree.
 */
public final class LeafLessons {

    private static final double OF_THE_NURSERY = 0.10;
    private static final double OF_THE_CROP = 0.14;
    private static final double OF_THE_PLACE = 0.10;

    /** To the hundredth: what a further count changes by less leaves forecasts as they are. */
    private static final double STEP = 0.01;

    private static final PlaceId NOWHERE = new PlaceId(0);
    private static final int NOBODY = -1;

    private final Map<CropCode, Map<PlaceId, List<LeafTelling>>> told;
    private final Set<Integer> tellers;
    private final Map<CropCode, Normal> byCrop = new HashMap<>();
    private final Map<CropCode, TaughtPace> paces = new ConcurrentHashMap<>();

    /** Something normal, by its mean and variance; an infinite variance tells nothing. */
    private record Normal(double mean, double variance) {

        static final Normal NOTHING = new Normal(0, Double.POSITIVE_INFINITY);

        Normal and(Normal other) {
            double precision = 1 / variance + 1 / other.variance;
            return precision == 0
                    ? NOTHING
                    : new Normal((mean / variance + other.mean / other.variance) / precision, 1 / precision);
        }

        Normal across(double deviation) {
            return new Normal(mean, variance + deviation * deviation);
        }
    }

    /**
     * A lesson.
     *
     * @param log logarithm of the pace; positive is slower than the crop's figures say
     * @param deviation of it, 0 to 0.2
     * @param batches that told of this crop at this place, 0 or more
     */
    public record Lesson(double log, double deviation, int batches) {}

    public LeafLessons(List<LeafTelling> tellings) {
        told = tellings.stream()
                .collect(Collectors.groupingBy(LeafTelling::crop, Collectors.groupingBy(LeafTelling::place)));
        tellers = tellings.stream().map(LeafTelling::batch).collect(Collectors.toSet());
        told.forEach((crop, places) -> byCrop.put(crop, ofCrop(places, NOBODY)));
    }

    /** Whether nothing was counted yet. */
    public boolean isEmpty() {
        return told.isEmpty();
    }

    /** The places at which leaves of a crop were counted. */
    public Set<PlaceId> places(CropCode crop) {
        return told.getOrDefault(crop, Map.of()).keySet();
    }

    /** What is known of a crop at a place. */
    public Lesson at(CropCode crop, PlaceId place) {
        return at(crop, place, NOBODY);
    }

    /** A crop with what was taught of it. */
    public Crop taught(Crop crop) {
        return told.isEmpty() ? crop : with(crop, paces.computeIfAbsent(crop.code(), code -> pace(code, NOBODY)));
    }

    /** The same for a batch of it, whose own count is left out: it is told by that itself. */
    public Crop taught(Crop crop, int batch) {
        return tellers.contains(batch) ? with(crop, pace(crop.code(), batch)) : taught(crop);
    }

    private static Crop with(Crop crop, TaughtPace pace) {
        return pace.equals(TaughtPace.NOTHING) ? crop : crop.taught(pace);
    }

    private TaughtPace pace(CropCode crop, int without) {
        // One that nobody counts stands for all places of which nothing is known.
        double elsewhere = rounded(at(crop, NOWHERE, without).log());
        Map<PlaceId, Double> known = new HashMap<>();
        for (PlaceId place : places(crop)) {
            double here = rounded(at(crop, place, without).log());
            if (here != elsewhere) {
                known.put(place, here);
            }
        }
        return new TaughtPace(elsewhere, known);
    }

    private static double rounded(double log) {
        return Math.round(log / STEP) * STEP + 0.0;
    }

    private Lesson at(CropCode crop, PlaceId place, int without) {
        Normal nursery = new Normal(0, OF_THE_NURSERY * OF_THE_NURSERY);
        for (Map.Entry<CropCode, Normal> other : byCrop.entrySet()) {
            if (!other.getKey().equals(crop)) {
                nursery = nursery.and(other.getValue().across(OF_THE_CROP));
            }
        }
        Map<PlaceId, List<LeafTelling>> places = new HashMap<>(told.getOrDefault(crop, Map.of()));
        List<LeafTelling> here = places.containsKey(place) ? places.remove(place) : List.of();
        Normal known = nursery.across(OF_THE_CROP)
                .and(ofCrop(places, without))
                .across(OF_THE_PLACE)
                .and(ofPlace(here, without));
        return new Lesson(known.mean(), Math.sqrt(known.variance()), (int)
                here.stream().filter(each -> each.batch() != without).count());
    }

    /** What its places tell of a crop. */
    private static Normal ofCrop(Map<PlaceId, List<LeafTelling>> places, int without) {
        Normal known = Normal.NOTHING;
        for (List<LeafTelling> here : new ArrayList<>(places.values())) {
            known = known.and(ofPlace(here, without).across(OF_THE_PLACE));
        }
        return known;
    }

    /** What its batches tell of a crop at a place: each runs ahead or behind by itself, and was counted on a few plants. */
    private static Normal ofPlace(List<LeafTelling> tellings, int without) {
        double ofBatch = PaceSpread.BEFORE_ANY_COUNT.logDeviation();
        Normal known = Normal.NOTHING;
        for (LeafTelling telling : tellings) {
            if (telling.batch() != without) {
                known = known.and(
                        new Normal(telling.log(), ofBatch * ofBatch + telling.deviation() * telling.deviation()));
            }
        }
        return known;
    }
}
