package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import org.junit.jupiter.api.Test;

class YearCharacterTest {

    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);

    /** Five degrees all year, ten in spring, June days of 26, and one frost on 3 October. */
    private static StationRecord year(boolean northern) {
        List<DailyRange> days = FIRST.datesUntil(FIRST.plusDays(600))
                .map(day -> {
                    Month month = day.getMonth().plus(northern ? 0 : 6);
                    if (month == Month.OCTOBER && day.getDayOfMonth() == 3) {
                        return new DailyRange(0, 5);
                    }
                    return switch (month) {
                        case MARCH, APRIL, MAY -> new DailyRange(6, 14);
                        case JUNE -> new DailyRange(12, 26);
                        default -> new DailyRange(3, 7);
                    };
                })
                .toList();
        return new StationRecord(FIRST, days);
    }

    @Test
    void aYearIsRememberedByItsSpringItsJuneAndItsFirstFrost() {
        YearCharacter character = YearCharacter.of(year(true), FIRST.plusDays(40), true);
        assertThat(character.spring()).hasValue(10);
        assertThat(character.earlySummer()).hasValue(26);
        assertThat(character.firstFrost()).contains(LocalDate.of(2027, 10, 3));
    }

    @Test
    void inTheSouthTheSeasonsLieHalfAYearLater() {
        YearCharacter character = YearCharacter.of(year(false), FIRST, false);
        assertThat(character.spring()).hasValue(10);
        assertThat(character.earlySummer()).hasValue(26);
        assertThat(character.firstFrost()).contains(LocalDate.of(2027, 4, 3));
    }

    @Test
    void whatDoesNotLieAheadIsNotSaid() {
        StationRecord january = new StationRecord(FIRST, year(true).days().subList(0, 31));
        YearCharacter character = YearCharacter.of(january, FIRST, true);
        assertThat(character.spring()).isEmpty();
        assertThat(character.earlySummer()).isEmpty();
        assertThat(character.firstFrost()).isEmpty();
    }
}
