package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import org.junit.jupiter.api.Test;

class StationSheetTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);

    @Test
    void takesWhatIsRightAndTellsWhatIsNotByItsLine() {
        StationSheet sheet = read("""
                day,minimum,maximum
                2027-04-01,-1.5,9
                2027-04-02,11,2
                2027-04-03,2,
                2027-04-04,2,75
                2027-04-04,2,11
                2027-04-04,2,12
                2027-13-05,2,11
                2027-04-15,2,11
                """);
        assertThat(sheet.days()).containsOnlyKeys(LocalDate.of(2027, 4, 1), LocalDate.of(2027, 4, 4));
        assertThat(sheet.faults()).extracting(SheetFault::line).containsExactly(3L, 4L, 5L, 7L, 8L, 9L);
        assertThat(sheet.faults().get(0).fault()).isEqualTo(new EntryFault.Swapped(11, 2));
        assertThat(sheet.faults().get(1).fault()).isEqualTo(new EntryFault.Empty("maximum"));
        assertThat(sheet.faults().get(2).fault()).isEqualTo(new EntryFault.NeverMeasured(2, 75));
        assertThat(sheet.faults().get(3).fault()).isEqualTo(new EntryFault.DayTwice(LocalDate.of(2027, 4, 4)));
        assertThat(sheet.faults().get(4).fault()).isEqualTo(new EntryFault.NotADay("day", "2027-13-05"));
        assertThat(sheet.faults().get(5).fault()).isEqualTo(new EntryFault.NotOverYet(LocalDate.of(2027, 4, 15)));
        assertThat(sheet.gaps())
                .containsExactly(new StationSheet.Gap(LocalDate.of(2027, 4, 2), LocalDate.of(2027, 4, 3)));
        assertThat(sheet.gaps().get(0).days()).isEqualTo(2);
    }

    @Test
    void refusesAFileInFahrenheit() {
        StringBuilder text = new StringBuilder("day,minimum,maximum\n");
        for (int day = 1; day <= 30; day++) {
            text.append("2026-06-%02d,48,%d%n".formatted(day, 50 + day % 7).replace(System.lineSeparator(), "\n"));
        }
        assertThatThrownBy(() -> read(text.toString())).hasMessageContaining("LooksFahrenheit");
    }

    @Test
    void refusesWrongSeparatorsEncodingsAndHeadings() {
        assertThatThrownBy(() -> read("day;minimum;maximum\n2027-04-01;1,5;9\n"))
                .isInstanceOf(FaultySheetException.class)
                .hasMessageContaining("SEMICOLONS");
        assertThatThrownBy(() -> read("date,minimum,maximum\n2027-04-01,1.5,9\n"))
                .hasMessageContaining("HeadingLacks[missing=[day]");
        assertThatThrownBy(() -> read("\n\n")).hasMessageContaining("EmptyFile");
        byte[] latin = "# caf\u00e9\nday,minimum,maximum\n".getBytes(StandardCharsets.ISO_8859_1);
        assertThatThrownBy(() -> StationSheet.read("s.csv", latin, TODAY))
                .hasMessageContaining("line 1")
                .hasMessageContaining("NotUnicode");
        assertThat(read("\uFEFFday,minimum,maximum\n2027-04-01,1.5,9\n").days()).hasSize(1);
    }

    private static StationSheet read(String text) {
        return StationSheet.read("station.csv", text.getBytes(StandardCharsets.UTF_8), TODAY);
    }
}
