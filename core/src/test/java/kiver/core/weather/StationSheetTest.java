package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.sheet.DateOrder;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import org.junit.jupiter.api.Test;

/** Files of stations as they come: each is read rightly, or refused with the reason. */
class StationSheetTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final LocalDate FIRST = LocalDate.of(2027, 4, 1);

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
        assertThat(sheet.days()).containsOnlyKeys(FIRST, LocalDate.of(2027, 4, 4));
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
    void semicolonsAndDecimalCommasWithLocalDays() {
        StationSheet sheet = read("Datum;Tmax;Tmin;Niederschlag\n1.4.2027;9,0;-1,5;0,2\n02.04.2027;11,5;2,0;3,4\n");
        assertThat(sheet.layout().separator()).isEqualTo(StationLayout.Separator.SEMICOLON);
        assertThat(sheet.days()).containsEntry(FIRST, new DailyRange(-1.5, 9)).hasSize(2);
        assertThat(sheet.faults()).isEmpty();
    }

    @Test
    void tabsInLatinLettersBehindAPreface() {
        byte[] latin =
                "Station H\u00f6he 600 m\n\nTag\tH\u00f6chste (\u00b0C)\tTiefste (\u00b0C)\n2027-04-01\t9\t-1\n2027-04-02\t8\t-2\n"
                        .getBytes(StandardCharsets.ISO_8859_1);
        StationSheet sheet = StationSheet.read("s.txt", latin, TODAY);
        assertThat(sheet.layout().separator()).isEqualTo(StationLayout.Separator.TAB);
        assertThat(sheet.days()).containsEntry(FIRST, new DailyRange(-1, 9)).hasSize(2);
    }

    @Test
    void fahrenheitByItsHeadingAndByItsFigures() {
        StationSheet named = read("Date,High °F,Low °F\n4/1/2027,50,32\n4/13/2027,41,23\n");
        assertThat(named.layout().unit()).isEqualTo(StationLayout.Unit.FAHRENHEIT);
        assertThat(named.layout().dates()).isEqualTo(DateOrder.MONTH_FIRST);
        assertThat(named.days()).containsEntry(FIRST, new DailyRange(0, 10));
        StationSheet bare = read(IntStream.rangeClosed(1, 30)
                .mapToObj(day -> "2026-06-%02d,48,%d".formatted(day, 60 + day % 7))
                .collect(Collectors.joining("\n")));
        assertThat(bare.layout().unit()).isEqualTo(StationLayout.Unit.FAHRENHEIT);
        assertThat(bare.days()).hasSize(30);
    }

    @Test
    void tenthsOfDegreesWithoutMarksBetweenTheDays() {
        StationSheet sheet =
                read("STAID,DATE,TX,TN\n12,20260701,245,131\n12,20260702,251,140\n12,20260703,-9999,-9999\n");
        assertThat(sheet.layout().unit()).isEqualTo(StationLayout.Unit.TENTHS_OF_CELSIUS);
        assertThat(sheet.days())
                .containsEntry(LocalDate.of(2026, 7, 1), new DailyRange(13.1, 24.5))
                .hasSize(2);
        assertThat(sheet.faults()).as("what it does not have is a gap").isEmpty();
    }

    @Test
    void noHeadingAndEitherOrder() {
        StationSheet sheet = read("2027-04-01,9,-1.5\n2027-04-02,11,2\n");
        assertThat(sheet.layout().lowest()).contains(2);
        assertThat(sheet.days()).containsEntry(FIRST, new DailyRange(-1.5, 9));
    }

    @Test
    void readingsOfEachQuarterHourAreSummedUpByDay() {
        StringBuilder text = new StringBuilder("Time,Indoor Temperature,Outdoor Temperature,Humidity\n");
        for (int quarter = 0; quarter < 96; quarter++) {
            text.append("2027-04-01 %02d:%02d,21.0,%.1f,80%n".formatted(quarter / 4, quarter % 4 * 15, quarter / 10.0));
        }
        for (int hour = 0; hour < 5; hour++) {
            text.append("2027-04-02 %02d:00,21.0,3.0,80%n".formatted(hour));
        }
        StationSheet sheet = read(text.toString());
        assertThat(sheet.layout().reading()).contains(2);
        assertThat(sheet.days()).containsOnlyKeys(FIRST).containsEntry(FIRST, new DailyRange(0, 9.5));
        assertThat(sheet.faults())
                .containsExactly(
                        new SheetFault("station.csv", 98, new EntryFault.TooFewHours(LocalDate.of(2027, 4, 2), 5)));
    }

    @Test
    void hourlyReadingsWithTheTimeInAColumnOfItsOwn() {
        String text = IntStream.range(0, 48)
                .mapToObj(hour -> "%d/04/2027;%02d:00;%d,5".formatted(1 + hour / 24, hour % 24, hour % 24))
                .collect(Collectors.joining("\n", "Date;Heure;Temp\n", "\n"));
        StationSheet sheet = read(text);
        assertThat(sheet.layout().time()).contains(1);
        assertThat(sheet.days()).containsEntry(FIRST, new DailyRange(0.5, 23.5)).hasSize(2);
    }

    @Test
    void hoursOfTheMorningAndTheEvening() {
        String text = IntStream.range(0, 24)
                .mapToObj(hour ->
                        "4/1/27 %d:05 %s,%d".formatted(hour % 12 == 0 ? 12 : hour % 12, hour < 12 ? "AM" : "PM", hour))
                .collect(Collectors.joining("\n", "Time,Outdoor\n", "\n4/13/27 1:00 PM,3\n"));
        StationSheet sheet = read(text);
        assertThat(sheet.days()).containsOnlyKeys(FIRST).containsEntry(FIRST, new DailyRange(0, 23));
    }

    @Test
    void daysThatCouldBeMonthsAreTakenInTheOrderInWhichTheyFollow() {
        StationSheet american = read("date,min,max\n1/1/2027,1,5\n1/2/2027,2,6\n1/3/2027,3,7\n1/4/2027,1,4\n");
        assertThat(american.layout().dates()).isEqualTo(DateOrder.MONTH_FIRST);
        StationSheet chosen = StationSheet.read(
                "s.csv",
                "date,min,max\n3/4/2027,1,5\n".getBytes(StandardCharsets.UTF_8),
                TODAY,
                new StationLayout.Chosen(
                        Optional.of(DateOrder.MONTH_FIRST),
                        Optional.of(StationLayout.Unit.TENTHS_OF_CELSIUS),
                        Optional.empty(),
                        Optional.of(2),
                        Optional.of(1),
                        Optional.empty()));
        assertThat(chosen.faults()).hasSize(1);
        assertThat(chosen.layout().lowest()).contains(2);
    }

    @Test
    void aThermometerThatIsStuckIsNoWeather() {
        StringBuilder text = new StringBuilder("day,minimum,maximum\n2027-03-01,4,4\n");
        for (int day = 2; day <= 8; day++) {
            text.append("2027-03-%02d,3,9\n".formatted(day));
        }
        text.append("2027-03-09,2,9\n");
        StationSheet sheet = read(text.toString());
        assertThat(sheet.days()).containsOnlyKeys(LocalDate.of(2027, 3, 9));
        assertThat(sheet.faults())
                .hasSize(8)
                .allSatisfy(fault -> assertThat(fault.fault()).isInstanceOf(EntryFault.Stuck.class));
    }

    @Test
    void theSameFileTwiceInOneIsToldLineByLine() {
        String once = "2027-04-01,1,9\n2027-04-02,2,8\n";
        StationSheet sheet = read("day,minimum,maximum\n" + once + once);
        assertThat(sheet.days()).hasSize(2);
        assertThat(sheet.faults()).extracting(SheetFault::line).containsExactly(4L, 5L);
    }

    @Test
    void ofAnotherPlanetNothingIsTaken() {
        StationSheet sheet = read("sol,tmin,tmax\n2027-04-01,-93,-12\n2027-04-02,-95,-11\n");
        assertThat(sheet.days()).isEmpty();
        assertThat(sheet.faults()).hasSize(2);
    }

    @Test
    void whatIsNoStationsFileIsRefused() {
        assertThatThrownBy(() -> read("\n\n")).hasMessageContaining("EmptyFile");
        assertThatThrownBy(() -> read("variety;seeds\nHill Curl;40\n"))
                .isInstanceOf(FaultySheetException.class)
                .hasMessageContaining("NoDays");
        assertThatThrownBy(() -> read("date,rain\n2027-04-01,4\n")).hasMessageContaining("HeadingLacks");
        assertThat(read("\uFEFFday,minimum,maximum\n" + "\n".repeat(1000) + "2027-04-01,1.5,9\n")
                        .days())
                .hasSize(1);
    }

    private static StationSheet read(String text) {
        return StationSheet.read("station.csv", text.getBytes(StandardCharsets.UTF_8), TODAY);
    }
}
