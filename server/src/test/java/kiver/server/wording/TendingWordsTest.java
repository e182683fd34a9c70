package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.today.WhyNow;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Why somebody brushes or pinches can be read aloud. */
class TendingWordsTest {

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(
                        new WhyNow.WantsBrushing(),
                        "Brush the tops to and fro with a hand or a rod, when the leaves are dry: stems stay short."),
                Arguments.of(
                        new WhyNow.HasLeavesForPinching(6),
                        "Has 6 true leaves: take the tips out above the upper ones, for side shoots."),
                Arguments.of(
                        new WhyNow.MayFlower(8, Optional.empty()),
                        "Has 8 true leaves and may show flowers: take them off, so that roots and leaves grow."),
                Arguments.of(
                        new WhyNow.MayFlower(8, Optional.of(LocalDate.of(2027, 4, 15))),
                        "Has 8 true leaves and may show flowers: take them off, so that roots and leaves grow. Done last on Thu 15 Apr."));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void saysWhyItIsDone(Record why, String words) {
        assertThat(new Wording().say(Said.of(why))).isEqualTo(words);
    }
}
