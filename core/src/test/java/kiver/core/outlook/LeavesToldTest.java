package kiver.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Standing;
import org.junit.jupiter.api.Test;

class LeavesToldTest {

    private static final double EXPECTED = 4;

    /** Worked by hand: what is worked out and what was seen, each by its precision. */
    @Test
    void theLookIsWeighedAgainstWhatWasWorkedOut() {
        LeavesTold told = LeavesTold.of(List.of(3, 3, 3, 3, 3), EXPECTED, PaceSpread.BEFORE_ANY_COUNT);
        double look = 0.18 * 0.18 + (0.45 * 0.45 + 0.16) / 5;
        double model = 0.6 * 0.6 + 0.09;
        assertThat(told.leaves()).isCloseTo((3 / look + 4 / model) / (1 / look + 1 / model), within(1e-12));
        double variance = (look + 0.09) / 9;
        assertThat(told.pace().logMean())
                .isCloseTo(Math.log(4 / 3.0) / variance / (1 / 0.0225 + 1 / variance), within(1e-12));
        assertThat(LeavesTold.of(List.of(0, 0), 0.1, PaceSpread.BEFORE_ANY_COUNT)
                        .pace())
                .isEqualTo(PaceSpread.BEFORE_ANY_COUNT);
        assertThat(LeavesTold.of(Collections.nCopies(5, 0), 2, PaceSpread.BEFORE_ANY_COUNT)
                        .pace()
                        .logMean())
                .isPositive();
    }

    @Test
    void whatWasSeenStandsInPlaceOfWhatWasWorkedOutAndGrowthSinceIsAdded() {
        LeavesTold told = LeavesTold.of(List.of(1, 1, 1, 1, 1), EXPECTED, PaceSpread.BEFORE_ANY_COUNT);
        Standing look = Standing.arrivingAt(20, EXPECTED);
        Standing now = told.truing(look, look.withLeaves(EXPECTED + 1));
        double pace = Math.exp(told.pace().logMean());
        assertThat(now.leafProgress() / pace).isCloseTo(told.leaves() + 1 / pace, within(1e-12));
        assertThat(told.leaves()).isLessThan(1.5);
    }

    /** Batches drawn with paces and starts of their own: five counted plants bring what is said of the leaves nearer to what is true. */
    @Test
    void fiveCountedPlantsBringTheForecastNearer() {
        SplittableRandom random = new SplittableRandom(4);
        double before = 0;
        double after = 0;
        for (int batch = 0; batch < 400; batch++) {
            double truly = EXPECTED / Math.exp(0.15 * random.nextGaussian()) + 0.3 * random.nextGaussian();
            List<Integer> seen = IntStream.range(0, 5)
                    .map(plant -> (int) Math.round(Math.max(0, truly * (1 + 0.15 * random.nextGaussian()))))
                    .boxed()
                    .toList();
            before += Math.abs(truly - EXPECTED);
            after += Math.abs(truly
                    - LeavesTold.of(seen, EXPECTED, PaceSpread.BEFORE_ANY_COUNT).leaves());
        }
        assertThat(after).isLessThan(0.7 * before);
    }
}
