package kiver.server.wall;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FoldedLinesTest {

    @ParameterizedTest
    @ValueSource(strings = {"x", "ü", "€", "🌱", "aü€🌱 "})
    void noLineIsLongerThanSeventyFiveOctetsAndNothingIsLost(String letters) {
        String lines = "BEGIN:VEVENT\r\nSUMMARY:" + letters.repeat(200) + "\r\nEND:VEVENT\r\n";
        String folded = FoldedLines.of(lines);
        assertThat(Arrays.stream(folded.split("\r\n"))
                        .mapToInt(line -> line.getBytes(StandardCharsets.UTF_8).length)
                        .max()
                        .orElseThrow())
                .isBetween(60, 75);
        assertThat(folded.replace("\r\n ", "")).isEqualTo(lines);
    }

    @Test
    void shortLinesStayAsTheyAre() {
        assertThat(FoldedLines.of("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n"))
                .isEqualTo("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n");
    }
}
