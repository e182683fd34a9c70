package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doReturn;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import kiver.core.tray.CellRun;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.server.batch.BatchBook;
import kiver.server.order.OrderBook;
import kiver.server.tray.TrayBook;
import kiver.server.weather.WeatherStation;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.ResultActions;

/** A release says what its site asks, keeps what was seen on a sample, and tells both to the grower. */
@ServerTest
class SiteAtPlantingTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    OrderBook orders;

    @Autowired
    JdbcTemplate database;

    @MockitoSpyBean
    WeatherStation station;

    @Test
    void theNoteSaysWhatTheSiteAskedAndWhatWasSeen() throws Exception {
        DayAhead hot = new DayAhead(
                new DailyRange(12, 28),
                new Sky(OptionalDouble.of(3), OptionalDouble.of(0), OptionalDouble.of(0), OptionalDouble.of(0.8)));
        doReturn(Collections.nCopies(5, hot)).when(station).forecast(any());
        nursery.found();
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());

        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.picks[0].advice[*].kind", hasItem("HotDay")))
                .andExpect(jsonPath("$.picks[0].advice[*].kind", hasItem("NoRain")));

        for (String wrong : List.of(
                "{\"plants\":0,\"held\":[]}",
                "{\"plants\":5}",
                "{\"plants\":5,\"held\":[\"SHINY\"]}",
                "{\"held\":[\"CLEAN\"]}")) {
            release(order, wrong).andExpect(status().is4xxClientError());
        }
        assertThat(database.queryForObject("select count(*) from release", Integer.class))
                .isZero();

        String made = release(
                        order,
                        "{\"plants\":5,\"held\":[\"SOAKED\",\"LEAVES\",\"ROOTS\",\"HARDENED\",\"LABELLED\",\"PLUG_HOLDS\"]}")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        byte[] note = nursery.get(nursery.propagator, "/api/releases/" + made.replaceAll("\\D", "") + "/note.pdf")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(SmallNursery.text(note))
                .contains("Looked at before they left: 5 plants. Not as it should be, or not looked at: clean.")
                .contains("They stood in water before they left")
                .contains("plant in the evening, and shade for two days")
                .contains("No rain is forecast for 3 days");
    }

    private ResultActions release(int order, String sample) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/releases",
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":10,\"sample\":%s}]}"
                        .formatted(UUID.randomUUID(), order, sample));
    }

    @Test
    void growersNoteWhatTheySeeAtTheirOwnSitesAlone() throws Exception {
        nursery.found();
        long site = orders.sites().get(0).id();
        String pests = "/api/sites/" + site + "/pests";
        nursery.get(nursery.hand, pests).andExpect(jsonPath("$", hasSize(7)));
        String seen = "{\"pest\":\"CARROT_FLY\",\"day\":\"%s\"}";
        nursery.post(nursery.hand, pests, seen.formatted(SmallNursery.TODAY.minusDays(300)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[?(@.pest == 'CARROT_FLY')].seenOn[*]", hasSize(1)));
        nursery.post(nursery.hand, pests, seen.formatted(SmallNursery.TODAY.minusDays(300)))
                .andExpect(jsonPath("$[?(@.pest == 'CARROT_FLY')].seenOn[*]", hasSize(1)));
        nursery.post(nursery.hand, pests, seen.formatted(SmallNursery.TODAY.plusDays(1)))
                .andExpect(jsonPath("$.errors[0].field").value("day"));
        nursery.post(nursery.hand, pests, "{\"pest\":\"WOLF\",\"day\":\"2026-05-01\"}")
                .andExpect(status().is4xxClientError());
        nursery.post(nursery.hand, "/api/sites/999/pests", seen.formatted(SmallNursery.TODAY))
                .andExpect(status().is4xxClientError());
        nursery.delete(nursery.hand, pests + "/CARROT_FLY/" + SmallNursery.TODAY.minusDays(300))
                .andExpect(jsonPath("$[?(@.pest == 'CARROT_FLY')].seenOn[*]", empty()));
        nursery.delete(nursery.hand, pests + "/CARROT_FLY/" + SmallNursery.TODAY.minusDays(300))
                .andExpect(jsonPath("$.errors[0].field").value("day"));

        long foreign = orders.sites().stream()
                .filter(each -> !Long.valueOf(each.growerId()).equals(nursery.grower.growerId()))
                .map(each -> each.id())
                .findFirst()
                .orElse(-1L);
        nursery.post(nursery.grower, "/api/sites/" + foreign + "/pests", seen.formatted(SmallNursery.TODAY))
                .andExpect(status().is4xxClientError());
    }
}
