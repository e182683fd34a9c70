package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;

class LightYearTest {

    private static final LocalDate FIRST = LocalDate.of(2020, 1, 1);

    @Test
    void aYearRisesToMidsummerAndFallsAgain() {
        StationRecord record = new StationRecord(FIRST, Collections.nCopies(366, new DailyRange(5, 15)));
        List<LightYear.Week> weeks = LightYear.of(new PlaceLight(0.5, Lamps.giving(2)).at(46), record, 2027);
        assertThat(weeks).hasSize(52);
        assertThat(weeks.get(0).from()).isEqualTo(LocalDate.of(2027, 1, 1));
        assertThat(weeks.get(24).middle()).isGreaterThan(3 * weeks.get(50).middle());
        assertThat(weeks).allSatisfy(week -> {
            assertThat(week.middle()).as("lamps burn in all of it").isGreaterThan(2);
            assertThat(week.low()).as("of one year").isEqualTo(week.high());
        });
    }

    /** Ten dull years and one bright: the band reaches from the dull ones no further than to them. */
    @Test
    void theBandLeavesOutOneYearInTen() {
        List<DailyRange> days = new ArrayList<>();
        for (LocalDate day = FIRST; day.getYear() < 2031; day = day.plusDays(1)) {
            days.add(day.getYear() == 2025 ? new DailyRange(0, 20) : new DailyRange(9, 11));
        }
        LightYear.Week week = LightYear.of(new PlaceLight(1, Lamps.NONE).at(46), new StationRecord(FIRST, days), 2027)
                .get(20);
        assertThat(week.high()).isCloseTo(week.low(), within(0.2));
    }

    @Test
    void weeksOfWhichNothingIsKnownAreLeftOut() {
        StationRecord spring =
                new StationRecord(LocalDate.of(2026, 3, 1), Collections.nCopies(60, new DailyRange(2, 12)));
        assertThat(LightYear.of(new PlaceLight(1, Lamps.NONE).at(46), spring, 2027))
                .hasSize(8)
                .allSatisfy(week -> assertThat(week.from().getMonthValue()).isIn(3, 4));
    }
}
