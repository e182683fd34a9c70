package kiver.core.learning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kiver.core.care.DryingLesson;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonAbout.Beside;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.LessonDecision;
import kiver.core.crop.LessonsInUse;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.Survival;
import kiver.core.crop.SurvivalLessons;
import org.jspecify.annotations.Nullable;

/**
 * What the nursery's own batches say otherwise than what plans go by.
 *
 * @param about what it is about
 * @param value that they say: a logarithm of a pace, or a share
 * @param deviation of it, standard
 * @param weight plants that it is worth, for survival; 0 otherwise
 * @param batches it rests on, 1 or more
 * @param inUse what plans go by now, in the same unit
 * @param atWork whether plans go by it already, without anybody having decided
 */
public record Proposal(
        LessonAbout about, double value, double deviation, double weight, int batches, double inUse, boolean atWork) {

    /** A pace is worth telling from one part in twenty on, as a logarithm. */
    private static final double PACE_WORTH_TELLING = 0.05;

    /** Plants in a hundred. */
    private static final double SHARE_WORTH_TELLING = 0.01;

    /** What rests on fewer batches may be those batches alone. */
    private static final int FEWEST_BATCHES = 2;

    /**
     * All that is worth telling, the largest difference first.
     *
     * @param emergence what counts of emergence taught
     * @param survival what batches that are over taught
     * @param drying what weighings taught
     * @param lessons what plans go by
     */
    public static List<Proposal> of(
            PaceLessons emergence, SurvivalLessons survival, List<DryingLesson> drying, LessonsInUse lessons) {
        List<Proposal> proposals = new ArrayList<>();
        emergence.crops().forEach(crop -> addPaces(proposals, Matter.EMERGENCE, emergence, crop, lessons));
        lessons.leaves().crops().forEach(crop -> addPaces(proposals, Matter.LEAVES, lessons.leaves(), crop, lessons));
        for (CropCode crop : survival.crops()) {
            Survival said = survival.of(crop);
            LessonAbout about = LessonAbout.of(Matter.SURVIVAL, crop);
            double inUse = inUse(lessons, about).orElse(Survival.USUAL.mean());
            if (survival.batches(crop) >= FEWEST_BATCHES
                    && Math.abs(said.mean() - settled(lessons.decided().get(about), inUse)) >= SHARE_WORTH_TELLING) {
                proposals.add(new Proposal(
                        about, said.mean(), said.deviation(), said.weight(), survival.batches(crop), inUse, false));
            }
        }
        drying.forEach(said -> addPace(
                proposals,
                LessonAbout.of(Matter.DRYING, said.crop()),
                new PaceLessons.Lesson(said.log(), said.deviation(), said.batches()),
                lessons));
        return proposals.stream()
                .sorted(Comparator.comparing((Proposal each) -> each.about().matter())
                        .thenComparing(each -> -Math.abs(each.value() - each.inUse())))
                .toList();
    }

    private static Optional<Double> inUse(LessonsInUse lessons, LessonAbout about) {
        return Optional.ofNullable(lessons.decided().get(about))
                .filter(LessonDecision::taken)
                .map(LessonDecision::value);
    }

    /** At a place of which nothing was decided plans go by what was decided of the crop. */
    private static Optional<Double> inUseOfCrop(LessonsInUse lessons, LessonAbout about) {
        return about.beside() == Beside.PLACE
                ? inUse(lessons, LessonAbout.of(about.matter(), about.crop()))
                : Optional.empty();
    }

    /** What was turned down is not proposed again before it says something else. */
    private static double settled(@Nullable LessonDecision decision, double inUse) {
        return decision == null ? inUse : decision.value();
    }

    /**
     * What was counted at one place alone is told of that place. Where several were, the crop is told first, and a place only
     * where it differs from that.
     */
    private static void addPaces(
            List<Proposal> proposals, Matter matter, PaceLessons told, CropCode crop, LessonsInUse lessons) {
        PaceLessons.Lesson ofCrop = told.ofCrop(crop);
        boolean atOnePlace = told.places(crop).size() == 1;
        if (!atOnePlace) {
            addPace(proposals, LessonAbout.of(matter, crop), ofCrop, lessons);
        }
        told.places(crop).forEach(place -> {
            PaceLessons.Lesson here = told.at(crop, place);
            LessonAbout about = new LessonAbout(matter, crop, Beside.PLACE, place.number());
            if (atOnePlace
                    || Math.abs(here.log() - ofCrop.log()) >= PACE_WORTH_TELLING
                    || lessons.decided().containsKey(about)) {
                addPace(proposals, about, here, lessons);
            }
        });
        addOwn(proposals, matter, told, crop, lessons, Beside.VARIETY, told.varieties(crop));
        addOwn(proposals, matter, told, crop, lessons, Beside.LOT, told.lots(crop));
    }

    private static void addOwn(
            List<Proposal> proposals,
            Matter matter,
            PaceLessons told,
            CropCode crop,
            LessonsInUse lessons,
            Beside beside,
            Set<Long> numbers) {
        PaceLessons.Level level = beside == Beside.LOT ? PaceLessons.Level.LOT : PaceLessons.Level.VARIETY;
        for (long number : numbers) {
            addPace(proposals, new LessonAbout(matter, crop, beside, number), told.own(crop, level, number), lessons);
        }
    }

    private static void addPace(
            List<Proposal> proposals, LessonAbout about, PaceLessons.Lesson lesson, LessonsInUse lessons) {
        LessonDecision decision = lessons.decided().get(about);
        boolean atWork = about.matter().isAtWorkAtOnce() && decision == null;
        double inUse = atWork
                ? lesson.log()
                : inUse(lessons, about).or(() -> inUseOfCrop(lessons, about)).orElse(0.0);
        double difference = Math.abs(lesson.log() - (atWork ? 0 : settled(decision, inUse)));
        if (lesson.batches() >= FEWEST_BATCHES && difference >= PACE_WORTH_TELLING) {
            proposals.add(new Proposal(about, lesson.log(), lesson.deviation(), 0, lesson.batches(), inUse, atWork));
        }
    }
}
