package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import kiver.core.pot.PotRemark;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What speaks against a pot can be read aloud. */
class PotRemarkWordsTest {

    static Stream<Arguments> potRemarks() {
        return Stream.of(
                Arguments.of(
                        new PotRemark.TooNarrow(70, 80), "70 mm across; a thumb of new mix all round asks for 80 mm."),
                Arguments.of(new PotRemark.TooShallow(60, 65), "60 mm deep; a thumb of new mix below asks for 65 mm."),
                Arguments.of(
                        new PotRemark.StaysWet(6),
                        "About 6 times the plug: so much new mix stays wet and goes sour. Water it sparingly, or take a smaller pot."),
                Arguments.of(new PotRemark.TooFewInTheShed(1, 60), "1 is in the shed, 60 are needed."),
                Arguments.of(new PotRemark.NeverCounted(), "Nobody has counted how many are in the shed."));
    }

    @ParameterizedTest
    @MethodSource("potRemarks")
    void saysWhatSpeaksAgainstAPot(Record remark, String words) {
        assertThat(new Wording().say(Said.of(remark))).isEqualTo(words);
    }
}
