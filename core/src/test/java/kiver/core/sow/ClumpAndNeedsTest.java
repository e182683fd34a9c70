package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.seed.LotId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ClumpAndNeedsTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);

    @Test
    void clumpSizesOfSingleSeedsAreBinomial() {
        ClumpSizes onion = new ClumpSizes(GerminationNodes.certain(0.9), 4, 1);
        assertThat(onion.distribution()[4]).isCloseTo(0.6561, within(1e-9));
        assertThat(onion.share(3, 5)).isCloseTo(0.6561 + 4 * 0.729 * 0.1, within(1e-9));
        assertThat(onion.mean()).isCloseTo(3.6, within(1e-9));
    }

    @Test
    void clustersGiveMoreSeedlingsThanSeeds() {
        ClumpSizes beet = new ClumpSizes(GerminationNodes.of(new Germination(80, 20)), 3, 2.2);
        double[] sizes = beet.distribution();
        double mean = 0;
        for (int size = 0; size < sizes.length; size++) {
            mean += size * sizes[size];
        }
        assertThat(Arrays.stream(sizes).sum()).isCloseTo(1, within(1e-6));
        assertThat(mean).isCloseTo(beet.mean(), within(1e-3));
        assertThat(mean).isCloseTo(3 * 0.8 * 2.2, within(0.01));
    }

    @Test
    void enoughClumpsAreTheFewestThatAreEnough() {
        ClumpSizes onion = new ClumpSizes(GerminationNodes.of(new Germination(90, 10)), 4, 1);
        int cells = onion.cellsNeeded(400, 0.95, 0.95);
        assertThat(onion.chanceOfAtLeast(400, cells, 0.95)).isGreaterThanOrEqualTo(0.95);
        assertThat(onion.chanceOfAtLeast(400, cells - 1, 0.95)).isLessThan(0.95);
        assertThat(cells).isBetween(117, 135);
    }

    @Test
    void seedRunsShortOnTheDayOfTheSowingThatItCannotServe() {
        List<SeedNeeds.LotNeed> needs = SeedNeeds.of(
                List.of(
                        new SeedNeeds.Sowing(3, new LotId(7), DAY.plusDays(20), 300),
                        new SeedNeeds.Sowing(1, new LotId(7), DAY, 500),
                        new SeedNeeds.Sowing(2, new LotId(8), DAY, 10)),
                Map.of(new LotId(7), 700, new LotId(8), 10));
        assertThat(needs).extracting(SeedNeeds.LotNeed::lot).containsExactly(new LotId(7), new LotId(8));
        assertThat(needs.get(0).shortFrom()).contains(DAY.plusDays(20));
        assertThat(needs.get(0).lacking()).isEqualTo(100);
        assertThat(needs.get(1).shortFrom()).isEmpty();
        assertThat(needs.get(1).lacking()).isZero();
    }

    /** The same by growing them one by one: 60 cells of three clusters of which four in five come up, nine in ten live. */
    @ParameterizedTest
    @ValueSource(ints = {265, 280, 285, 300})
    void theChanceOfEnoughPlantsIsThatOfGrowingThem(int wanted) {
        double stated = new ClumpSizes(GerminationNodes.certain(0.8), 3, 2.2).chanceOfAtLeast(wanted, 60, 0.9);
        SplittableRandom random = new SplittableRandom(11);
        int runs = 4000;
        int enough = 0;
        for (int run = 0; run < runs; run++) {
            int plants = 0;
            for (int seed = 0; seed < 180; seed++) {
                for (int seedling = random.nextDouble() < 0.8 ? 1 + poisson(1.2, random) : 0;
                        seedling > 0;
                        seedling--) {
                    plants += random.nextDouble() < 0.9 ? 1 : 0;
                }
            }
            enough += plants >= wanted ? 1 : 0;
        }
        assertThat(stated).isCloseTo(enough / (double) runs, within(0.02));
    }

    @Test
    void whereNothingIsLeftToChanceItIsAllOrNothing() {
        ClumpSizes sure = new ClumpSizes(GerminationNodes.certain(1), 4, 1);
        assertThat(sure.chanceOfAtLeast(40, 10, 1)).isEqualTo(1);
        assertThat(sure.chanceOfAtLeast(41, 10, 1)).isZero();
        assertThat(sure.cellsNeeded(41, 0.95, 1)).isEqualTo(11);
    }

    @Test
    void theLotThatRunsShortSoonestComesFirst() {
        List<SeedNeeds.LotNeed> needs = SeedNeeds.of(
                List.of(
                        new SeedNeeds.Sowing(1, new LotId(7), DAY.plusDays(9), 20),
                        new SeedNeeds.Sowing(2, new LotId(8), DAY, 20),
                        new SeedNeeds.Sowing(3, new LotId(9), DAY, 1)),
                Map.of(new LotId(7), 10, new LotId(8), 10, new LotId(9), 10));
        assertThat(needs).extracting(SeedNeeds.LotNeed::lot).containsExactly(new LotId(8), new LotId(7), new LotId(9));
    }

    private static int poisson(double mean, SplittableRandom random) {
        int count = 0;
        for (double left = random.nextDouble(); left > Math.exp(-mean); left *= random.nextDouble()) {
            count++;
        }
        return count;
    }
}
