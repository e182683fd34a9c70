package kiver.core.crop;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import kiver.core.crop.LessonAbout.Beside;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.growth.Paces;
import kiver.core.growth.TaughtPace;
import kiver.core.place.PlaceId;

/**
 * The lessons that plans and forecasts go by. What counts of leaves and weighings teach is gone by at once, unless somebody decided
 * otherwise; all else only once somebody took it.
 *
 * @param leaves what counts of leaves taught
 * @param decided the last decision about each lesson
 */
public record LessonsInUse(PaceLessons leaves, Map<LessonAbout, LessonDecision> decided) {

    private static final int NO_BATCH = -1;

    public LessonsInUse {
        decided = Map.copyOf(decided);
    }

    /** A crop of some descent with what was learnt. */
    public Crop learnt(Crop crop, Descent descent) {
        return learnt(crop, descent, NO_BATCH);
    }

    /** The same for a batch of it, whose own count of leaves is left out: it is told by that itself. */
    public Crop learnt(Crop crop, Descent descent, int batch) {
        if (leaves.isEmpty() && decided.isEmpty()) {
            return crop;
        }
        TaughtPace growing = leaves.isEmpty() ? TaughtPace.NOTHING : leaves.paceWithout(crop.code(), batch);
        return crop.taught(
                decided(Matter.EMERGENCE, crop.code(), TaughtPace.NOTHING),
                decided(Matter.LEAVES, crop.code(), growing),
                new Learnt(
                        Paces.of(own(Matter.EMERGENCE, descent, batch), own(Matter.LEAVES, descent, batch)),
                        taken(LessonAbout.of(Matter.SURVIVAL, crop.code()))
                                .map(decision -> new Survival(decision.value(), decision.weight()))
                                .orElse(Survival.USUAL)));
    }

    /** Logarithm of how fast trays of a crop dry, where somebody decided it; 0 as worked out. */
    public Optional<Double> drying(CropCode crop) {
        return value(LessonAbout.of(Matter.DRYING, crop));
    }

    private Optional<LessonDecision> taken(LessonAbout about) {
        return Optional.ofNullable(decided.get(about)).filter(LessonDecision::taken);
    }

    /** Leaves and drying that were turned down go by the figures; all else that was turned down stays as it was. */
    private Optional<Double> value(LessonAbout about) {
        return Optional.ofNullable(decided.get(about))
                .filter(each -> each.taken() || about.matter().isAtWorkAtOnce())
                .map(each -> each.taken() ? each.value() : 0);
    }

    private TaughtPace decided(Matter matter, CropCode crop, TaughtPace otherwise) {
        Map<PlaceId, Double> at = new HashMap<>(otherwise.at());
        decided.keySet().forEach(about -> {
            if (about.matter() == matter && about.crop().equals(crop) && about.beside() == Beside.PLACE) {
                value(about).ifPresent(log -> at.put(new PlaceId(about.number()), log));
            }
        });
        return new TaughtPace(value(LessonAbout.of(matter, crop)).orElse(otherwise.elsewhere()), at);
    }

    /** Logarithm of the pace of a variety and of a lot beside their crop. */
    private double own(Matter matter, Descent descent, int batch) {
        Descent ofVariety = new Descent(descent.crop(), descent.variety(), Descent.ANY);
        Descent ofLot = new Descent(descent.crop(), Descent.ANY, descent.lot());
        return own(matter, ofVariety, Beside.VARIETY, descent.variety(), batch)
                + own(matter, ofLot, Beside.LOT, descent.lot(), batch);
    }

    private double own(Matter matter, Descent descent, Beside beside, long number, int batch) {
        if (number == Descent.ANY) {
            return 0;
        }
        return value(new LessonAbout(matter, descent.crop(), beside, number))
                .orElseGet(
                        () -> matter == Matter.LEAVES && !leaves.isEmpty() ? leaves.ownWithout(descent, batch) : 0.0);
    }
}
