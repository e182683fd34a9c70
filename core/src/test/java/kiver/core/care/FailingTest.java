package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.care.Failing.Cause;
import kiver.core.care.Failing.Evidence;
import kiver.core.care.Failing.Sign;
import kiver.core.care.Failing.Suspect;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FailingTest {

    /** Worked by hand: yellow, fed and never dry: 0.4 × 5 against 0.3 × 0.25, 0.12, 0.1 and 0.08. */
    @Test
    void theRecordMakesACauseLikelierOrLess() {
        Failing.Answer answer =
                Failing.of(Sign.YELLOW, Map.of(Cause.TOO_WET, Evidence.FOR, Cause.HUNGRY, Evidence.AGAINST));
        assertThat(answer.suspects().get(0).cause()).isEqualTo(Cause.TOO_WET);
        assertThat(answer.suspects().get(0).share()).isCloseTo(2 / (2 + 0.075 + 0.3), within(1e-9));
        assertThat(answer.clear()).isTrue();
        assertThat(answer.suspects()).extracting(Suspect::cause).doesNotContain(Cause.HUNGRY);
    }

    @Test
    void whereNothingWasNotedTheRecordCannotTell() {
        assertThat(Failing.of(Sign.STUNTED, Map.of()).clear()).isFalse();
        assertThat(Failing.of(Sign.SNAPPED_OFF, Map.of()).clear())
                .as("likely, and yet nobody has seen one")
                .isFalse();
        assertThat(Failing.of(Sign.DROOPING, Map.of(Cause.TOO_DRY, Evidence.FOR, Cause.TOO_WET, Evidence.FOR))
                        .clear())
                .as("two speak against each other")
                .isFalse();
    }

    @ParameterizedTest
    @EnumSource(Sign.class)
    void everySignHasItsCausesWhateverTheRecordSays(Sign sign) {
        for (Evidence evidence : Evidence.values()) {
            Failing.Answer answer = Failing.of(
                    sign, Arrays.stream(Cause.values()).collect(Collectors.toMap(cause -> cause, cause -> evidence)));
            assertThat(answer.suspects()).isNotEmpty();
            assertThat(answer.suspects().stream().mapToDouble(Suspect::share).sum())
                    .isBetween(0.85, 1 + 1e-9);
        }
    }
}
