package kiver.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;

class WaitOrResowTest {

    /** Two sowings of the same seed are one: 60 and 40 cells at 0.8 are 100 cells at 0.8. */
    @Test
    void twoSowingsTogetherAreOneOfBoth() {
        BinomialDistribution first = BinomialDistribution.of(60, 0.8);
        BinomialDistribution second = BinomialDistribution.of(40, 0.8);
        BinomialDistribution both = BinomialDistribution.of(100, 0.8);
        for (int wanted : new int[] {0, 1, 70, 80, 90, 100}) {
            double[] atLeast = new double[wanted + 1];
            for (int count = 0; count <= wanted; count++) {
                atLeast[count] = first.survivalProbability(count - 1);
            }
            assertThat(WaitOrResow.together(wanted, atLeast, count -> second.survivalProbability(count - 1)))
                    .as("at least " + wanted)
                    .isCloseTo(both.survivalProbability(wanted - 1), within(1e-9));
        }
    }

    /** The same by throwing dice: 30 of which one in two comes, and 20 of which nine in ten do. */
    @Test
    void theSameByDice() {
        SplittableRandom dice = new SplittableRandom(7);
        int enough = 0;
        int throwsMade = 40_000;
        for (int each = 0; each < throwsMade; each++) {
            int up = 0;
            for (int seed = 0; seed < 50; seed++) {
                up += dice.nextDouble() < (seed < 30 ? 0.5 : 0.9) ? 1 : 0;
            }
            enough += up >= 32 ? 1 : 0;
        }
        BinomialDistribution poor = BinomialDistribution.of(30, 0.5);
        BinomialDistribution good = BinomialDistribution.of(20, 0.9);
        double[] atLeast = new double[33];
        for (int count = 0; count <= 32; count++) {
            atLeast[count] = poor.survivalProbability(count - 1);
        }
        assertThat(WaitOrResow.together(32, atLeast, count -> good.survivalProbability(count - 1)))
                .isCloseTo(enough / (double) throwsMade, within(0.01));
    }
}
