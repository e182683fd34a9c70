package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kiver.core.crop.CropCode;
import kiver.core.crop.LongDays;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PestAndBoltingTest {

    private static final LongDays SPINACH = new LongDays(14, 15);

    private static final PestSpan BORER = new PestSpan(
            Pest.SQUASH_BORER, Set.of(new CropCode("courgette")), MonthDay.of(6, 10), MonthDay.of(7, 25), 28, false);

    /** Three years of a smooth valley: 0 °C in January, 20 °C in July, in the mean. */
    private static StationRecord valley(boolean northern) {
        List<DailyRange> days = new ArrayList<>();
        for (int day = 0; day < 3 * 365; day++) {
            double mean = 10 - 10 * Math.cos(2 * Math.PI * (day - 20 - (northern ? 0 : 182)) / 365.0);
            days.add(new DailyRange(mean - 5, mean + 5));
        }
        return new StationRecord(LocalDate.of(2021, 1, 1), days);
    }

    @Test
    void longHotDaysBeginWhenBothAreThere() {
        LongHotDays days = LongHotDays.of(SPINACH, 0, valley(true), 46);

        // 15 °C is reached four months after the coldest day; 14 hours are there from 1 May to 12 August at 46°.
        assertThat(LocalDate.ofYearDay(2027, days.firstOfYear()))
                .isBetween(LocalDate.of(2027, 5, 17), LocalDate.of(2027, 5, 25));
        assertThat(LocalDate.ofYearDay(2027, days.lastOfYear()))
                .isBetween(LocalDate.of(2027, 8, 8), LocalDate.of(2027, 8, 16));
    }

    @ParameterizedTest(name = "sown {0} and cut {1} days later it bolts: {2}")
    @CsvSource({
        "2027-03-01, 80, false",
        "2027-04-20, 80, true",
        "2027-06-10, 70, true",
        "2027-08-01, 70, false",
        "2028-02-29, 60, false"
    })
    void whatStandsThroughThemBolts(LocalDate sown, int days, boolean bolts) {
        LongHotDays longDays = LongHotDays.of(SPINACH, 0, valley(true), 46);
        assertThat(longDays.bolts(sown, sown.plusDays(days))).isEqualTo(bolts);
    }

    @Test
    void itIsSownAgainInLateSummer() {
        LongHotDays days = LongHotDays.of(SPINACH, 0, valley(true), 46);
        LocalDate again = days.sowAgainFrom(LocalDate.of(2027, 5, 10), 70).orElseThrow();

        assertThat(again).isBetween(LocalDate.of(2027, 7, 10), LocalDate.of(2027, 7, 31));
        assertThat(days.bolts(again.minusDays(1), again.minusDays(1).plusDays(70)))
                .isTrue();
        assertThat(LongHotDays.of(SPINACH, -8, valley(true), 46)
                        .bolts(LocalDate.of(2027, 6, 1), LocalDate.of(2027, 8, 30)))
                .as("on a cool height it may be sown all summer")
                .isFalse();
    }

    @Test
    void inTheSouthTheyLieOverNewYear() {
        LongHotDays days = LongHotDays.of(SPINACH, 0, valley(false), -46);
        assertThat(days.isOne(LocalDate.of(2027, 1, 5))).isTrue();
        assertThat(days.isOne(LocalDate.of(2027, 7, 5))).isFalse();
        assertThat(days.bolts(LocalDate.of(2027, 11, 10), LocalDate.of(2028, 1, 20)))
                .isTrue();
    }

    @Test
    void whereTheDayNeverShortensItIsNotSownAtAll() {
        LongHotDays always = new LongHotDays(SPINACH, 1, 365);
        assertThat(always.sowAgainFrom(LocalDate.of(2027, 5, 1), 60)).isEmpty();
        assertThat(LongHotDays.NONE.sowAgainFrom(LocalDate.of(2027, 5, 1), 60)).contains(LocalDate.of(2027, 5, 1));
    }

    @Test
    void aPestComesLaterUpTheValley() {
        LocalDate day = LocalDate.of(2027, 6, 20);
        assertThat(BORER.at(0, true, List.of(), day).from()).isEqualTo(LocalDate.of(2027, 6, 10));
        // 366 m are 12 days.
        assertThat(BORER.at(366, true, List.of(), day).from()).isEqualTo(LocalDate.of(2027, 6, 22));
        assertThat(BORER.at(366, true, List.of(), day).until()).isEqualTo(LocalDate.of(2027, 8, 6));
    }

    @Test
    void whatAGrowerSawMovesIt() {
        LocalDate day = LocalDate.of(2028, 6, 20);
        List<PestSpan.Seen> once = List.of(new PestSpan.Seen(Pest.SQUASH_BORER, LocalDate.of(2027, 7, 1)));
        // 21 days later than usual once, worth two thirds against the law of height.
        assertThat(BORER.at(0, true, once, day).from()).isEqualTo(LocalDate.of(2028, 6, 24));
        List<PestSpan.Seen> other = List.of(new PestSpan.Seen(Pest.CARROT_FLY, LocalDate.of(2027, 7, 1)));
        assertThat(BORER.at(0, true, other, day).from()).isEqualTo(LocalDate.of(2028, 6, 10));
    }

    @Test
    void inTheSouthItComesHalfAYearLater() {
        assertThat(BORER.at(0, false, List.of(), LocalDate.of(2027, 1, 2)).from())
                .isEqualTo(LocalDate.of(2026, 12, 9));
    }

    @Test
    void plantsAreEstablishedBeforeOrGoOutAfterOrStandUnderACover() {
        PestTime time = BORER.at(0, true, List.of(), LocalDate.of(2027, 6, 20));
        assertThat(time.meets(LocalDate.of(2027, 5, 13), Protection.OPEN_GROUND))
                .isFalse();
        assertThat(time.meets(LocalDate.of(2027, 5, 14), Protection.OPEN_GROUND))
                .isTrue();
        assertThat(time.meets(LocalDate.of(2027, 7, 25), Protection.LOW_COVER)).isTrue();
        assertThat(time.meets(LocalDate.of(2027, 7, 26), Protection.OPEN_GROUND))
                .isFalse();
        PestTime kept = new PestTime(Pest.CARROT_FLY, time.from(), time.until(), 28, true);
        assertThat(kept.meets(LocalDate.of(2027, 6, 20), Protection.LOW_COVER)).isFalse();
        assertThat(kept.meets(LocalDate.of(2027, 6, 20), Protection.UNHEATED_TUNNEL))
                .isTrue();
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> new LongDays(30, 15)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(
                        () -> new PestSpan(Pest.CARROT_FLY, Set.of(), MonthDay.of(6, 1), MonthDay.of(5, 1), 10, true))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
