package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import kiver.core.Samples;
import kiver.core.crop.LessonAbout.Beside;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

class LessonsInUseTest {

    private static final Crop KALE = Samples.kale(60);
    private static final PlaceId HOUSE = new PlaceId(1);
    private static final PlaceId SHELF = new PlaceId(2);
    private static final Descent SISTER = new Descent(KALE.code(), 12, 103);
    private static final PaceLessons NO_LEAVES = new PaceLessons(List.of());
    private static final PaceLessons SLOW_LEAVES = new PaceLessons(List.of(
            new PaceTelling(1, SISTER, HOUSE, 0.3, 0.1),
            new PaceTelling(2, SISTER, HOUSE, 0.25, 0.1),
            new PaceTelling(3, SISTER, HOUSE, 0.2, 0.1)));

    private static LessonAbout about(Matter matter, Beside beside, long number) {
        return new LessonAbout(matter, KALE.code(), beside, number);
    }

    @Test
    void nothingLearntLeavesACropAsItIs() {
        assertThat(new LessonsInUse(NO_LEAVES, Map.of()).learnt(KALE, SISTER)).isSameAs(KALE);
    }

    @Test
    void whatIsTakenIsGoneByAtItsLevel() {
        Crop crop = new LessonsInUse(
                        NO_LEAVES,
                        Map.of(
                                LessonAbout.of(Matter.EMERGENCE, KALE.code()),
                                new LessonDecision(true, 0.1, 0),
                                about(Matter.EMERGENCE, Beside.PLACE, SHELF.number()),
                                new LessonDecision(true, 0.3, 0),
                                about(Matter.EMERGENCE, Beside.VARIETY, 12),
                                new LessonDecision(true, 0.05, 0),
                                about(Matter.EMERGENCE, Beside.LOT, 103),
                                new LessonDecision(true, -0.02, 0),
                                LessonAbout.of(Matter.SURVIVAL, KALE.code()),
                                new LessonDecision(true, 0.88, 90)))
                .learnt(KALE, SISTER);
        assertThat(crop.emergence().taught().longerAt(SHELF)).isCloseTo(Math.exp(0.3), within(1e-9));
        assertThat(crop.emergence().taught().longerAt(HOUSE)).isCloseTo(Math.exp(0.1), within(1e-9));
        assertThat(crop.learnt().paces().emergence().logMean()).isCloseTo(0.03, within(1e-9));
        assertThat(crop.learnt().living()).isEqualTo(new Survival(0.88, 90));
        assertThat(crop.leaves()).isEqualTo(KALE.leaves());
    }

    @Test
    void whatIsTurnedDownAtAPlaceLeavesItWithTheCrop() {
        Crop crop = new LessonsInUse(
                        NO_LEAVES,
                        Map.of(
                                LessonAbout.of(Matter.EMERGENCE, KALE.code()),
                                new LessonDecision(true, 0.1, 0),
                                about(Matter.EMERGENCE, Beside.PLACE, SHELF.number()),
                                new LessonDecision(false, 0.3, 0)))
                .learnt(KALE, SISTER);
        assertThat(crop.emergence().taught().longerAt(SHELF)).isCloseTo(Math.exp(0.1), within(1e-9));
    }

    @Test
    void leavesAreGoneByAtOnceUntilSomebodyDecides() {
        Crop atOnce = new LessonsInUse(SLOW_LEAVES, Map.of()).learnt(KALE, SISTER);
        assertThat(atOnce.leaves().taught().longerAt(HOUSE)).isGreaterThan(1.1);
        assertThat(atOnce.learnt().paces().leaves().logMean()).isPositive();

        Crop refused = new LessonsInUse(
                        SLOW_LEAVES,
                        Map.of(
                                about(Matter.LEAVES, Beside.PLACE, HOUSE.number()),
                                new LessonDecision(false, 0.2, 0),
                                about(Matter.LEAVES, Beside.VARIETY, 12),
                                new LessonDecision(false, 0.1, 0)))
                .learnt(KALE, SISTER);
        assertThat(refused.leaves().taught().longerAt(HOUSE)).isEqualTo(1);
        assertThat(refused.leaves().taught().longerAt(SHELF))
                .isEqualTo(atOnce.leaves().taught().longerAt(SHELF));
        assertThat(refused.learnt().paces().leaves().logMean())
                .as("the lot's own stays")
                .isBetween(0.0, atOnce.learnt().paces().leaves().logMean());

        Crop pinned = new LessonsInUse(
                        SLOW_LEAVES,
                        Map.of(LessonAbout.of(Matter.LEAVES, KALE.code()), new LessonDecision(true, 0.07, 0)))
                .learnt(KALE, SISTER);
        assertThat(pinned.leaves().taught().longerAt(SHELF)).isCloseTo(Math.exp(0.07), within(1e-9));
    }

    @Test
    void refusesLessonsOfNothing() {
        assertThatThrownBy(() -> about(Matter.EMERGENCE, Beside.PLACE, 0)).hasMessageContaining("number");
        assertThatThrownBy(() -> about(Matter.EMERGENCE, Beside.CROP, 4)).hasMessageContaining("none");
        assertThatThrownBy(() -> about(Matter.SURVIVAL, Beside.LOT, 4)).hasMessageContaining("crops alone");
        assertThatThrownBy(() -> new LessonDecision(true, Double.NaN, 0)).hasMessageContaining("value");
    }
}
