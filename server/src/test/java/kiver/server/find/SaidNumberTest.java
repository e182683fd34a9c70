package kiver.server.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SaidNumberTest {

    private static final SaidNumber.KindWords ENGLISH = word -> EnumSet.allOf(FoundKind.class).stream()
            .filter(kind -> kind.name().toLowerCase().contains(word.toLowerCase()))
            .collect(() -> EnumSet.noneOf(FoundKind.class), Set::add, Set::addAll);

    @ParameterizedTest
    @CsvSource({
        "T1042, 1042, TRAY",
        "t 1042, 1042, TRAY",
        "tray 1042, 1042, TRAY",
        "http://127.0.0.1:8080/trays/1042, 1042, TRAY",
        "https://kiver.example/orders/103/, 103, ORDER",
        "/trace/notes/501, 501, NOTE",
        "Batch #214, 214, BATCH",
        "note 501, 501, NOTE"
    })
    void saysWhatTheNumberIsOf(String text, int number, FoundKind kind) {
        assertThat(SaidNumber.of(text, ENGLISH)).contains(new SaidNumber(number, Set.of(kind)));
    }

    @Test
    void aNumberAloneMayBeOfAnythingThatHasOne() {
        assertThat(SaidNumber.of("214", ENGLISH).orElseThrow().kinds())
                .containsExactlyInAnyOrder(FoundKind.TRAY, FoundKind.BATCH, FoundKind.ORDER, FoundKind.NOTE);
    }

    @ParameterizedTest
    @CsvSource({"kale", "T", "12 May", "99999999999", "lot 7b", "tray", "-3", "https://kiver.example/lots/7"})
    void othersAreNoNumbers(String text) {
        assertThat(SaidNumber.of(text, ENGLISH)).isEmpty();
    }
}
