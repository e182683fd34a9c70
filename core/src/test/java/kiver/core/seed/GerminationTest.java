package kiver.core.seed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GerminationTest {

    @Test
    void aFreshLabelIsWorthItsTest() {
        Germination fresh = Germination.ofLabel(0.9, 100, 0);
        assertThat(fresh.up()).isCloseTo(90, within(1e-9));
        assertThat(fresh.failed()).isCloseTo(10, within(1e-9));
    }

    @Test
    void anOldLabelIsWorthLessAndSaysTheSame() {
        Germination old = Germination.ofLabel(0.9, 100, 3);
        assertThat(old.weight()).isBetween(20.0, 25.0);
        assertThat(old.mean()).isCloseTo(0.9, within(1e-9));
        assertThat(Germination.ofLabel(0.9, 100, 30).weight()).isEqualTo(10);
        assertThat(old.quantile(0.1))
                .isLessThan(Germination.ofLabel(0.9, 100, 0).quantile(0.1));
    }

    @Test
    void countsTeach() {
        Germination before = new Germination(90, 10);
        Germination after = before.after(40, 60);
        assertThat(after.mean()).isCloseTo(0.65, within(1e-9));
        assertThat(after.weight()).isEqualTo(200);
        assertThatThrownBy(() -> before.after(-1, 0)).hasMessageContaining("cannot be negative");
    }

    @ParameterizedTest
    @CsvSource({"1.2,100,0", "-0.1,100,0", "0.9,0,0", "0.9,100,-1"})
    void refusesLabelsThatCannotBe(double share, int tested, double years) {
        assertThatThrownBy(() -> Germination.ofLabel(share, tested, years))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest(name = "Beta({0}, {1})")
    @CsvSource({"1,1", "0.6,0.7", "2,8", "18,2", "90,10", "900,100", "9000,1000"})
    void nodesKeepMeanAndVariance(double up, double failed) {
        GerminationNodes nodes = GerminationNodes.of(new Germination(up, failed));
        double mean = 0;
        double square = 0;
        for (int node = 0; node < nodes.shares().length; node++) {
            mean += nodes.weights()[node] * nodes.shares()[node];
            square += nodes.weights()[node] * nodes.shares()[node] * nodes.shares()[node];
        }
        double sum = up + failed;
        assertThat(Arrays.stream(nodes.weights()).sum()).isCloseTo(1, within(1e-9));
        assertThat(mean).isCloseTo(up / sum, within(1e-4));
        assertThat(square - mean * mean).isCloseTo(up * failed / (sum * sum * (sum + 1)), within(1e-4));
    }
}
