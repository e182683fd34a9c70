package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What the nursery has is changed where it is seen, with its history; what is no longer used is retired, not deleted. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SheetsChangedTest {

    @Autowired
    MockMvc http;

    @Autowired
    SmallNursery nursery;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    @Order(1)
    void aChangeIsKeptWithWhoMadeItAndTakenBack() throws Exception {
        lot("0.9", "yes").andExpect(status().isOk());
        lot("0.8", "yes").andExpect(status().isOk());
        lot("0.8", "yes").andExpect(status().isOk());
        changes("lots")
                .andExpect(jsonPath("$", hasSize(1)))
                .andExpect(jsonPath("$[0].row").value("L1"))
                .andExpect(jsonPath("$[0].by").value(nursery.propagator.name()))
                .andExpect(jsonPath("$[0].added").value(false))
                .andExpect(jsonPath("$[0].entries", hasSize(1)))
                .andExpect(jsonPath("$[0].entries[0].before").value("0.9"))
                .andExpect(jsonPath("$[0].entries[0].after").value("0.8"));
        int last = number("lots", 0);
        undo("lots", last).andExpect(status().isOk());
        row("lots", "L1", "germination").isEqualTo("0.9");
        undo("lots", last).andExpect(status().isUnprocessableContent());
        changes("lots")
                .andExpect(jsonPath("$[0].undoes").value(last))
                .andExpect(jsonPath("$[1].undone").value(true));
        undo("lots", number("lots", 0)).andExpect(status().isOk());
        row("lots", "L1", "germination").isEqualTo("0.8");
    }

    @Test
    @Order(2)
    void whatWasChangedSinceIsNotTakenBackUnder() throws Exception {
        lot("0.7", "yes").andExpect(status().isOk());
        int first = number("lots", 0);
        lot("0.6", "yes").andExpect(status().isOk());
        undo("lots", first)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("changed since")));
        row("lots", "L1", "germination").isEqualTo("0.6");
        undo("lots", 999_999).andExpect(status().isNotFound());
        undo("nothing", 1).andExpect(status().isNotFound());
        nursery.post(nursery.hand, "/api/sheets/lots/changes/" + first + "/undo", "{}")
                .andExpect(status().isForbidden());
    }

    @Test
    @Order(3)
    void whatWasAddedIsRetiredNotTakenAway() throws Exception {
        nursery.put(nursery.propagator, "/api/sheets/varieties/rows", """
                {"entries":{"name":"Short-lived","crop":"curly-kale"}}""").andExpect(status().isOk());
        undo("varieties", number("varieties", 0))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("no longer used")));
        choices().andExpect(jsonPath("$.varieties[*].name", hasItem("Short-lived")));
        nursery.put(nursery.propagator, "/api/sheets/varieties/rows", """
                {"entries":{"name":"Short-lived","crop":"curly-kale","in_use":"no"}}""").andExpect(status().isOk());
        choices().andExpect(jsonPath("$.varieties[*].name", not(hasItem("Short-lived"))));
        undo("varieties", number("varieties", 0)).andExpect(status().isOk());
        choices().andExpect(jsonPath("$.varieties[*].name", hasItem("Short-lived")));
    }

    /** The better lot is retired: nothing is planned from it, what was sown from it stays. */
    @Test
    @Order(4)
    void aRetiredLotIsNotSownFromAnyMore() throws Exception {
        lot("0.9", "yes").andExpect(status().isOk());
        int order = nursery.order(100);
        int batch = nursery.batchOf(order);
        lot("0.9", "no").andExpect(status().isOk());
        choices().andExpect(jsonPath("$.lots[*].code", not(hasItem("L1"))));
        http.perform(get("/api/batches/" + batch).with(user(nursery.propagator)))
                .andExpect(status().isOk());
        int later = nursery.order(10);
        assertThat(lotOf(later)).isNotEqualTo(nursery.lotId);
        assertThat(lotOf(order)).isEqualTo(nursery.lotId);
        lot("0.9", "yes").andExpect(status().isOk());
        assertThat(lotOf(nursery.order(100))).isEqualTo(nursery.lotId);
    }

    private long lotOf(int order) {
        return nursery.batches.file(nursery.batchOf(order)).batch().lot().number();
    }

    @Test
    @Order(5)
    void aFileIsKeptRowByRowAndNothingOfOneThatIsRefused() throws Exception {
        int before = kept();
        nursery.file(nursery.propagator, "/api/sheets/sites/file?file=s.csv", """
                grower,site,altitude,protection,temperature_offset
                Field one,Near,410,open ground,
                Field nine,Other,300,low cover,
                """.getBytes(StandardCharsets.UTF_8))
                .andExpect(status().isOk());
        assertThat(kept()).isEqualTo(before + 2);
        nursery.file(nursery.propagator, "/api/sheets/sites/file?file=s.csv", """
                grower,site,altitude,protection,temperature_offset
                Field one,Near,420,open ground,
                Field one,Near,high,open ground,
                """.getBytes(StandardCharsets.UTF_8))
                .andExpect(status().isUnprocessableContent());
        assertThat(kept()).isEqualTo(before + 2);
        changes("sites")
                .andExpect(jsonPath("$[0].added").value(true))
                .andExpect(jsonPath("$[1].added").value(false));
    }

    /** The only place to grow on in is taken down: it is not offered any more, and nothing new can be planned. */
    @Test
    @Order(6)
    void aPlaceThatIsTakenDownHoldsNothingFromThenOn() throws Exception {
        String there = place(2, "", "");
        put(place(2, "2027-06-01", "2027-05-01"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("exists_until"));
        put(place(2, "soon", ""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("exists_from"));
        choices().andExpect(jsonPath("$.places", hasSize(3)));
        put(place(2, "", "2027-02-20")).andExpect(status().isOk());
        choices().andExpect(jsonPath("$.places", hasSize(2)));
        http.perform(get("/api/space").with(user(nursery.propagator)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.places[1].existsUntil").value("2027-02-20"));
        put(there).andExpect(status().isOk());
        choices().andExpect(jsonPath("$.places", hasSize(3)));
    }

    private ResultActions put(String row) throws Exception {
        return nursery.put(nursery.propagator, "/api/sheets/places/rows", row);
    }

    /** The row of a place of the small nursery with another span, as its form sends it. */
    private String place(int stop, String from, String until) throws Exception {
        String answer = http.perform(get("/api/sheets/places").with(user(nursery.propagator)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<String> names = JsonPath.read(answer, "$.columns[*].name");
        List<String> row = JsonPath.read(answer, "$.rows[" + (stop - 1) + "]");
        StringBuilder entries = new StringBuilder();
        for (int column = 0; column < names.size(); column++) {
            String entry = switch (names.get(column)) {
                case "exists_from" -> from;
                case "exists_until" -> until;
                default -> row.get(column);
            };
            entries.append(column == 0 ? "" : ",")
                    .append('"')
                    .append(names.get(column))
                    .append("\":\"")
                    .append(entry)
                    .append('"');
        }
        return "{\"entries\":{" + entries + "}}";
    }

    private int kept() {
        return database.queryForObject("select count(*) from sheet_change", Integer.class);
    }

    private ResultActions lot(String germination, String used) throws Exception {
        return nursery.put(nursery.propagator, "/api/sheets/lots/rows", """
                {"entries":{"code":"L1","variety":"Test kale","supplier":"Seed house","germination":"%s","tested_seeds":"100",
                 "tested_on":"2026-11-21","seeds":"3000","grams":"","in_use":"%s"}}""".formatted(germination, used));
    }

    private ResultActions changes(String sheet) throws Exception {
        return http.perform(get("/api/sheets/" + sheet + "/changes").with(user(nursery.propagator)))
                .andExpect(status().isOk());
    }

    private int number(String sheet, int index) throws Exception {
        return JsonPath.read(changes(sheet).andReturn().getResponse().getContentAsString(), "$[" + index + "].number");
    }

    private ResultActions undo(String sheet, int number) throws Exception {
        return nursery.post(nursery.propagator, "/api/sheets/" + sheet + "/changes/" + number + "/undo", "{}");
    }

    private ResultActions choices() throws Exception {
        return http.perform(get("/api/choices").with(user(nursery.propagator))).andExpect(status().isOk());
    }

    private org.assertj.core.api.AbstractStringAssert<?> row(String sheet, String key, String column) throws Exception {
        String answer = http.perform(get("/api/sheets/" + sheet).with(user(nursery.propagator)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<String> names = JsonPath.read(answer, "$.columns[*].name");
        List<List<String>> rows = JsonPath.read(answer, "$.rows");
        return assertThat(rows.stream()
                .filter(each -> each.get(0).equals(key))
                .findFirst()
                .orElseThrow()
                .get(names.indexOf(column)));
    }
}
