package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import kiver.core.plan.Hindrance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Why seed cannot be sown in place can be read aloud. */
class HindranceWordsTest {

    static Stream<Arguments> hindrances() {
        return Stream.of(
                Arguments.of(new Hindrance.NoSeedInStore(), "There is no seed of it in the store."),
                Arguments.of(
                        new Hindrance.GroundNeverFit(),
                        "The ground there is not warm and safe enough for it on any day that can be looked at."),
                Arguments.of(new Hindrance.TooFewSeeds(1200, 80), "Sown in place it takes 1,200 seeds; 80 are free."));
    }

    @ParameterizedTest
    @MethodSource("hindrances")
    void saysWhyItCannotBeSownInPlace(Record hindrance, String words) {
        assertThat(new Wording().say(Said.of(hindrance))).isEqualTo(words);
    }
}
