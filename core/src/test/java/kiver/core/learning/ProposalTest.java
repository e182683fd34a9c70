package kiver.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import kiver.core.care.DryingLesson;
import kiver.core.care.DryingPace;
import kiver.core.crop.CropCode;
import kiver.core.crop.Descent;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonAbout.Beside;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.LessonDecision;
import kiver.core.crop.LessonsInUse;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PaceTelling;
import kiver.core.crop.SurvivalLessons;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

class ProposalTest {

    private static final CropCode PEPPER = new CropCode("pepper");
    private static final PlaceId MAT = new PlaceId(4);
    private static final PaceLessons NOTHING = new PaceLessons(List.of());
    private static final SurvivalLessons NONE_OVER = new SurvivalLessons(List.of());
    private static final PlaceId SHELF = new PlaceId(5);
    private static final LessonAbout PEPPERS_COME = LessonAbout.of(Matter.EMERGENCE, PEPPER);
    private static final LessonAbout ON_THE_MAT = new LessonAbout(Matter.EMERGENCE, PEPPER, Beside.PLACE, MAT.number());

    private static PaceLessons slow(double log, int batches) {
        return new PaceLessons(java.util.stream.IntStream.rangeClosed(1, batches)
                .mapToObj(batch -> new PaceTelling(batch, Descent.of(PEPPER), MAT, log, 0.08))
                .toList());
    }

    private static List<Proposal> proposals(PaceLessons emergence, Map<LessonAbout, LessonDecision> decided) {
        return Proposal.of(emergence, NONE_OVER, List.of(), new LessonsInUse(NOTHING, decided));
    }

    @Test
    void whatDiffersIsProposedWithWhatItRestsOn() {
        List<Proposal> proposals = proposals(slow(0.25, 9), Map.of());
        assertThat(proposals).extracting(Proposal::about).containsExactly(ON_THE_MAT);
        Proposal crop = proposals.get(0);
        assertThat(crop.batches()).isEqualTo(9);
        assertThat(crop.value()).isBetween(0.05, 0.25);
        assertThat(crop.inUse()).isZero();
        assertThat(crop.atWork()).isFalse();
    }

    @Test
    void whatHoldsAtSeveralPlacesIsProposedOfTheCrop() {
        List<PaceTelling> told = new java.util.ArrayList<>();
        for (int batch = 1; batch <= 6; batch++) {
            told.add(new PaceTelling(batch, Descent.of(PEPPER), batch % 2 == 0 ? MAT : SHELF, 0.3, 0.08));
        }
        assertThat(proposals(new PaceLessons(told), Map.of()))
                .extracting(Proposal::about)
                .containsExactly(PEPPERS_COME);
    }

    @Test
    void oneBatchOrASmallDifferenceIsNotTold() {
        assertThat(proposals(slow(0.4, 1), Map.of())).isEmpty();
        assertThat(proposals(slow(0.04, 9), Map.of())).isEmpty();
    }

    @Test
    void whatIsTakenOrTurnedDownIsNotToldAgainUntilItSaysSomethingElse() {
        double here = slow(0.25, 9).at(PEPPER, MAT).log();
        for (boolean taken : List.of(true, false)) {
            Map<LessonAbout, LessonDecision> decided = Map.of(ON_THE_MAT, new LessonDecision(taken, here, 0));
            assertThat(proposals(slow(0.25, 9), decided)).isEmpty();
            assertThat(proposals(slow(0.6, 9), decided)).isNotEmpty();
        }
    }

    @Test
    void aPlaceGoesByWhatWasTakenOfItsCrop() {
        assertThat(proposals(slow(0.5, 9), Map.of(PEPPERS_COME, new LessonDecision(true, 0.1, 0))))
                .singleElement()
                .satisfies(each -> assertThat(each.inUse()).isEqualTo(0.1));
    }

    @Test
    void leavesAreAtWorkAlready() {
        List<Proposal> proposals =
                Proposal.of(NOTHING, NONE_OVER, List.of(), new LessonsInUse(slow(-0.3, 5), Map.of()));
        assertThat(proposals).isNotEmpty().allMatch(Proposal::atWork).allMatch(each -> each.inUse() == each.value());
    }

    @Test
    void survivalIsProposedFromTwoBatchesOn() {
        SurvivalLessons.LivedOn poor = new SurvivalLessons.LivedOn(PEPPER, 200, 150);
        LessonsInUse nothing = new LessonsInUse(NOTHING, Map.of());
        assertThat(Proposal.of(NOTHING, new SurvivalLessons(List.of(poor)), List.of(), nothing))
                .isEmpty();
        List<Proposal> proposals = Proposal.of(NOTHING, new SurvivalLessons(List.of(poor, poor)), List.of(), nothing);
        assertThat(proposals).singleElement().satisfies(each -> {
            assertThat(each.value()).isBetween(0.75, 0.94);
            assertThat(each.weight()).isGreaterThan(60);
            assertThat(each.inUse()).isEqualTo(0.95);
        });
    }

    @Test
    void dryingIsAtWorkUntilItIsTurnedDownOrHeld() {
        List<DryingLesson> weighed = List.of(new DryingLesson(PEPPER, Math.log(1.4), 0.1, 3));
        Proposal said = Proposal.of(NOTHING, NONE_OVER, weighed, new LessonsInUse(NOTHING, Map.of()))
                .get(0);
        assertThat(said.atWork()).isTrue();
        assertThat(said.value()).isEqualTo(Math.log(1.4));
        LessonAbout about = LessonAbout.of(LessonAbout.Matter.DRYING, PEPPER);
        LessonsInUse turnedDown = new LessonsInUse(NOTHING, Map.of(about, new LessonDecision(false, said.value(), 0)));
        assertThat(turnedDown.drying(PEPPER)).contains(0.0);
        assertThat(Proposal.of(NOTHING, NONE_OVER, weighed, turnedDown)).isEmpty();
        LessonsInUse held = new LessonsInUse(NOTHING, Map.of(about, new LessonDecision(true, said.value(), 0)));
        assertThat(held.drying(PEPPER)).contains(said.value());
        assertThat(DryingLesson.held(said.value()).factor()).isEqualTo(1.4);
        assertThat(new LessonsInUse(NOTHING, Map.of()).drying(PEPPER)).isEmpty();
    }

    @Test
    void whatWasWeighedMoreSurelyCountsForMore() {
        DryingLesson both = DryingLesson.of(PEPPER, List.of(new DryingPace(1.5, 0.1), new DryingPace(1, 0.2)), 2);
        // Precisions 100 and 25.
        assertThat(both.log()).isCloseTo(Math.log(1.5) * 0.8, within(1e-12));
        assertThat(both.deviation()).isCloseTo(1 / Math.sqrt(125), within(1e-12));
        assertThatThrownBy(() -> new LessonAbout(LessonAbout.Matter.DRYING, PEPPER, LessonAbout.Beside.PLACE, 2))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
