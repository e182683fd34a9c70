package kiver.core.growth;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GrowingYearTest {

    @ParameterizedTest
    @CsvSource({
        "2027-03-01, 46, 2027",
        "2027-09-30, 46, 2027",
        "2027-10-01, 46, 2028",
        "2027-12-31, 46, 2028",
        "2028-02-29, 46, 2028",
        "2027-03-31, -38, 2026",
        "2027-04-01, -38, 2027",
        "2028-02-29, -38, 2027"
    })
    void isNamedByItsSpring(LocalDate day, double latitude, int number) {
        GrowingYear year = GrowingYear.of(day, latitude);
        assertThat(year.number()).isEqualTo(number);
        assertThat(day).isBetween(year.firstDay(), year.lastDay());
    }

    @Test
    void oneFollowsTheOther() {
        for (double latitude : new double[] {61, -38}) {
            GrowingYear year = GrowingYear.of(LocalDate.of(2027, 6, 1), latitude);
            assertThat(GrowingYear.of(year.lastDay().plusDays(1), latitude))
                    .isEqualTo(new GrowingYear(year.number() + 1, year.south()));
        }
    }
}
