package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BedTest {

    /** Worked out with pencil and squared paper. */
    @ParameterizedTest
    @CsvSource({
        // length, breadth, spacing, rows, edge, plants
        "10, 1.2, 30, SQUARE, 15, 132", // 33 to a row of 9.7 m, 4 rows on 0.9 m
        "10, 1.2, 30, OFFSET, 15, 130", // 33, 32, 33, 32: rows 26 cm apart, still 4
        "3, 3, 30, SQUARE, 0, 121",
        "3, 3, 30, OFFSET, 0, 126", // 12 rows of 11 and 10 by turns
        "0.3, 0.3, 30, SQUARE, 0, 4",
        "0.2, 0.2, 30, OFFSET, 0, 1",
        "1, 1, 30, SQUARE, 50, 1",
        "1, 0.5, 30, SQUARE, 30, 0"
    })
    void holdsWhatStandsOnPaper(double length, double breadth, double spacing, Bed.Rows rows, double edge, int plants) {
        assertThat(new Bed(length, breadth, spacing, rows, edge).plants()).isEqualTo(plants);
    }

    /** On a wide field offset rows hold 15 in 100 more. */
    @Test
    void offsetRowsHoldFifteenInAHundredMore() {
        double square = new Bed(60, 60, 30, Bed.Rows.SQUARE, 0).plants();
        double offset = new Bed(60, 60, 30, Bed.Rows.OFFSET, 0).plants();
        assertThat(offset / square).isBetween(1.14, 1.16);
    }

    @Test
    void aLengthForSoManyHoldsThemAndAHandLessDoesNot() {
        Bed bed = new Bed(1, 1.2, 30, Bed.Rows.OFFSET, 15);
        for (int plants : new int[] {1, 7, 100, 132}) {
            double length = bed.lengthFor(plants);
            assertThat(new Bed(length, 1.2, 30, Bed.Rows.OFFSET, 15).plants()).isGreaterThanOrEqualTo(plants);
            if (length > 0.46) {
                assertThat(new Bed(length - 0.16, 1.2, 30, Bed.Rows.OFFSET, 15).plants())
                        .isLessThan(plants);
            }
        }
    }

    @Test
    void isNeitherEmptyNorAllEdge() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Bed(0, 1, 30, Bed.Rows.SQUARE, 0));
        assertThatIllegalArgumentException().isThrownBy(() -> new Bed(1, 1, 30, Bed.Rows.SQUARE, -1));
        assertThatIllegalStateException().isThrownBy(() -> new Bed(1, 0.5, 30, Bed.Rows.SQUARE, 30).lengthFor(1));
    }
}
