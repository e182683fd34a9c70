package kiver.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import kiver.core.Samples;
import kiver.core.batch.RootsSeen;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import org.junit.jupiter.api.Test;

/** How full of roots a cell is, and what a look tells of it. */
class RootFillTest {

    @Test
    void rootsFillTheCellWhereTheLeavesEnd() {
        Crop kale = Samples.kale(60);
        double limit = kale.leafLimitIn(Samples.PLUGS);
        assertThat(RootFill.worked(limit, limit)).isEqualTo(1);
        assertThat(RootFill.worked(0, limit)).isZero();
        Container eightTimes =
                new Container(new ContainerCode("eight"), "Eight times", 4, 7, 8 * Samples.PLUGS.cellVolume(), 90, 1);
        assertThat(RootFill.worked(limit, kale.leafLimitIn(eightTimes)))
                .as("potted into eight times the volume, roots have an eighth of it")
                .isCloseTo(1 / 8.0, within(1e-9));
    }

    @Test
    void whatTheHandSawMovesTheIndexTowardsIt() {
        for (RootsSeen seen : RootsSeen.values()) {
            RootPace pace = RootPace.BEFORE_ANY_LOOK.told(0.5, seen);
            RootFill before = RootFill.of(0.5, 1, RootPace.BEFORE_ANY_LOOK);
            RootFill after = RootFill.of(Math.cbrt(0.5), 1, pace);
            assertThat(after.most() / after.least())
                    .as("a look makes it surer")
                    .isLessThan(before.most() / before.least());
            assertThat(after.index()).as("%s", seen).isBetween(RootFill.from(seen) * 0.7, RootFill.until(seen) * 1.3);
        }
        assertThat(RootPace.BEFORE_ANY_LOOK.told(0.5, RootsSeen.NONE).logMean()).isNegative();
        assertThat(RootPace.BEFORE_ANY_LOOK.told(0.5, RootsSeen.OUT).logMean()).isPositive();
        assertThat(RootPace.BEFORE_ANY_LOOK.told(0.5, RootsSeen.CIRCLING).leavesForOne())
                .as("with roots ahead a cell is full at fewer leaves")
                .isLessThan(1);
    }

    @Test
    void whatNobodyWouldHaveExpectedIsBelievedAsFarAsABatchMayDiffer() {
        RootPace ahead = RootPace.BEFORE_ANY_LOOK.told(0.001, RootsSeen.CIRCLING);
        assertThat(Math.exp(ahead.logMean())).isBetween(2.0, 5.0);
        RootPace behind = RootPace.BEFORE_ANY_LOOK.told(50, RootsSeen.NONE);
        assertThat(Math.exp(behind.logMean())).isBetween(0.2, 0.5);
    }

    /** By dice instead of over a grid: batches whose factor is drawn, those kept that would have shown what was seen. */
    @Test
    void theGridAgreesWithDrawnBatches() {
        Random random = new Random(8);
        double sum = 0;
        double squares = 0;
        int kept = 0;
        for (int draw = 0; draw < 400_000; draw++) {
            double log = 0.45 * random.nextGaussian();
            double shown = Math.log(0.5) + log + 0.2 * random.nextGaussian();
            if (shown >= Math.log(0.75) && shown < 0) {
                kept++;
                sum += log;
                squares += log * log;
            }
        }
        double mean = sum / kept;
        RootPace told = RootPace.BEFORE_ANY_LOOK.told(0.5, RootsSeen.OUT);
        assertThat(told.logMean()).isCloseTo(mean, within(0.01));
        assertThat(told.logDeviation()).isCloseTo(Math.sqrt(squares / kept - mean * mean), within(0.01));
    }

    @Test
    void theIndexLooksLikeWhatTheHandWouldSee() {
        assertThat(new RootFill(0.1, 0, 1).looksLike()).isEqualTo(RootsSeen.NONE);
        assertThat(new RootFill(0.5, 0, 1).looksLike()).isEqualTo(RootsSeen.AT_EDGE);
        assertThat(new RootFill(0.8, 0, 1).looksLike()).isEqualTo(RootsSeen.OUT);
        assertThat(new RootFill(1.2, 0, 2).looksLike()).isEqualTo(RootsSeen.CIRCLING);
    }
}
