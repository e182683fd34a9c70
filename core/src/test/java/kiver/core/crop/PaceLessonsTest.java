package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.Samples;
import kiver.core.growth.TaughtPace;
import kiver.core.place.PlaceId;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;

class PaceLessonsTest {

    private static final CropCode KALE = Samples.kale(60).code();
    private static final CropCode TOMATO = new CropCode("tomato");
    private static final PlaceId HOUSE = new PlaceId(1);
    private static final PlaceId SHELF = new PlaceId(2);
    private static final long SLOW_SISTER = 12;

    private static PaceTelling telling(int batch, CropCode crop, PlaceId place, double log) {
        return new PaceTelling(batch, Descent.of(crop), place, log, 0.12);
    }

    private static PaceTelling of(int batch, long variety, long lot, PlaceId place, double log) {
        return new PaceTelling(batch, new Descent(KALE, variety, lot), place, log, 0.12);
    }

    private static final List<PaceTelling> TOLD = List.of(
            telling(1, KALE, HOUSE, 0.20),
            telling(2, KALE, HOUSE, 0.12),
            telling(3, KALE, SHELF, -0.05),
            telling(4, TOMATO, SHELF, 0.30),
            telling(5, new CropCode("leek"), new PlaceId(3), 0.02));

    private static final List<PaceTelling> OF_SISTERS = List.of(
            of(1, 11, 101, HOUSE, 0.02),
            of(2, 11, 102, SHELF, -0.03),
            of(3, SLOW_SISTER, 103, HOUSE, 0.31),
            of(4, SLOW_SISTER, 103, SHELF, 0.24),
            of(5, SLOW_SISTER, 104, HOUSE, 0.20),
            telling(6, TOMATO, SHELF, 0.10));

    /** The same by the covariances of all tellings at once. */
    private static double byCovariances(List<PaceTelling> told, PaceTelling asked) {
        RealMatrix between = new Array2DRowRealMatrix(told.size(), told.size());
        RealVector toTarget = new ArrayRealVector(told.size());
        RealVector seen = new ArrayRealVector(told.size());
        for (int row = 0; row < told.size(); row++) {
            PaceTelling one = told.get(row);
            seen.setEntry(row, one.log());
            toTarget.setEntry(row, shared(one, asked));
            for (int column = 0; column < told.size(); column++) {
                double own = row == column ? 0.15 * 0.15 + one.deviation() * one.deviation() : 0;
                between.setEntry(row, column, own + shared(one, told.get(column)));
            }
        }
        return toTarget.dotProduct(new LUDecomposition(between).getSolver().solve(seen));
    }

    private static double shared(PaceTelling one, PaceTelling other) {
        double same = 0.08 * 0.08;
        if (one.descent().crop().equals(other.descent().crop())) {
            same += 0.18 * 0.18;
            same += one.place().equals(other.place()) ? 0.09 * 0.09 : 0;
            same += isSame(one.descent().variety(), other.descent().variety()) ? 0.08 * 0.08 : 0;
            same += isSame(one.descent().lot(), other.descent().lot()) ? 0.07 * 0.07 : 0;
        }
        return same;
    }

    private static boolean isSame(long number, long other) {
        return number != Descent.ANY && number == other;
    }

    @Test
    void theLevelsSayWhatAllCovariancesAtOnceSay() {
        PaceLessons lessons = new PaceLessons(TOLD);
        for (CropCode crop : List.of(KALE, TOMATO, new CropCode("never counted"))) {
            for (PlaceId place : List.of(HOUSE, SHELF, new PlaceId(9))) {
                assertThat(lessons.at(crop, place).log())
                        .as(crop.written() + " at " + place.number())
                        .isCloseTo(byCovariances(TOLD, telling(9, crop, place, 0)), within(1e-9));
            }
        }
    }

    @Test
    void whatIsAVarietysOwnIsToldApartFromItsPlaceAndLot() {
        PaceLessons lessons = new PaceLessons(OF_SISTERS);
        for (long variety : List.of(11L, SLOW_SISTER)) {
            PaceTelling asked = of(9, variety, Descent.ANY, HOUSE, 0);
            assertThat(lessons.at(KALE, HOUSE).log()
                            + lessons.own(KALE, PaceLessons.Level.VARIETY, variety)
                                    .log())
                    .isCloseTo(byCovariances(OF_SISTERS, asked), within(1e-9));
        }
        PaceLessons.Lesson slow = lessons.own(KALE, PaceLessons.Level.VARIETY, SLOW_SISTER);
        assertThat(slow.batches()).isEqualTo(3);
        assertThat(slow.log()).isGreaterThan(0.04);
        assertThat(lessons.own(KALE, PaceLessons.Level.VARIETY, 11).log()).isNegative();
        assertThat(lessons.own(new Descent(KALE, SLOW_SISTER, 103)))
                .isGreaterThan(lessons.own(new Descent(KALE, SLOW_SISTER, Descent.ANY)));
        assertThat(lessons.own(KALE, PaceLessons.Level.LOT, 999).batches()).isZero();
        assertThat(lessons.own(KALE, PaceLessons.Level.LOT, 999).deviation()).isCloseTo(0.07, within(1e-9));
        assertThat(lessons.varieties(KALE)).containsExactly(11L, SLOW_SISTER);
        assertThat(lessons.lots(TOMATO)).isEmpty();
    }

