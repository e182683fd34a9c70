package kiver.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sheets of other people's making. */
class ForeignSheetTest {

    private static final List<Column> COLUMNS = List.of(
            Column.of("code"),
            Column.of("germination"),
            Column.day("tested_on"),
            Column.of("seeds"),
            Column.choice("keeps_mice_out", "yes", "no"),
            Column.choice("protection", "open ground", "low cover"));

    private static final Map<String, List<String>> NAMES = new LinkedHashMap<>();

    static {
        NAMES.put("code", List.of("code", "Code on the packet", "lot"));
        NAMES.put("germination", List.of("germination", "Germination on the label, 0 to 1", "germ %"));
        NAMES.put("tested_on", List.of("tested on", "date"));
        NAMES.put("seeds", List.of("seeds", "quantity"));
        NAMES.put("keeps_mice_out", List.of("keeps mice out", "mice"));
        NAMES.put("protection", List.of("protection", "cover"));
    }

    private static ForeignSheet sheet(String text, Charset letters) {
        return ForeignSheet.of(
                "f.csv", TextTable.of("f.csv", text.getBytes(letters)).rows(), NAMES.values());
    }

    private static Map<String, String> first(ForeignSheet sheet) {
        ForeignSheet.Writing writing = sheet.writing(DateOrder.MONTH_FIRST);
        return ForeignSheet.read(sheet.rows().get(0), COLUMNS, sheet.matched(NAMES), writing)
                .entries();
    }

    @Test
    void aListWithATitleSemicolonsAndDecimalCommas() {
        ForeignSheet sheet = sheet("""
                Unsere Liste;;;
                Stand;31.12.2026;;

                LOT;Keimfähigkeit;Germ. %;Quantity (pieces);Date;Mice;Cover
                Ä-1;gut;92,5 %;1.200;4.3.2026;x;Open-Ground
                """, StandardCharsets.ISO_8859_1);
        assertThat(sheet.headings()).startsWith("LOT", "Keimfähigkeit");
        assertThat(first(sheet))
                .containsEntry("code", "Ä-1")
                .containsEntry("germination", "0.925")
                .containsEntry("seeds", "1200")
                .containsEntry("tested_on", "2026-03-04")
                .containsEntry("keeps_mice_out", "yes")
                .containsEntry("protection", "open ground");
    }

    @Test
    void anAmericanListWithTabs() {
        ForeignSheet sheet = sheet("""
                Seed lot\tGermination\tSeeds\tTested on
                B-7\t0.9\t1,200\t3/4/2026
                """, StandardCharsets.UTF_8);
        assertThat(first(sheet))
                .containsEntry("code", "B-7")
                .containsEntry("germination", "0.9")
                .containsEntry("seeds", "1200")
                .containsEntry("tested_on", "2026-03-04")
                .doesNotContainKey("protection");
    }

    @Test
    void aDayBeyondTheTwelfthTellsTheOrderOfAll() {
        ForeignSheet sheet = sheet("code,date\nA,3/4/2026\nB,13/4/2026\n", StandardCharsets.UTF_8);
        assertThat(sheet.writing(DateOrder.MONTH_FIRST).dates()).isEqualTo(DateOrder.DAY_FIRST);
        assertThat(first(sheet)).containsEntry("tested_on", "2026-04-03");
    }

    @Test
    void noColumnOfTheirsIsTakenTwice() {
        ForeignSheet sheet = sheet("Lot quantity,Lot\n5,A\n", StandardCharsets.UTF_8);
        assertThat(first(sheet)).containsEntry("code", "A").containsEntry("seeds", "5");
    }

    @Test
    void whatIsTheSameForAllIsFilledIn() {
        ForeignSheet sheet = sheet("code\nA\n", StandardCharsets.UTF_8);
        assertThat(ForeignSheet.read(
                                sheet.rows().get(0),
                                COLUMNS,
                                Map.of("seeds", new ForeignSheet.Source.Same("1,5")),
                                new ForeignSheet.Writing(DateOrder.YEAR_FIRST, WrittenNumber.Mark.POINT))
                        .entries())
                .isEqualTo(Map.of("seeds", "1.5"));
    }

    @Test
    void aHeadingAloneIsNothing() {
        assertThatThrownBy(() -> sheet("code,seeds\n", StandardCharsets.UTF_8))
                .isInstanceOf(FaultySheetException.class);
        assertThatThrownBy(() -> sheet("", StandardCharsets.UTF_8)).isInstanceOf(FaultySheetException.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "20,5 | POINT | 20.5",
                "20,5 | COMMA | 20.5",
                "20.5 | COMMA | 20.5",
                "1,000 | POINT | 1000",
                "1,000 | COMMA | 1.000",
                "1.000 | POINT | 1.000",
                "1.000 | COMMA | 1000",
                "1.234.567,8 | COMMA | 1234567.8",
                "1'200 | POINT | 1200",
                "\u22125 | POINT | -5",
                "90 % | POINT | 0.9",
                "0,000 | POINT | 0.000",
                ".5 | POINT | .5",
                "007 | POINT | 007",
            })
    void numbersAreReadAsPeopleWriteThem(String cell, WrittenNumber.Mark mark, String plain) {
        assertThat(WrittenNumber.plain(cell, mark)).contains(plain);
    }

    @ParameterizedTest
    @CsvSource({"'1,2,3'", "1.2.3", "12a", "''", "-", "1e5", "0x10", "'1,23,456'"})
    void whatIsNoNumberStays(String cell) {
        assertThat(WrittenNumber.plain(cell, WrittenNumber.Mark.POINT)).isEmpty();
        assertThat(WrittenNumber.plain(cell, WrittenNumber.Mark.COMMA)).isEmpty();
    }

    @Test
    void theMarkIsTheOneThatMoreCellsTell() {
        assertThat(WrittenNumber.markOf(List.of("1,5", "2,75", "1.000", "3"))).isEqualTo(WrittenNumber.Mark.COMMA);
        assertThat(WrittenNumber.markOf(List.of("1.5", "1,000"))).isEqualTo(WrittenNumber.Mark.POINT);
        assertThat(WrittenNumber.markOf(List.of())).isEqualTo(WrittenNumber.Mark.POINT);
    }
}
