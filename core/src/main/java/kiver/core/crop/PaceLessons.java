package kiver.core.crop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.growth.NormalHierarchy;
import kiver.core.growth.NormalHierarchy.Normal;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.TaughtPace;
import kiver.core.place.PlaceId;

/**
 * What all counts teach of how fast crops go through a stage: each level borrows from the one above until it has counts of its
 * own.
 *
 * <p>The logarithm of the pace of a batch is the nursery's, plus what is the crop's own, the place's, the variety's and the
 * lot's. Before anything is known a crop at a stage deviates by 0.2, with what is the nursery's in it. Crops share no more than
 * the nursery, so each is worked out
 * by itself, exactly ({@link NormalHierarchy}), beside what the others tell of the nursery.
 */
public final class PaceLessons {

    /** To the hundredth: what a further count changes by less leaves forecasts as they are. */
    private static final double STEP = 0.01;

    private static final PlaceId NOWHERE = new PlaceId(0);
    private static final int NOBODY = -1;
    private static final Effect NURSERY = new Effect(Level.NURSERY, 0);
    private static final Effect CROP = new Effect(Level.CROP, 0);

    private final Map<CropCode, List<PaceTelling>> told;
    private final Map<CropCode, Normal> fromCrop = new HashMap<>();
    private final Map<CropCode, NormalHierarchy<Effect>> known = new ConcurrentHashMap<>();
    private final Map<CropCode, TaughtPace> paces = new ConcurrentHashMap<>();

    /** What paces differ by, each with its standard deviation before anything is counted. */
    public enum Level {
        NURSERY(0.08),
        CROP(0.18),
        PLACE(0.09),
        VARIETY(0.08),
        LOT(0.07);

        private final double deviation;

        Level(double deviation) {
            this.deviation = deviation;
        }

        /** Standard deviation of the logarithm of pace. */
        public double deviation() {
            return deviation;
        }

        Normal before() {
            return new Normal(0, deviation * deviation);
        }
    }

    private record Effect(Level level, long number) {}

    /**
     * A lesson.
     *
     * @param log logarithm of the pace; positive is slower
     * @param deviation of it, 0 to 0.2
     * @param batches that told of just this, 0 or more
     */
    public record Lesson(double log, double deviation, int batches) {}

    public PaceLessons(List<PaceTelling> tellings) {
        told = tellings.stream()
                .collect(Collectors.groupingBy(telling -> telling.descent().crop()));
        told.forEach((crop, here) -> {
            Normal alone = hierarchy(here, Level.NURSERY.before()).of(List.of(NURSERY));
            double precision = 1 / alone.variance() - 1 / Level.NURSERY.before().variance();
            if (precision > 0) {
                fromCrop.put(crop, new Normal(alone.mean() / alone.variance() / precision, 1 / precision));
            }
        });
    }

    /** Whether nothing was counted yet. */
    public boolean isEmpty() {
        return told.isEmpty();
    }

    /** The crops of which something was counted. */
    public Set<CropCode> crops() {
        return told.keySet();
    }

