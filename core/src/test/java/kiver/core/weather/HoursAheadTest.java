package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class HoursAheadTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);

    @Test
    void fallsFromTheAfternoonToTheMorning() {
        HoursAhead night = new HoursAhead(DAY, 16, 2);
        assertThat(night.at(DAY.atTime(9, 0))).isEqualTo(16);
        assertThat(night.at(DAY.atTime(22, 0))).isCloseTo(9, within(1e-9));
        assertThat(night.at(DAY.plusDays(1).atTime(5, 0))).isEqualTo(2);
        // From 15 h: 16 = 2 + 14 x (1 + cos x) / 2 is 5 at x = 2.182, so after 9.7 of 14 hours, at a quarter to one.
        assertThat(night.firstWhen(DAY.atTime(8, 0), celsius -> celsius < 5))
                .contains(DAY.plusDays(1).atTime(0, 45));
    }

    @Test
    void whatWillNotBeIsNothing() {
        HoursAhead night = new HoursAhead(DAY, 16, 6);
        assertThat(night.firstWhen(DAY.atTime(8, 0), celsius -> celsius < 5)).isEmpty();
        assertThat(night.firstWhen(DAY.plusDays(1).atTime(7, 0), celsius -> celsius < 16))
                .as("the night is over")
                .isEmpty();
        assertThat(night.firstWhen(DAY.atTime(18, 0), celsius -> celsius < 16)).contains(DAY.atTime(18, 0));
    }
}