    @Test
    void nothingCountedMeansNothingTaught() {
        PaceLessons none = new PaceLessons(List.of());
        assertThat(none.at(KALE, HOUSE).log()).isZero();
        assertThat(none.at(KALE, HOUSE).deviation())
                .isCloseTo(Math.sqrt(0.08 * 0.08 + 0.18 * 0.18 + 0.09 * 0.09), within(1e-9));
        assertThat(none.pace(KALE)).isEqualTo(TaughtPace.NOTHING);
        assertThat(none.own(new Descent(KALE, 3, 4))).isZero();
        assertThat(none.isEmpty()).isTrue();
    }

    @Test
    void eachPlaceLearnsForItselfAndABitForTheOthers() {
        TaughtPace kale = new PaceLessons(TOLD).pace(KALE);
        assertThat(kale.longerAt(HOUSE)).isGreaterThan(kale.longerAt(new PlaceId(9)));
        assertThat(kale.longerAt(new PlaceId(9)))
                .isGreaterThan(kale.longerAt(SHELF))
                .isGreaterThan(1);
        assertThat(new PaceLessons(TOLD).at(KALE, HOUSE).batches()).isEqualTo(2);
        assertThat(new PaceLessons(TOLD).places(KALE)).containsExactlyInAnyOrder(HOUSE, SHELF);
    }

    /** Its own count trues it; were it taught by that too, it would be believed twice. */
    @Test
    void aBatchIsNotTaughtByItsOwnCount() {
        for (PaceTelling left : OF_SISTERS) {
            PaceLessons others = new PaceLessons(
                    OF_SISTERS.stream().filter(each -> each != left).toList());
            PaceLessons all = new PaceLessons(OF_SISTERS);
            CropCode crop = left.descent().crop();
            assertThat(all.paceWithout(crop, left.batch())).isEqualTo(others.pace(crop));
            assertThat(all.ownWithout(left.descent(), left.batch())).isEqualTo(others.own(left.descent()));
            assertThat(all.paceWithout(crop, 77)).isEqualTo(all.pace(crop));
        }
    }

    /** Drawn nurseries: what is taught is nearer to the truth than the figures are, and its band holds what it says. */
    @Test
    void whatIsTaughtComesTrue() {
        SplittableRandom random = new SplittableRandom(41);
        double off = 0;
        double untaught = 0;
        int inside = 0;
        int all = 0;
        for (int nursery = 0; nursery < 400; nursery++) {
            double ofNursery = 0.08 * random.nextGaussian();
            List<PaceTelling> told = new ArrayList<>();
            double[][] truth = new double[4][3];
            for (int crop = 0; crop < 4; crop++) {
                double ofCrop = ofNursery + 0.18 * random.nextGaussian();
                double[] ofVariety = {0.08 * random.nextGaussian(), 0.08 * random.nextGaussian()};
                for (int place = 0; place < 3; place++) {
                    truth[crop][place] = ofCrop + 0.09 * random.nextGaussian();
                    for (int batch = 0; batch < random.nextInt(4); batch++) {
                        int variety = random.nextInt(2);
                        double log = truth[crop][place]
                                + ofVariety[variety]
                                + 0.15 * random.nextGaussian()
                                + 0.12 * random.nextGaussian();
                        told.add(new PaceTelling(
                                told.size() + 1,
                                new Descent(new CropCode("c" + crop), variety + 1L, Descent.ANY),
                                new PlaceId(place + 1L),
                                log,
                                0.12));
                    }
                }
            }
            PaceLessons lessons = new PaceLessons(told);
            for (int crop = 0; crop < 4; crop++) {
                for (int place = 0; place < 3; place++) {
                    PaceLessons.Lesson lesson = lessons.at(new CropCode("c" + crop), new PlaceId(place + 1L));
                    double miss = lesson.log() - truth[crop][place];
                    off += miss * miss;
                    untaught += truth[crop][place] * truth[crop][place];
                    inside += Math.abs(miss) < 1.2816 * lesson.deviation() ? 1 : 0;
                    all++;
                }
            }
        }
        assertThat(Math.sqrt(off / untaught)).isLessThan(0.75);
        assertThat(inside / (double) all).isCloseTo(0.8, within(0.02));
    }

    @Test
    void refusesWhatTellsNothing() {
        assertThatThrownBy(() -> telling(1, KALE, HOUSE, Double.NaN)).hasMessageContaining("deviation");
        assertThatThrownBy(() -> new PaceTelling(1, Descent.of(KALE), HOUSE, 0.1, 0))
                .hasMessageContaining("deviation");
        assertThatThrownBy(() -> new Descent(KALE, -1, 0)).hasMessageContaining("negative");
    }
}