    /** The places at which something of a crop was counted. */
    public Set<PlaceId> places(CropCode crop) {
        return told(crop).stream().map(PaceTelling::place).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The varieties of a crop of which something was counted, one in particular each. */
    public Set<Long> varieties(CropCode crop) {
        return numbers(crop, Level.VARIETY);
    }

    /** The lots of a crop of which something was counted. */
    public Set<Long> lots(CropCode crop) {
        return numbers(crop, Level.LOT);
    }

    private Set<Long> numbers(CropCode crop, Level level) {
        return told(crop).stream()
                .map(telling -> level == Level.LOT
                        ? telling.descent().lot()
                        : telling.descent().variety())
                .filter(number -> number != Descent.ANY)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** What is known of a crop at places where nothing of it was counted. */
    public Lesson ofCrop(CropCode crop) {
        return lesson(at(crop, NOWHERE, NOBODY), told(crop).size());
    }

    /** What is known of a crop at a place, whatever its variety. */
    public Lesson at(CropCode crop, PlaceId place) {
        return lesson(
                at(crop, place, NOBODY),
                told(crop).stream().filter(each -> each.place().equals(place)).count());
    }

    /** What is known of a variety or of a lot beside its crop. */
    public Lesson own(CropCode crop, Level level, long number) {
        Effect effect = new Effect(level, number);
        return lesson(
                sum(crop, List.of(effect), NOBODY),
                told(crop).stream()
                        .filter(each -> effects(each).contains(effect))
                        .count());
    }

    private static Lesson lesson(Normal normal, long batches) {
        return new Lesson(normal.mean(), normal.deviation(), (int) batches);
    }

    /** The pace of a crop at each place. */
    public TaughtPace pace(CropCode crop) {
        return paces.computeIfAbsent(crop, code -> pace(code, NOBODY));
    }

    /** The same, but for what a batch told itself. */
    public TaughtPace paceWithout(CropCode crop, int batch) {
        return index(crop, batch).isPresent() ? pace(crop, batch) : pace(crop);
    }

    /** Logarithm of the pace of a variety and lot beside its crop, but for what a batch told itself. */
    public double ownWithout(Descent descent, int batch) {
        List<Effect> own = new ArrayList<>();
        if (descent.variety() != Descent.ANY) {
            own.add(new Effect(Level.VARIETY, descent.variety()));
        }
        if (descent.lot() != Descent.ANY) {
            own.add(new Effect(Level.LOT, descent.lot()));
        }
        return rounded(sum(descent.crop(), own, batch).mean());
    }

    /** The same with what all batches told. */
    public double own(Descent descent) {
        return ownWithout(descent, NOBODY);
    }

    private TaughtPace pace(CropCode crop, int without) {
        // One at which nobody counts stands for all places of which nothing is known.
        double elsewhere = rounded(at(crop, NOWHERE, without).mean());
        Map<PlaceId, Double> here = new HashMap<>();
        for (PlaceId place : places(crop)) {
            double log = rounded(at(crop, place, without).mean());
            if (log != elsewhere) {
                here.put(place, log);
            }
        }
        return new TaughtPace(elsewhere, here);
    }

    private static double rounded(double log) {
        return Math.round(log / STEP) * STEP + 0.0;
    }

    private Normal at(CropCode crop, PlaceId place, int without) {
        return sum(crop, List.of(NURSERY, CROP, new Effect(Level.PLACE, place.number())), without);
    }

    /** An effect of which nothing was told is added as it is before anything is counted. */
    private Normal sum(CropCode crop, List<Effect> effects, int without) {
        Set<Effect> toldOf = told(crop).stream()
                .flatMap(telling -> effects(telling).stream())
                .collect(Collectors.toSet());
        toldOf.addAll(List.of(NURSERY, CROP));
        List<Effect> seen = effects.stream().filter(toldOf::contains).toList();
        NormalHierarchy<Effect> hierarchy =
                known.computeIfAbsent(crop, code -> hierarchy(told(code), nurseryWithout(code)));
        OptionalInt left = index(crop, without);
        Normal sum = left.isPresent() ? hierarchy.without(left.getAsInt(), seen) : hierarchy.of(seen);
        for (Effect effect : effects) {
            sum = toldOf.contains(effect) ? sum : sum.plus(effect.level().before());
        }
        return sum;
    }

    private OptionalInt index(CropCode crop, int batch) {
        List<PaceTelling> here = told(crop);
        return batch == NOBODY
                ? OptionalInt.empty()
                : IntStream.range(0, here.size())
                        .filter(each -> here.get(each).batch() == batch)
                        .findFirst();
    }

    /** What was told of a crop. */
    public List<PaceTelling> told(CropCode crop) {
        return told.getOrDefault(crop, List.of());
    }

    /** What is known of the nursery by all crops but one. */
    private Normal nurseryWithout(CropCode crop) {
        double precision = 1 / Level.NURSERY.before().variance();
        double pull = 0;
        for (Map.Entry<CropCode, Normal> other : fromCrop.entrySet()) {
            if (!other.getKey().equals(crop)) {
                precision += 1 / other.getValue().variance();
                pull += other.getValue().mean() / other.getValue().variance();
            }
        }
        return new Normal(pull / precision, 1 / precision);
    }

    private static NormalHierarchy<Effect> hierarchy(List<PaceTelling> tellings, Normal nursery) {
        Map<Effect, Normal> before = new HashMap<>(Map.of(NURSERY, nursery, CROP, Level.CROP.before()));
        List<NormalHierarchy.Seen<Effect>> seen = new ArrayList<>();
        double ofBatch = PaceSpread.BEFORE_ANY_COUNT.logDeviation();
        for (PaceTelling telling : tellings) {
            List<Effect> effects = effects(telling);
            effects.forEach(effect -> before.putIfAbsent(effect, effect.level().before()));
            seen.add(new NormalHierarchy.Seen<>(
                    effects, telling.log(), ofBatch * ofBatch + telling.deviation() * telling.deviation()));
        }
        return new NormalHierarchy<>(before, seen);
    }

    private static List<Effect> effects(PaceTelling telling) {
        List<Effect> effects = new ArrayList<>(
                List.of(NURSERY, CROP, new Effect(Level.PLACE, telling.place().number())));
        if (telling.descent().variety() != Descent.ANY) {
            effects.add(new Effect(Level.VARIETY, telling.descent().variety()));
        }
        if (telling.descent().lot() != Descent.ANY) {
            effects.add(new Effect(Level.LOT, telling.descent().lot()));
        }
        return effects;
    }
}
