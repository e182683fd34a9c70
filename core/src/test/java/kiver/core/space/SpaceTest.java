package kiver.core.space;

import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.Samples.kale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import kiver.core.Samples;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceSpan;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class SpaceTest {

    private static final Place BENCH =
            Samples.place(1, 5, new PlaceClimate.SetPoints(20, 18), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON);
    private static final Place FRAME = Samples.place(2, 5, new PlaceClimate.SetPoints(20, 18), PlaceUse.GROWING_ON);

    @Test
    void aFootprintHasNoHolesAndEndsWhenPlantsGo() {
        LocalDate sown = TODAY.plusDays(5);
        LocalDate goes = TODAY.plusDays(75);
        Path path = new Path(List.of(new Potting(2, 2)), 4, 12, Double.POSITIVE_INFINITY, 3);
        List<Stay> stays = new Footprint(path, WAY, List.of(1.0, 3.0))
                .from(Standing.sownAt(35), Samples.scenarios(kale(12)), goes);
        assertThat(stays.get(0).from()).isEqualTo(sown);
        for (int index = 1; index < stays.size(); index++) {
            assertThat(stays.get(index).from()).isEqualTo(stays.get(index - 1).until());
        }
        assertThat(stays).extracting(Stay::slots).containsExactly(1.0, 1.0, 3.0, 3.0);
        assertThat(stays)
                .extracting(Stay::place)
                .containsExactly(WAY.emergence(), WAY.growingOn(), WAY.growingOn(), WAY.hardening());
        assertThat(stays.get(3).until()).isEqualTo(goes.plusDays(1));
    }

    @Test
    void overflowIsNamedByDayAndBatch() {
        Map<Integer, List<Stay>> stays = Map.of(
                201, List.of(stay(1, 0, 10, 4)), 202, List.of(stay(1, 5, 15, 3)), 203, List.of(stay(2, 0, 30, 5)));
        Occupancy occupancy = Occupancy.of(List.of(BENCH, FRAME), stays, TODAY, 40);
        assertThat(occupancy.overflows())
                .containsExactly(
                        new Occupancy.Overflow(BENCH, TODAY.plusDays(5), TODAY.plusDays(10), 2, List.of(201, 202)));
        assertThat(occupancy.overfullness()).isEqualTo(5 * 2);
        assertThat(occupancy.free(BENCH.id(), TODAY, TODAY.plusDays(5))).isEqualTo(1);
        assertThat(occupancy.used(FRAME.id())[29]).isEqualTo(5);
        assertThat(occupancy.standingAt(BENCH.id(), TODAY.plusDays(7)))
                .containsExactly(new Occupancy.StandingThere(201, 4), new Occupancy.StandingThere(202, 3));
        assertThat(occupancy.standingAt(BENCH.id(), TODAY.plusDays(15))).isEmpty();
        assertThat(occupancy.used(FRAME.id())[30]).isZero();
        assertThat(occupancy.lackFor(List.of(stay(1, 12, 14, 2)))).isEmpty();
        assertThat(occupancy.lackFor(List.of(stay(2, 12, 14, 2))).orElseThrow().mostOver())
                .isEqualTo(2);
        Occupancy moved = occupancy.with(202, List.of(stay(1, 10, 20, 3)));
        assertThat(moved.overflows()).isEmpty();
        assertThat(occupancy.overflows()).hasSize(1);
    }

    @Test
    void overfullnessCountsEachDayByItself() {
        Occupancy uneven = Occupancy.of(
                List.of(BENCH, FRAME),
                Map.of(
                        201,
                        List.of(stay(1, 0, 10, 6)),
                        202,
                        List.of(stay(1, 4, 6, 3)),
                        203,
                        List.of(stay(2, 0, 40, 5))),
                TODAY,
                40);
        assertThat(uneven.overflows()).hasSize(1);
        assertThat(uneven.overfullness())
                .as("8 days of one too many, 2 of four")
                .isEqualTo(8 * 1 + 2 * 4);
    }

    @Test
    void assigningAllKeepsToTheRoomAndPrefersWhatSuits() {
        List<ToPlace> batches =
                List.of(wants(201, 3, 0, 20), wants(202, 3, 10, 30), wants(203, 2, 0, 30), wants(204, 2, 21, 40));
        Assignment assignment = assign(batches);
        assertThat(assignment.overflow()).isZero();
        // 201 with 203 on the bench leaves 202 for the frame, 204 has the bench again: one batch goes without.
        assertThat(assignment.cost()).isCloseTo(4 * 1 + 4, within(1e-9));
        assertThat(assignment.bound()).isLessThanOrEqualTo(assignment.total() + 1e-9);
        assertThat(assignment.stopped()).isFalse();
    }

    @Test
    void kinGrowOnTogetherWhereThatCostsNextToNothing() {
        Way frame = new Way(WAY.emergence(), FRAME.id(), WAY.hardening());
        Way bench = new Way(WAY.emergence(), BENCH.id(), WAY.hardening());
        assertThat(assign(List.of(
                                eitherWay(201, "kale", 1, bench, 5, frame),
                                eitherWay(202, "kale", 2.5, bench, 2, frame),
                                eitherWay(203, "leek", 5, bench, 2, frame)))
                        .chosen())
                .as("202 gives half a point to stand beside 201; the leek has no kin")
                .containsExactly(0, 0, 1);
        assertThat(assign(List.of(
                                eitherWay(201, "kale", 1, bench, 5, frame), eitherWay(202, "kale", 4, bench, 2, frame)))
                        .chosen())
                .as("two points are too many for company")
                .containsExactly(0, 1);
        assertThat(assign(List.of(eitherWay(201, "", 1, bench, 5, frame), eitherWay(202, "", 2.5, bench, 2, frame)))
                        .chosen())
                .as("no kin")
                .containsExactly(0, 1);
    }

    @Test
    void companyIsNotKeptWhereThereIsNoRoom() {
        Way frame = new Way(WAY.emergence(), FRAME.id(), WAY.hardening());
        Way bench = new Way(WAY.emergence(), BENCH.id(), WAY.hardening());
        List<ToPlace> batches = List.of(
                eitherWay(201, "kale", 1, bench, 9, frame),
                eitherWay(202, "kale", 2.5, bench, 2, frame),
                eitherWay(203, "leek", 1, bench, 9, frame));
        Assignment assignment = assign(batches);
        assertThat(assignment.overflow()).isZero();
        assertThat(assignment.chosen()).as("the bench of 5 holds two of 2").containsExactly(0, 1, 0);
    }

    @Test
    void nothingIsPlacedWhereThereIsNoPlaceYet() {
        Place glazedLater = new Place(
                BENCH.id(),
                BENCH.name(),
                1,
                BENCH.slots(),
                BENCH.climate(),
                BENCH.light(),
                false,
                BENCH.suits(),
                new PlaceSpan(Optional.of(TODAY.plusDays(10)), Optional.empty()));
        Assignment assignment = Assigner.assign(
                List.of(glazedLater, FRAME),
                List.of(wants(201, 3, 0, 9), wants(202, 3, 10, 20), wants(203, 2, 5, 15)),
                new SplittableRandom(1),
                share -> {},
                () -> false);
        assertThat(assignment.overflow()).isZero();
        assertThat(assignment.chosen())
                .as("the bench costs less, and only the second comes when it is there")
                .containsExactly(1, 0, 1);
        assertThat(assignment.bound()).isLessThanOrEqualTo(assignment.total() + 1e-9);
    }

    @Test
    void whatCannotFitIsCountedNotHidden() {
        Assignment assignment = assign(List.of(wants(201, 4, 0, 10), wants(202, 4, 0, 10), wants(203, 4, 0, 10)));
        assertThat(assignment.overflow()).isCloseTo(30, within(1e-9));
    }

    @Test
    void assigningStopsWhenAskedAndTellsHowFarItIs() {
        List<Double> told = new ArrayList<>();
        Assignment stopped = Assigner.assign(
                List.of(BENCH, FRAME),
                List.of(wants(201, 4, 0, 10), wants(202, 4, 0, 10), wants(203, 4, 0, 10)),
                new SplittableRandom(1),
                told::add,
                () -> true);
        assertThat(stopped.stopped()).isTrue();
        assertThat(stopped.chosen()).hasSize(3);
        assertThat(told).isNotEmpty().last().isEqualTo(1.0);
    }

    @Test
    void theBestCandidateSuitsTheCrop() {
        Suitability suitability = new Suitability(Samples.SEASON, kale(12), new Path(4, 7, 3));
        List<Candidate> candidates = suitability.candidates(TODAY.plusDays(70), TODAY, List.of(2.0));
        assertThat(candidates).hasSize(1);
        assertThat(candidates.get(0).way()).isEqualTo(WAY);
        assertThat(candidates.get(0).cost()).isBetween(2.0, 60.0);
        assertThat(candidates.get(0).stays()).extracting(Stay::slots).containsOnly(2.0);
        assertThat(suitability
                        .candidates(TODAY.plusDays(70), TODAY, List.of(5.0))
                        .get(0)
                        .stays())
                .as("what is kept is not the room of the one before")
                .extracting(Stay::slots)
                .containsOnly(5.0);
    }

    @Test
    void aStayNeedsADayAndRoom() {
        assertThatThrownBy(() -> stay(1, 5, 5, 2)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> stay(1, 5, 6, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new ToPlace(1, "", List.of())).hasMessageContaining("no way");
    }

    private static Assignment assign(List<ToPlace> batches) {
        return Assigner.assign(List.of(BENCH, FRAME), batches, new SplittableRandom(1), share -> {}, () -> false);
    }

    /** The bench suits it at a cost of 1, the frame at 5. */
    private static ToPlace wants(int batch, double slots, int from, int until) {
        return new ToPlace(
                batch,
                "",
                List.of(
                        new Candidate(WAY, 1, List.of(stay(1, from, until, slots))),
                        new Candidate(WAY, 5, List.of(stay(2, from, until, slots)))));
    }

    /** Two trays for ten days on the bench or in the frame, each at a cost; the cheaper is named first. */
    private static ToPlace eitherWay(int batch, String kin, double onBench, Way bench, double inFrame, Way frame) {
        return new ToPlace(
                batch,
                kin,
                List.of(
                        new Candidate(bench, onBench, List.of(stay(BENCH.id().number(), 0, 10, 2))),
                        new Candidate(frame, inFrame, List.of(stay(FRAME.id().number(), 0, 10, 2)))));
    }

    private static Stay stay(long place, int from, int until, double slots) {
        return new Stay(new PlaceId(place), TODAY.plusDays(from), TODAY.plusDays(until), slots);
    }
}
