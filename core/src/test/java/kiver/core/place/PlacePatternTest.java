package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacePatternTest {

    @ParameterizedTest
    @CsvSource({
        // two by two lengthwise, or four across and one deep
        "120, 60, 4",
        "54, 28, 1",
        "53, 28, 0",
        // a sill takes them one behind the other only
        "140, 30, 2",
        "28, 54, 1",
        "300, 90, 15",
        "0, 90, 0"
    })
    void traysStandTheWayInWhichMoreFit(double length, double breadth, int trays) {
        assertThat(PlacePattern.traysOn(length, breadth)).isEqualTo(trays);
        assertThat(PlacePattern.traysOn(breadth, length)).isEqualTo(trays);
    }
}
