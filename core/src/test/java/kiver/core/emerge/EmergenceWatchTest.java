package kiver.core.emerge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.crop.Survival;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Emergence;
import kiver.core.growth.PaceSpread;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EmergenceWatchTest {

    private static final Emergence EMERGENCE = new Emergence(CardinalTemperatures.of(4, 26, 38), 4, 0.2);
    private static final Germination GOOD_LOT = new Germination(90, 10);

    @Test
    void expectationRisesAndItsBandHoldsTheMiddle() {
        EmergenceWatch watch = watch();
        double before = -1;
        for (double progress = 0; progress < 2.5; progress += 0.1) {
            ExpectedShare expected = watch.expectedAt(progress);
            assertThat(expected.low()).isLessThanOrEqualTo(expected.middle());
            assertThat(expected.middle()).isLessThanOrEqualTo(expected.high()).isGreaterThanOrEqualTo(before);
            before = expected.middle();
        }
        assertThat(watch.expectedAt(2.5).middle()).isBetween(86.0, 94.0);
    }

    @Test
    void tellsOnCourseFromLateAndFailing() {
        assertThat(watch().verdict(0.2, 1)).isEqualTo(EmergenceVerdict.TOO_SOON_TO_TELL);
        assertThat(watch(new CountSoFar(1.0, 45)).verdict(1.0, 0.9)).isEqualTo(EmergenceVerdict.ON_COURSE);
        assertThat(watch(new CountSoFar(0.8, 85)).verdict(0.8, 0.9)).isEqualTo(EmergenceVerdict.EARLY);
        EmergenceWatch late = watch(new CountSoFar(1.1, 8));
        assertThat(late.verdict(1.1, late.chanceOfReaching(60))).isEqualTo(EmergenceVerdict.LATE);
        EmergenceWatch failing = watch(new CountSoFar(1.5, 30), new CountSoFar(2.2, 33));
        assertThat(failing.verdict(2.2, failing.chanceOfReaching(80))).isEqualTo(EmergenceVerdict.FAILING);
    }

    /** An old count is held against the day on which it was made, not against today. */
    @Test
    void anOldCountIsJudgedByItsOwnDay() {
        EmergenceWatch old = watch(new CountSoFar(1.0, 45));
        assertThat(old.verdict(2.0, 0.9)).isEqualTo(EmergenceVerdict.ON_COURSE);
        assertThat(old.expectedAtLastCount().orElseThrow().middle()).isBetween(35.0, 55.0);
        assertThat(watch().expectedAtLastCount()).isEmpty();
    }

    /** Deaths are still to come among those that are up. */
    @Test
    void enoughUpIsNotEnoughAlive() {
        EmergenceWatch watch = watch(new CountSoFar(2.5, 90));
        assertThat(watch.chanceOfReaching(88)).isEqualTo(1);
        double living = watch.chanceOfLiving(88, 90, new Survival(0.95, 60));
        assertThat(living).isBetween(0.05, 0.6);
        assertThat(watch.chanceOfLiving(80, 90, new Survival(0.95, 60))).isGreaterThan(0.9);
    }

    @Test
    void chanceFollowsTheCounts() {
        double before = watch().chanceOfReaching(85);
        double afterGoodCount = watch(new CountSoFar(1.2, 84)).chanceOfReaching(85);
        double afterPoorCount =
                watch(new CountSoFar(1.4, 58), new CountSoFar(1.9, 60)).chanceOfReaching(85);
        assertThat(afterGoodCount).isGreaterThan(0.85);
        assertThat(before).isBetween(0.8, 0.95);
        assertThat(afterPoorCount).isLessThan(0.05);
        assertThat(watch(new CountSoFar(1.2, 80)).chanceOfReaching(80)).isEqualTo(1);
        assertThat(watch().chanceOfReaching(101)).isZero();
    }

    @Test
    void aSlowBatchIsRecognised() {
        PaceSpread slow = watch(new CountSoFar(1.0, 8), new CountSoFar(1.3, 45)).pace();
        assertThat(slow.logMean()).isGreaterThan(0.1);
        assertThat(slow.logDeviation()).isLessThan(PaceSpread.BEFORE_ANY_COUNT.logDeviation());
    }

    /** Before any count: binomial for a lot known for sure, but for the mishap of one batch in twenty. */
    @ParameterizedTest
    @ValueSource(ints = {70, 85, 90, 93, 97})
    void beforeAnyCountTheChanceIsThatOfTheSeed(int wanted) {
        EmergenceWatch watch = new EmergenceWatch(
                EMERGENCE, new Germination(9e7, 1e7), PaceSpread.BEFORE_ANY_COUNT, 100, 1, List.of());
        double mishap = Arrays.stream(GerminationNodes.afterMishap(0.9))
                .map(share -> atLeast(wanted, share))
                .average()
                .orElseThrow();
        assertThat(watch.chanceOfReaching(wanted))
                .isCloseTo(
                        (1 - GerminationNodes.CHANCE_OF_MISHAP) * atLeast(wanted, 0.9)
                                + GerminationNodes.CHANCE_OF_MISHAP * mishap,
                        within(0.001));
    }

    /** Of a hundred cells, by adding up Pascal's triangle. */
    private static double atLeast(int wanted, double share) {
        double[] chances = {1};
        for (int cell = 0; cell < 100; cell++) {
            double[] next = new double[chances.length + 1];
            for (int up = 0; up < chances.length; up++) {
                next[up] += chances[up] * (1 - share);
                next[up + 1] += chances[up] * share;
            }
            chances = next;
        }
        return Arrays.stream(chances, wanted, 101).sum();
    }

    @Test
    void withNothingUpBeforeAnythingIsDueItIsTooSoonToTell() {
        assertThat(watch(new CountSoFar(0.3, 0)).verdict(0.3, 0.9)).isEqualTo(EmergenceVerdict.TOO_SOON_TO_TELL);
        assertThat(watch(new CountSoFar(1.0, 0)).verdict(1.0, 0.9)).isEqualTo(EmergenceVerdict.LATE);
    }

    @Test
    void whatIsNotKnownOfAPaceIsItsSpread() {
        PaceSpread before = watch().pace();
        assertThat(before.logMean()).isCloseTo(0, within(0.001));
        // The grid is half as wide again as what is expected.
        assertThat(before.logDeviation()).isCloseTo(1.5 * PaceSpread.BEFORE_ANY_COUNT.logDeviation(), within(0.02));
        assertThat(watch(new CountSoFar(0.8, 70)).pace().logMean()).isLessThan(-0.1);
    }

    /** Of many batches drawn from the model itself, four in five must lie inside the band. */
    @Test
    void bandHoldsFourInFive() {
        SplittableRandom random = new SplittableRandom(5);
        int inside = 0;
        int batches = 4000;
        ExpectedShare expected = watch().expectedAt(1.1);
        for (int batch = 0; batch < batches; batch++) {
            double pace = Math.exp(0.15 * random.nextGaussian());
            double germination = GOOD_LOT.quantile(0.001 + 0.998 * random.nextDouble());
            int up = 0;
            for (int cell = 0; cell < 100; cell++) {
                up += random.nextDouble() < germination * EMERGENCE.shareUp(1.1 / pace) ? 1 : 0;
            }
            inside += up >= expected.low() && up <= expected.high() ? 1 : 0;
        }
        assertThat(inside / (double) batches).isBetween(0.76, 0.86);
    }

    private static EmergenceWatch watch(CountSoFar... counts) {
        return new EmergenceWatch(EMERGENCE, GOOD_LOT, PaceSpread.BEFORE_ANY_COUNT, 100, 1, List.of(counts));
    }
}
