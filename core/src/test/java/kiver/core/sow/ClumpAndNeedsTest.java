package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import org.junit.jupiter.api.Test;

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
                List.of(new SeedNeeds.Sowing(3, 7, DAY.plusDays(20), 300), new SeedNeeds.Sowing(1, 7, DAY, 500),
                        new SeedNeeds.Sowing(2, 8, DAY, 10)),
                Map.of(7L, 700, 8L, 10));
        assertThat(needs).extracting(SeedNeeds.LotNeed::lot).containsExactly(7L, 8L);
        assertThat(needs.get(0).shortFrom()).contains(DAY.plusDays(20));
        assertThat(needs.get(0).lacking()).isEqualTo(100);
        assertThat(needs.get(1).shortFrom()).isEmpty();
        assertThat(needs.get(1).lacking()).isZero();
    }
}
