package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.harden.Outing;
import kiver.core.today.WhyNow;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What becomes of a day of hardening can be read aloud. */
class OutingWordsTest {

    private static WhyNow day(int hours, boolean sun, Outing.Day byDay, Outing.Cause because, Outing.Night atNight) {
        return new WhyNow.HardeningGoesOn(
                2,
                9,
                hours,
                sun,
                sun,
                byDay,
                Optional.ofNullable(because),
                atNight != Outing.Night.OUT && hours == 24,
                atNight);
    }

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(
                        day(2, false, Outing.Day.OUT, null, Outing.Night.IN),
                        "Day 2 of 9. Out for 2 hours, in the shade, out of the wind."),
                Arguments.of(
                        day(24, true, Outing.Day.OUT, null, Outing.Night.OUT),
                        "Day 2 of 9. Out all day. Out at night, too."),
                Arguments.of(
                        day(24, true, Outing.Day.OUT, null, Outing.Night.FROST_BLANKET),
                        "Day 2 of 9. Out all day. A frost blanket over them for the night."),
                Arguments.of(
                        day(24, true, Outing.Day.OUT, null, Outing.Night.IN),
                        "Day 2 of 9. Out all day. Bring in for the night, it will be too cold."),
                Arguments.of(
                        day(5, true, Outing.Day.SHELTERED, Outing.Cause.WIND, Outing.Night.IN),
                        "Day 2 of 9. Out for 5 hours, but in the lee and under a roof: gusts they are not used to."),
                Arguments.of(
                        day(5, true, Outing.Day.UNTIL_ONE, Outing.Cause.AFTERNOON_SUN, Outing.Night.IN),
                        "Day 2 of 9. Out until one o’clock, then in or under shade: the afternoon sun would scorch them."),
                Arguments.of(
                        day(5, true, Outing.Day.IN, Outing.Cause.HAIL, Outing.Night.IN),
                        "Day 2 of 9. Leave in today: hail is likely. The day is had later."));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void saysWhatBecomesOfTheDay(Record why, String words) {
        assertThat(new Wording().say(Said.of(why))).isEqualTo(words);
    }
}
