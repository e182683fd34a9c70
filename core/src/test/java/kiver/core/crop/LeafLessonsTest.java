package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.Samples;
import kiver.core.place.PlaceId;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;

class LeafLessonsTest {

    private static final CropCode KALE = Samples.kale(60).code();
    private static final CropCode TOMATO = new CropCode("tomato");
    private static final PlaceId HOUSE = new PlaceId(1);
    private static final PlaceId SHELF = new PlaceId(2);

    private static LeafTelling telling(int batch, CropCode crop, PlaceId place, double log) {
        return new LeafTelling(batch, crop, place, log, 0.12);
    }

    private static final List<LeafTelling> TOLD = List.of(
            telling(1, KALE, HOUSE, 0.20),
            telling(2, KALE, HOUSE, 0.12),
            telling(3, KALE, SHELF, -0.05),
            telling(4, TOMATO, SHELF, 0.30),
            telling(5, new CropCode("leek"), new PlaceId(3), 0.02));

    /** The same by the covariances of all tellings at once. */
    private static double byCovariances(List<LeafTelling> told, CropCode crop, PlaceId place) {
        RealMatrix between = new Array2DRowRealMatrix(told.size(), told.size());
        RealVector toTarget = new ArrayRealVector(told.size());
        RealVector seen = new ArrayRealVector(told.size());
        for (int row = 0; row < told.size(); row++) {
            LeafTelling one = told.get(row);
            seen.setEntry(row, one.log());
            toTarget.setEntry(row, shared(one.crop(), one.place(), crop, place));
            for (int column = 0; column < told.size(); column++) {
                LeafTelling other = told.get(column);
                double own = row == column ? 0.15 * 0.15 + one.deviation() * one.deviation() : 0;
                between.setEntry(row, column, own + shared(one.crop(), one.place(), other.crop(), other.place()));
            }
        }
        return toTarget.dotProduct(new LUDecomposition(between).getSolver().solve(seen));
    }

    private static double shared(CropCode crop, PlaceId place, CropCode otherCrop, PlaceId otherPlace) {
        double same = 0.10 * 0.10;
        if (crop.equals(otherCrop)) {
            same += 0.14 * 0.14;
            same += place.equals(otherPlace) ? 0.10 * 0.10 : 0;
        }
        return same;
    }

    @Test
    void theTreeSaysWhatAllCovariancesAtOnceSay() {
        LeafLessons lessons = new LeafLessons(TOLD);
        for (CropCode crop : List.of(KALE, TOMATO, new CropCode("never counted"))) {
            for (PlaceId place : List.of(HOUSE, SHELF, new PlaceId(9))) {
                assertThat(lessons.at(crop, place).log())
                        .as(crop.written() + " at " + place.number())
                        .isCloseTo(byCovariances(TOLD, crop, place), within(1e-9));
            }
        }
    }

    @Test
    void nothingCountedMeansNothingTaught() {
        LeafLessons none = new LeafLessons(List.of());
        assertThat(none.at(KALE, HOUSE).log()).isZero();
        assertThat(none.at(KALE, HOUSE).deviation()).isCloseTo(0.2, within(0.005));
        Crop kale = Samples.kale(60);
        assertThat(none.taught(kale)).isSameAs(kale);
    }

    @Test
    void eachPlaceLearnsForItselfAndABitForTheOthers() {
        Crop kale = new LeafLessons(TOLD).taught(Samples.kale(60));
        double house = kale.leaves().taught().longerAt(HOUSE);
        double shelf = kale.leaves().taught().longerAt(SHELF);
        double elsewhere = kale.leaves().taught().longerAt(new PlaceId(9));
        assertThat(house).isGreaterThan(elsewhere);
        assertThat(elsewhere).isGreaterThan(shelf).isGreaterThan(1);
        assertThat(new LeafLessons(TOLD).at(KALE, HOUSE).batches()).isEqualTo(2);
        assertThat(new LeafLessons(TOLD).places(KALE)).containsExactlyInAnyOrder(HOUSE, SHELF);
    }

    /** Its own count trues it; were it taught by that too, it would be believed twice. */
    @Test
    void aBatchIsNotTaughtByItsOwnCount() {
        List<LeafTelling> others =
                TOLD.stream().filter(each -> each.batch() != 1).toList();
        Crop kale = Samples.kale(60);
        assertThat(new LeafLessons(TOLD).taught(kale, 1)).isEqualTo(new LeafLessons(others).taught(kale));
        assertThat(new LeafLessons(TOLD).taught(kale, 77)).isEqualTo(new LeafLessons(TOLD).taught(kale));
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
            double ofNursery = 0.10 * random.nextGaussian();
            List<LeafTelling> told = new ArrayList<>();
            double[][] truth = new double[4][3];
            for (int crop = 0; crop < 4; crop++) {
                double ofCrop = ofNursery + 0.14 * random.nextGaussian();
                for (int place = 0; place < 3; place++) {
                    truth[crop][place] = ofCrop + 0.10 * random.nextGaussian();
                    for (int batch = 0; batch < random.nextInt(4); batch++) {
                        double log = truth[crop][place] + 0.15 * random.nextGaussian() + 0.12 * random.nextGaussian();
                        told.add(telling(told.size() + 1, new CropCode("c" + crop), new PlaceId(place + 1L), log));
                    }
                }
            }
            LeafLessons lessons = new LeafLessons(told);
            for (int crop = 0; crop < 4; crop++) {
                for (int place = 0; place < 3; place++) {
                    LeafLessons.Lesson lesson = lessons.at(new CropCode("c" + crop), new PlaceId(place + 1L));
                    double miss = lesson.log() - truth[crop][place];
                    off += miss * miss;
                    untaught += truth[crop][place] * truth[crop][place];
                    inside += Math.abs(miss) < 1.2816 * lesson.deviation() ? 1 : 0;
                    all++;
                }
            }
        }
        assertThat(Math.sqrt(off / untaught)).isLessThan(0.65);
        assertThat(inside / (double) all).isCloseTo(0.8, within(0.02));
    }

    @Test
    void refusesWhatTellsNothing() {
        assertThatThrownBy(() -> new LeafTelling(1, KALE, HOUSE, Double.NaN, 0.1))
                .hasMessageContaining("deviation");
        assertThatThrownBy(() -> new LeafTelling(1, KALE, HOUSE, 0.1, 0)).hasMessageContaining("deviation");
    }
}
