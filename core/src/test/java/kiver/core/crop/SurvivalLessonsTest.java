package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.crop.SurvivalLessons.LivedOn;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;

class SurvivalLessonsTest {

    private static final CropCode KALE = new CropCode("kale");
    private static final CropCode BASIL = new CropCode("basil");

    @Test
    void beforeAnyBatchOneInTwentyIsLost() {
        assertThat(new SurvivalLessons(List.of()).of(KALE)).isEqualTo(Survival.USUAL);
    }

    /** By hand: 100 plants are worth 100 / (1 + 99 x 0.05) = 16.8; 0.95 x 60 + 0.80 x 16.8 by 76.8. */
    @Test
    void aBatchIsWorthLessThanItsPlants() {
        SurvivalLessons lessons = new SurvivalLessons(List.of(new LivedOn(KALE, 100, 80)));
        double worth = 100 / 5.95;
        assertThat(lessons.of(KALE).weight()).isCloseTo(60 + worth, within(1e-9));
        assertThat(lessons.of(KALE).mean()).isCloseTo((57 + 0.8 * worth) / (60 + worth), within(1e-9));
        assertThat(lessons.of(BASIL).mean())
                .as("the nursery's")
                .isEqualTo(lessons.of(KALE).mean());
        assertThat(lessons.of(BASIL).weight()).isEqualTo(60);
        assertThat(lessons.batches(KALE)).isEqualTo(1);
        assertThat(lessons.batches(BASIL)).isZero();
        assertThat(lessons.crops()).containsExactly(KALE);
    }

    /** Drawn batches that share their fates as supposed: nine in ten truths lie among the middle nine tenths that are told. */
    @Test
    void whatIsToldComesTrue() {
        SplittableRandom random = new SplittableRandom(5);
        int inside = 0;
        int trials = 400;
        for (int trial = 0; trial < trials; trial++) {
            double truth = beta(random, 57, 3);
            List<LivedOn> batches = new ArrayList<>();
            for (int batch = 0; batch < 6; batch++) {
                double ofBatch = beta(random, truth * 19, (1 - truth) * 19);
                int lived = 0;
                for (int plant = 0; plant < 120; plant++) {
                    lived += random.nextDouble() < ofBatch ? 1 : 0;
                }
                batches.add(new LivedOn(KALE, 120, lived));
            }
            Survival told = new SurvivalLessons(batches).of(KALE);
            BetaDistribution band = BetaDistribution.of(told.mean() * told.weight(), (1 - told.mean()) * told.weight());
            inside += truth > band.inverseCumulativeProbability(0.05) && truth < band.inverseCumulativeProbability(0.95)
                    ? 1
                    : 0;
        }
        assertThat(inside / (double) trials).isBetween(0.86, 0.95);
    }

    private static double beta(SplittableRandom random, double alive, double dead) {
        return BetaDistribution.of(alive, dead).inverseCumulativeProbability(random.nextDouble(1e-9, 1));
    }

    @Test
    void refusesMoreLivingThanCameUp() {
        assertThatThrownBy(() -> new LivedOn(KALE, 3, 4)).hasMessageContaining("came up");
    }
}
