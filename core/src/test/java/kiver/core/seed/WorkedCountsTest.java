package kiver.core.seed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import kiver.core.crop.Survival;
import org.junit.jupiter.api.Test;

/** Figures that were worked out independently, by quadrature and exact enumeration. */
class WorkedCountsTest {

    @Test
    void aSweepTeachesTheLotNoFalsehood() {
        Germination swept = new Germination(90, 10).after(new CountLesson(0, 4, Map.of(2, 88)));
        assertThat(swept.mean()).isCloseTo(0.886, within(0.0005));
        assertThat(swept.deviation()).isCloseTo(0.027, within(0.0005));
        Germination weaker = new Germination(18, 2).after(new CountLesson(0, 20, Map.of(2, 40)));
        assertThat(weaker.mean()).isCloseTo(0.642, within(0.0005));
        assertThat(weaker.deviation()).isCloseTo(0.054, within(0.0005));
    }

    @Test
    void countsWithoutSweepsAddUp() {
        assertThat(new Germination(90, 10).after(new CountLesson(40, 10, Map.of())))
                .isEqualTo(new Germination(130, 20));
    }

    @Test
    void oneBatchNeverTellsAllOfItsLot() {
        Germination taught = new Germination(90, 10).afterBatch(new CountLesson(500, 500, Map.of()));
        assertThat(taught.weight()).isBetween(140.0, 150.0);
        assertThat(taught.mean()).isBetween(0.7, 0.8);
        assertThat(new Germination(900, 100).ofNextBatch().deviation()).isBetween(0.042, 0.044);
        assertThat(new Germination(900, 100).ofNextBatch().mean()).isCloseTo(0.9, within(1e-12));
    }

    @Test
    void enoughAfterTheCountIsAChance() {
        assertThat(Survival.certain(0.97).chanceOfAtLeast(410, 400)).isCloseTo(0.313, within(0.0005));
        assertThat(Survival.certain(0.97).chanceOfAtLeast(410, 388)).isCloseTo(0.997, within(0.001));
        assertThat(new Survival(0.97, 100).chanceOfAtLeast(410, 400)).isCloseTo(0.479, within(0.005));
        assertThat(new Survival(0.97, 100).over(0).chanceOfAtLeast(400, 400)).isEqualTo(1);
        assertThat(Survival.certain(0.97).chanceOfAtLeast(399, 400)).isZero();
    }

    @Test
    void aMishapIsAmongWhatMayHappen() {
        GerminationNodes nodes = GerminationNodes.of(new Germination(90, 10)).withMishaps();
        double sum = 0;
        double poor = 0;
        for (int node = 0; node < nodes.shares().length; node++) {
            sum += nodes.weights()[node];
            poor += nodes.shares()[node] < 0.45 ? nodes.weights()[node] : 0;
        }
        assertThat(sum).isCloseTo(1, within(1e-9));
        assertThat(poor).isCloseTo(0.025, within(0.001));
    }
}
