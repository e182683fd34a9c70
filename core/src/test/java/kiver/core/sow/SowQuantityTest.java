package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SowQuantityTest {

    private static final double CONFIDENCE = 0.95;

    @ParameterizedTest(name = "{1} plants at {0}, {2} a cell: {3} cells")
    @CsvSource({"0.9,90,1,106", "0.9,90,2,93", "0.9,90,3,91", "0.7,30,1,50", "0.7,30,2,36", "0.7,30,3,33"})
    void knownGermination(double germination, int plants, int seedsPerCell, int cells) {
        SowQuantity quantity = new SowQuantity(GerminationNodes.certain(germination), seedsPerCell, 1);
        assertThat(quantity.cellsNeeded(plants, CONFIDENCE)).isEqualTo(cells);
    }

    @ParameterizedTest(name = "Beta({0}, {1}), {2} plants, {3} a cell: {4} cells")
    @CsvSource({"90,10,90,1,109", "90,10,90,2,93", "18,2,90,1,118"})
    void germinationKnownFromATest(double up, double failed, int plants, int seedsPerCell, int cells) {
        SowQuantity quantity = new SowQuantity(GerminationNodes.of(new Germination(up, failed)), seedsPerCell, 1);
        assertThat(quantity.cellsNeeded(plants, CONFIDENCE)).isEqualTo(cells);
    }

    /** Exact: with one seed a cell and none lost, good cells are beta-binomial. */
    @Test
    void agreesWithTheBetaBinomial() {
        SowQuantity quantity = new SowQuantity(GerminationNodes.of(new Germination(18, 2)), 1, 1);
        double atLeast = 0;
        for (int good = 90; good <= 100; good++) {
            atLeast += Math.exp(logChoose(100, good) + logBeta(18 + good, 2 + 100 - good) - logBeta(18, 2));
        }
        assertThat(quantity.chanceOfAtLeast(90, 100)).isCloseTo(atLeast, within(1e-8));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void isTheSmallestNumberThatIsEnough(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Germination germination = new Germination(5 + 90 * random.nextDouble(), 1 + 20 * random.nextDouble());
        SowQuantity quantity = new SowQuantity(
                GerminationNodes.of(germination), 1 + random.nextInt(3), 0.8 + 0.2 * random.nextDouble());
        int plants = 1 + random.nextInt(400);
        int cells = quantity.cellsNeeded(plants, CONFIDENCE);
        assertThat(quantity.chanceOfAtLeast(plants, cells)).isGreaterThanOrEqualTo(CONFIDENCE);
        assertThat(quantity.chanceOfAtLeast(plants, cells - 1))
                .as("one cell fewer is too few")
                .isLessThan(CONFIDENCE);
        assertThat(quantity.cellsNeeded(plants, 0.99)).isGreaterThanOrEqualTo(cells);
    }

    /** A cell that comes up for certain and lives in 7 of 10 cases is like one that comes up in 7 of 10 and lives. */
    @Test
    void plantsThatDieCountLikeSeedThatFails() {
        SowQuantity dying = new SowQuantity(GerminationNodes.certain(1), 1, 0.7);
        assertThat(dying.cellsNeeded(30, CONFIDENCE)).isEqualTo(50);
        assertThat(dying.expectedShare()).isCloseTo(0.7, within(1e-12));
    }

    @Test
    void refusesASeedThatHardlyGrows() {
        SowQuantity quantity = new SowQuantity(GerminationNodes.certain(0.000001), 1, 1);
        assertThatThrownBy(() -> quantity.cellsNeeded(100, CONFIDENCE)).hasMessageContaining("too poorly");
    }

    @ParameterizedTest
    @ValueSource(ints = {0, -1, 11})
    void refusesSeedsPerCellOutOfRange(int seedsPerCell) {
        assertThatThrownBy(() -> new SowQuantity(GerminationNodes.certain(0.9), seedsPerCell, 1))
                .hasMessageContaining("from 1 to 10");
    }

    private static double logChoose(int all, int some) {
        return logFactorial(all) - logFactorial(some) - logFactorial(all - some);
    }

    /** Arguments are whole numbers here. */
    private static double logBeta(int one, int other) {
        return logFactorial(one - 1) + logFactorial(other - 1) - logFactorial(one + other - 1);
    }

    private static double logFactorial(int number) {
        double sum = 0;
        for (int factor = 2; factor <= number; factor++) {
            sum += Math.log(factor);
        }
        return sum;
    }
}
