package kiver.server;

import static kiver.server.Spreadsheets.formula;
import static kiver.server.Spreadsheets.number;
import static kiver.server.Spreadsheets.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** What the nursery has comes in from any spreadsheet: looked over first, taken whole or not at all. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SheetFilesTest {

    private static final String SUPPLIER = "\"supplier\":{\"same\":\"Seed house\"}";
    private static final String TESTED = "\"tested_seeds\":{\"same\":\"100\"}";

    @Autowired
    SmallNursery nursery;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    /** With a formula, merged cells, a date and a share of a hundred, and a page that holds something else. */
    private static byte[] seed() throws Exception {
        return Spreadsheets.workbook(
                "<row r=\"1\">" + text("A1", "Our seed, winter") + "</row><row r=\"3\">" + text("A3", "Lot")
                        + text("B3", "Cultivar") + text("C3", "Germ.") + text("D3", "Packed") + text("E3", "Pieces")
                        + "</row><row r=\"4\">" + text("A4", "X-1") + text("B4", "Test kale") + number("C4", "0.87", 2)
                        + number("D4", "46082", 1) + formula("E4", "2*600", "1200") + "</row><row r=\"5\">"
                        + text("A5", "X-2") + text("B5", "Test kale") + number("C5", "91", 0) + number("D5", "46083", 1)
                        + number("E5", "350", 0) + "</row>",
                "<mergeCells count=\"1\"><mergeCell ref=\"A1:E1\"/></mergeCells>");
    }

    @Test
    @Order(1)
    void aWorkbookIsLookedOverAndNothingIsTaken() throws Exception {
        look("lots", "seed.xlsx", seed(), null)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(false))
                .andExpect(jsonPath("$.pages", contains("Notes", "Seed")))
                .andExpect(jsonPath("$.page").value(1))
                .andExpect(jsonPath("$.headings", contains("Lot", "Cultivar", "Germ.", "Packed", "Pieces")))
                .andExpect(jsonPath("$.rows").value(2))
                .andExpect(jsonPath("$.faulty").value(2))
                .andExpect(jsonPath("$.faults[0].line").value(4))
                .andExpect(jsonPath("$.faults[0].problem", containsString("Seeds tested")))
                .andExpect(
                        jsonPath("$.columns[?(@.name=='tested_on')].first[0]").value("2026-03-01"))
                .andExpect(jsonPath("$.columns[?(@.name=='seeds')].first[0]").value("1200"))
                .andExpect(
                        jsonPath("$.columns[?(@.name=='germination')].column").value(2));
        assertThat(lots()).isEqualTo(2);
    }

    @Test
    @Order(2)
    void whatTheFileLacksIsTheSameForAllAndTheMatchIsRemembered() throws Exception {
        String matching = """
                {"code":{"column":0},"variety":{"column":1},"germination":{"column":2},"tested_on":{"column":3},
                 "seeds":{"column":4},%s,%s}""".formatted(SUPPLIER, TESTED);
        look("lots", "seed.xlsx", seed(), matching)
                .andExpect(jsonPath("$.faulty").value(0))
                .andExpect(jsonPath("$.added").value(2));
        assertThat(lots()).isEqualTo(2);
        take("lots", "seed.xlsx", seed(), matching)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(true))
                .andExpect(jsonPath("$.added").value(2));
        assertThat(database.queryForMap(
                        "select seeds_bought, germination_label, tested_on::text from seed_lot where code = 'X-1'"))
                .containsEntry("seeds_bought", 1200)
                .containsEntry("germination_label", 0.87)
                .containsEntry("tested_on", "2026-03-01");
        assertThat(database.queryForObject("select germination_label from seed_lot where code = 'X-2'", Double.class))
                .isEqualTo(0.91);
        look("lots", "again.xlsx", seed(), null)
                .andExpect(jsonPath("$.remembered").value(true))
                .andExpect(jsonPath("$.added").value(0))
                .andExpect(jsonPath("$.changed").value(0))
                .andExpect(jsonPath("$.faulty").value(0));
    }

    @Test
    @Order(3)
    void theSameFileTwiceChangesNothing() throws Exception {
        int before = database.queryForObject("select count(*) from sheet_change", Integer.class);
        take("lots", "seed.xlsx", seed(), null)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.changed").value(0));
        assertThat(database.queryForObject("select count(*) from sheet_change", Integer.class))
                .isEqualTo(before);
    }

    @Test
    @Order(4)
    void whatAFileDoesNotSayOfARowStays() throws Exception {
        byte[] fewer = "code;seeds\nX-1;900\n".getBytes(StandardCharsets.UTF_8);
        take("lots", "count.csv", fewer, null)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.changed").value(1));
        assertThat(database.queryForMap("select seeds_bought, supplier from seed_lot where code = 'X-1'"))
                .containsEntry("seeds_bought", 900)
                .containsEntry("supplier", "Seed house");
    }

    @Test
    @Order(5)
    void growersComeFromAnOpenDocument() throws Exception {
        byte[] growers = Spreadsheets.openDocument(row("Customer", "Field", "Elevation", "Cover")
                + row("Müller & Co", "Südhang", "640", "Unheated tunnel")
                + row("=SUM(A1)", "O'Brien's \"bed\"", "480", "open ground"));
        take("sites", "growers.ods", growers, null)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.added").value(2));
        assertThat(database.queryForList("select name from grower", String.class))
                .contains("Müller & Co", "=SUM(A1)");
    }

    @Test
    @Order(6)
    void oneBadRowStopsTheFileAndNothingIsHalfTaken() throws Exception {
        byte[] file = """
                grower,site,altitude,protection
                New one,A,300,open ground
                New two,B,high up,open ground
                New three,C,300,glass palace
                """.getBytes(StandardCharsets.UTF_8);
        look("sites", "g.csv", file, null)
                .andExpect(jsonPath("$.faulty").value(2))
                .andExpect(jsonPath("$.faults[*].line", contains(3, 4)));
        take("sites", "g.csv", file, null)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors", hasSize(2)));
        assertThat(database.queryForList("select name from grower", String.class))
                .doesNotContain("New one");
    }

    @Test
    @Order(7)
    void whatStandsTwiceInOneFileIsNotGuessedAt() throws Exception {
        byte[] file = "code,seeds\nX-1,800\nX-2,300\nX-1,700\n".getBytes(StandardCharsets.UTF_8);
        look("lots", "twice.csv", file, null)
                .andExpect(jsonPath("$.faults", hasSize(1)))
                .andExpect(jsonPath("$.faults[0].line").value(4))
                .andExpect(jsonPath("$.faults[0].problem", containsString("line 2 already")));
        take("lots", "twice.csv", file, null).andExpect(status().isUnprocessableContent());
        assertThat(database.queryForObject("select seeds_bought from seed_lot where code = 'X-1'", Integer.class))
                .isEqualTo(900);
    }

    @Test
    @Order(8)
    void withoutWhatTellsRowsApartNothingIsTaken() throws Exception {
        byte[] file = "what,how many\nX,3\n".getBytes(StandardCharsets.UTF_8);
        look("lots", "x.csv", file, null)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.added").value(0));
        take("lots", "x.csv", file, null)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("code"))
                .andExpect(jsonPath("$.detail", containsString("Code on the packet")));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "not json",
                "[]",
                "{\"code\":7}",
                "{\"code\":{\"row\":1}}",
                "{\"code\":{\"column\":99}}",
                "{\"code\":{\"column\":-1}}",
                "{\"code\":null}",
                "{}"
            })
    void nonsenseForAMatchIsRefused(String matching) throws Exception {
        take("lots", "x.csv", "code,seeds\nA,1\n".getBytes(StandardCharsets.UTF_8), matching)
                .andExpect(status().is4xxClientError());
    }

    @Test
    void whatIsNoTableIsRefusedWithWhatToDo() throws Exception {
        byte[] old = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 0, 0, 0, 0};
        look("lots", "old.xls", old, null)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString(".xlsx")));
        byte[] whole = seed();
        for (byte[] broken : new byte[][] {
            Arrays.copyOf(whole, whole.length / 2),
            Spreadsheets.zip("other.txt", "x"),
            Spreadsheets.zip("content.xml", "<broken"),
            new byte[0],
            new byte[] {0, 1, 2, 3, (byte) 255, (byte) 254},
        }) {
            look("lots", "broken.xlsx", broken, null).andExpect(status().isUnprocessableContent());
        }
        byte[] bomb = Spreadsheets.zip("content.xml", " ".repeat(70 << 20));
        assertThat(bomb.length).isLessThan(1 << 20);
        look("lots", "bomb.ods", bomb, null)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("too large")));
        nursery.file(nursery.hand, "/api/sheets/lots/file?take=false&file=x.csv", whole)
                .andExpect(status().isForbidden());
        look("lots", "blank.csv", "\n".repeat(1_000).getBytes(StandardCharsets.UTF_8), null)
                .andExpect(status().isUnprocessableContent());
        look(
                        "sites",
                        "marked.csv",
                        "\uFEFFgrower,site,altitude,protection\nÄ,B,3,low cover\n\n\n".getBytes(StandardCharsets.UTF_8),
                        null)
                .andExpect(jsonPath("$.headings", hasItem("grower")))
                .andExpect(jsonPath("$.added").value(1));
    }

    private int lots() {
        return database.queryForObject("select count(*) from seed_lot", Integer.class);
    }

    private static String row(String... cells) {
        StringBuilder row = new StringBuilder("<table:table-row>");
        for (String cell : cells) {
            row.append("<table:table-cell office:value-type=\"string\"><text:p>")
                    .append(cell.replace("&", "&amp;"))
                    .append("</text:p></table:table-cell>");
        }
        return row.append("</table:table-row>").toString();
    }

    private ResultActions look(String sheet, String file, byte[] bytes, String matching) throws Exception {
        return send(sheet, file, bytes, matching, false);
    }

    private ResultActions take(String sheet, String file, byte[] bytes, String matching) throws Exception {
        return send(sheet, file, bytes, matching, true);
    }

    private ResultActions send(String sheet, String file, byte[] bytes, String matching, boolean take)
            throws Exception {
        String more = matching == null
                ? ""
                : "&matching="
                        + URLEncoder.encode(matching, StandardCharsets.UTF_8).replace("+", "%20");
        return nursery.http.perform(MockMvcRequestBuilders.post(
                        URI.create("/api/sheets/" + sheet + "/file?take=" + take + "&file=" + file + more))
                .with(user(nursery.propagator))
                .with(csrf())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(bytes));
    }
}
