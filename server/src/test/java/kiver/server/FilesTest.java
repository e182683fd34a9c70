package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Files into the nursery and out of it: the station's days, and every sheet. */
@ServerTest
class FilesTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    void aStationFileIsLookedOverThenReadIn() throws Exception {
        String text = "day,minimum,maximum\n2026-12-24,-3,4\n2026-12-25,9,2\n2026-12-27,-5,1\n";
        file("/api/weather/file?take=false&file=s.csv", text.getBytes(StandardCharsets.UTF_8))
                .andExpect(jsonPath("$.days").value(2))
                .andExpect(jsonPath("$.faultsListed[0].line").value(3))
                .andExpect(jsonPath("$.gaps[0].days").value(2))
                .andExpect(jsonPath("$.taken").value(false));
        assertThat(fromFile()).isZero();
        file("/api/weather/file?take=true&file=s.csv", text.getBytes(StandardCharsets.UTF_8))
                .andExpect(jsonPath("$.taken").value(true));
        assertThat(fromFile()).isEqualTo(2);
        assertThat(database.queryForObject("select minimum from station_day where day = '2026-12-27'", Double.class))
                .isEqualTo(-5);
        file("/api/weather/file?take=true&file=s.csv", "day;minimum;maximum\n".getBytes(StandardCharsets.UTF_8))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("No line of this file holds a day")));
        String american = "Date;Low;High\n12/26/2026;20;30\n12/28/2026;24;31\n";
        file("/api/weather/file?take=false&file=s.csv", american.getBytes(StandardCharsets.UTF_8))
                .andExpect(jsonPath("$.understood.dates").value("MONTH_FIRST"))
                .andExpect(jsonPath("$.understood.unit").value("CELSIUS"));
        file("/api/weather/file?take=false&unit=FAHRENHEIT&file=s.csv", american.getBytes(StandardCharsets.UTF_8))
                .andExpect(jsonPath("$.firstDays[0].day").value("2026-12-26"))
                .andExpect(jsonPath("$.firstDays[0].minimum").value(-6.67));
        file("/api/weather/file?take=false&unit=KELVIN&file=s.csv", american.getBytes(StandardCharsets.UTF_8))
                .andExpect(status().is4xxClientError());
        file("/api/weather/file?take=false&lowest=99&file=s.csv", american.getBytes(StandardCharsets.UTF_8))
                .andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/weather").andExpect(jsonPath("$.years", greaterThan(20)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"crops", "containers", "varieties", "places", "sites", "lots", "rates"})
    void everySheetGoesOutAndComesBackUnchanged(String name) throws Exception {
        byte[] out = nursery.get(nursery.propagator, "/api/sheets/" + name + "/file")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(out).as("a spreadsheet knows its alphabet").startsWith(0xEF, 0xBB, 0xBF);
        file("/api/sheets/" + name + "/file?file=x.csv", out)
                .andExpect(result ->
                        assertThat(result.getResponse().getContentAsString()).doesNotContain("errors"))
                .andExpect(jsonPath("$.rows", greaterThan(0)));
        byte[] again = nursery.get(nursery.propagator, "/api/sheets/" + name + "/file")
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(new String(again, StandardCharsets.UTF_8)).isEqualTo(new String(out, StandardCharsets.UTF_8));
    }

    @Test
    void aSheetWithFaultsChangesNothingAndTellsEachByItsLine() throws Exception {
        String text = """
                code,name,kind,rows,columns,cell_volume,cell_depth,slots
                fresh-tray,Fresh tray,cells,5,8,40,45,1
                flat-tray,Flat tray,cells,0,8,40,45,1
                odd-tray,Odd tray,barrels,5,8,40,45,1
                """;
        file("/api/sheets/containers/file?file=c.csv", text.getBytes(StandardCharsets.UTF_8))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors", hasSize(2)))
                .andExpect(jsonPath("$.errors[0].field").value("line 3"))
                .andExpect(jsonPath("$.errors[1].message", containsString("cells, blocks, pots, open")));
        nursery.get(nursery.propagator, "/api/sheets/containers/file")
                .andExpect(result ->
                        assertThat(result.getResponse().getContentAsString()).doesNotContain("fresh-tray"));
    }

    @Test
    void aPlaceOfNoSlotsIsRefusedAtItsColumn() throws Exception {
        http.perform(MockMvcRequestBuilders.put("/api/sheets/places/rows")
                        .with(user(nursery.propagator))
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("""
                        {"entries":{"name":"Nowhere","walking_order":"9","slots":"0","day_set_point":"20","night_set_point":"15",
                         "daylight_share":"0.5","lamp_flux":"0","for_emergence":"yes","for_growing_on":"no","for_hardening_off":"no"}}"""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("slots"));
    }

    private int fromFile() {
        return database.queryForObject("select count(*) from station_day where source = 'FILE'", Integer.class);
    }

    private ResultActions file(String path, byte[] bytes) throws Exception {
        return http.perform(MockMvcRequestBuilders.post(path)
                .with(user(nursery.propagator))
                .with(csrf())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(bytes));
    }
}
