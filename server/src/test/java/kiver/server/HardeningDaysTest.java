package kiver.server;

import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doReturn;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.OptionalDouble;
import kiver.core.tray.CellRun;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import kiver.server.weather.WeatherStation;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** The coming days of hardening follow the forecast: a storm moves the end, a gust finds the soft ones in the lee. */
@ServerTest
class HardeningDaysTest {

    private static final String OWN = "$.batches[0]";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @MockitoSpyBean
    WeatherStation station;

    private static DayAhead day(double minimum, double maximum, double gust) {
        return new DayAhead(
                new DailyRange(minimum, maximum),
                new Sky(OptionalDouble.of(gust), OptionalDouble.of(0), OptionalDouble.of(0), OptionalDouble.empty()));
    }

    @Test
    void aStormMovesTheEndAndADayIsNotedOnce() throws Exception {
        doReturn(List.of(day(8, 18, 12), day(8, 18, 20), day(8, 18, 5), day(8, 18, 5), day(8, 18, 5)))
                .when(station)
                .forecast(any());
        nursery.found();
        nursery.order(20);
        int batch = batches.files().get(0).batch().number();
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));
        nursery.get(nursery.hand, "/api/hardening").andExpect(jsonPath("$.batches", empty()));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"BY_DAY\"")
                .andExpect(status().isOk());

        nursery.get(nursery.hand, "/api/hardening?people=2")
                .andExpect(jsonPath("$.sky", hasSize(5)))
                .andExpect(jsonPath("$.sky[1].gust").value(closeTo(20, 1e-9)))
                .andExpect(jsonPath(OWN + ".missed").value(1))
                .andExpect(jsonPath(OWN + ".days[0].byDay").value("SHELTERED"))
                .andExpect(jsonPath(OWN + ".days[0].hoursOut").value(3))
                .andExpect(jsonPath(OWN + ".days[1].because", hasItem("STORM")))
                .andExpect(jsonPath(OWN + ".days[1].ofProgramme").value(2))
                .andExpect(jsonPath(OWN + ".days[2].ofProgramme").value(2))
                .andExpect(jsonPath(OWN + ".lastDay")
                        .value(SmallNursery.TODAY.plusDays(5).toString()))
                .andExpect(jsonPath("$.out[0].to").value("Place 3"))
                .andExpect(jsonPath("$.in[0].from").value("Place 3"))
                .andExpect(jsonPath("$.cover", empty()));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.stops[*].work[*].tasks[?(@.kind == 'HARDEN')].why.byDay", hasItem("SHELTERED")));

        nursery.record(nursery.hand, batch, "hardening-days", "\"hours\":3").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/hardening")
                .andExpect(jsonPath(OWN + ".hadToday").value(true))
                .andExpect(jsonPath("$.out", empty()))
                .andExpect(jsonPath("$.in[0].from").value("Place 3"))
                .andExpect(jsonPath(OWN + ".days[0].because", hasItem("STORM")))
                .andExpect(jsonPath(OWN + ".lastDay")
                        .value(SmallNursery.TODAY.plusDays(5).toString()));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.hardening.hoursNext").value(5));

        for (String people : List.of("0", "31", "two")) {
            nursery.get(nursery.hand, "/api/hardening?people=" + people).andExpect(status().is4xxClientError());
        }
        nursery.get(nursery.hand, "/api/hardening?people=0")
                .andExpect(jsonPath("$.errors[0].message", containsString("1 to 30")));
        nursery.get(nursery.propagator, "/api/space/standing")
                .andExpect(jsonPath("$.errors[0].field").value("place"));
        nursery.get(nursery.grower, "/api/hardening").andExpect(status().isForbidden());
    }
}
