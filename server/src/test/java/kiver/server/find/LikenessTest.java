package kiver.server.find;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikenessTest {

    @ParameterizedTest
    @CsvSource({
        "grey anvil, Grey Anvil, Curly kale, 4",
        "ÄNVIL GREY, Grey Anvil, Curly kale, 2",
        "grey, Grey Anvil, Curly kale, 3",
        "anv, Grey Anvil, Curly kale, 2",
        "kale, Grey Anvil, Curly kale, 1",
        "nvil, Grey Anvil, Curly kale, 1",
        "nv, Grey Anvil, Curly kale, 0",
        "grey rose, Grey Anvil, Curly kale, 0",
        "lowen, Löwenzahn, '', 3",
        "strasse, Straße, '', 4",
        "L-17, L/17, Fennick, 4",
        "%, Grey Anvil, Curly kale, 0"
    })
    void fitsWhateverTheAccentsAndTheOrderOfWords(String typed, String name, String beside, int likeness) {
        assertThat(new Likeness(typed).of(name, beside)).isEqualTo(likeness);
    }
}
