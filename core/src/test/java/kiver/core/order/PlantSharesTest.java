package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.order.PlantShares.Part;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlantSharesTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 5, 10);
    private static final double SPARES = 0.03;

    @Test
    void whatNobodyWasPromisedIsFree() {
        assertThat(shares(120, false)).isEqualTo(new PlantShares(0, 0, 120, 0));
        assertThat(shares(120, true)).isEqualTo(new PlantShares(0, 0, 120, 0));
    }

    @Test
    void beforeTheCountSparesAreSownBeyondWhatWasPlanned() {
        assertThat(shares(100, false, part(60, 0), part(30, 0))).isEqualTo(new PlantShares(90, 0, 10, 0));
    }

    @Test
    void afterTheCountSparesAreKeptForEachLineAndTheRestIsFree() {
        // 2 of 60 and 1 of 30, rounded up.
        assertThat(shares(100, true, part(60, 0), part(30, 0))).isEqualTo(new PlantShares(90, 3, 7, 0));
    }

    @Test
    void aShortBatchKeepsNoSparesAndSaysHowManyAreMissing() {
        assertThat(shares(80, true, part(60, 0), part(30, 0))).isEqualTo(new PlantShares(90, 0, 0, 10));
        assertThat(shares(91, true, part(60, 0), part(30, 0))).isEqualTo(new PlantShares(90, 1, 0, 0));
    }

    @ParameterizedTest
    @CsvSource({"0, 2, 8", "14, 2, 8", "15, 0, 10"})
    void sparesAreKeptAFortnightAfterTheLastPlantsWent(int daysAgo, int reserved, int free) {
        Part gone = new Part(60, 58, 60, Optional.of(TODAY.minusDays(daysAgo)));
        assertThat(shares(10, true, gone)).isEqualTo(new PlantShares(0, reserved, free, 0));
    }

    @Test
    void aLineThatTookWhatItAcceptsWaitsForNoMore() {
        Part nearly = new Part(100, 97, 97, Optional.of(TODAY.minusDays(20)));
        assertThat(shares(9, true, nearly)).isEqualTo(new PlantShares(0, 0, 9, 0));
        Part partly = new Part(100, 97, 96, Optional.of(TODAY.minusDays(20)));
        assertThat(shares(9, true, partly)).isEqualTo(new PlantShares(4, 3, 2, 0));
    }

    private static Part part(int plants, int released) {
        return new Part(plants, OrderLine.accepted(plants, 0.03), released, Optional.empty());
    }

    private static PlantShares shares(int plants, boolean counted, Part... parts) {
        return PlantShares.of(plants, counted, List.of(parts), SPARES, TODAY);
    }
}
