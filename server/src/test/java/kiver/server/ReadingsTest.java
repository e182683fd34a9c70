package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.server.place.PlaceBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Devices send what they read, each with a token of its own: once or again, whole or in part wrong, until it is withdrawn. */
@ServerTest
class ReadingsTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;

    @Autowired
    SmallNursery nursery;

    @Autowired
    PlaceBook places;

    @Autowired
    MockMvc http;

    @BeforeEach
    void found() {
        nursery.found();
    }

    private String token(String name, int place) throws Exception {
        String added = nursery.post(
                        nursery.propagator,
                        "/api/devices",
                        "{\"name\":\"%s\",\"feeds\":\"PLACE\",\"placeId\":%d}".formatted(name, place))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(added, "$.token");
    }

    private ResultActions send(String token, String type, String body) throws Exception {
        return http.perform(post("/api/readings")
                .header("Authorization", "Bearer " + token)
                .contentType(type)
                .content(body));
    }

    @Test
    void readingsAreTakenOnceAndTellTheDayWhenItIsOver() throws Exception {
        String token = token("Probe A", 2);
        LocalDate yesterday = TODAY.minusDays(1);
        String day = IntStream.range(0, 24)
                .mapToObj(hour ->
                        "%sT%02d:30,%s,60".formatted(yesterday, hour, hour == 4 ? "7.5" : hour == 14 ? "19.25" : "12"))
                .collect(Collectors.joining("\n"));
        send(token, "text/csv", "at,celsius,humidity\n" + day)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(24))
                .andExpect(jsonPath("$.refused", empty()));
        send(token, "text/csv", "\uFEFFAt, Celsius\n" + yesterday + " 04:30,3\n")
                .andExpect(jsonPath("$.taken").value(0))
                .andExpect(jsonPath("$.known").value(1));
        assertThat(places.readings(yesterday).get(new PlaceId(2)).get(yesterday))
                .isEqualTo(new DailyRange(7.5, 19.25));
        nursery.get(nursery.hand, "/api/warmth")
                .andExpect(jsonPath("$.places[1].readings", hasSize(24)))
                .andExpect(jsonPath("$.places[1].humidity").value(60.0))
                .andExpect(jsonPath("$.places[0].readings", empty()));
        nursery.get(nursery.propagator, "/api/devices")
                .andExpect(
                        jsonPath("$.devices[?(@.name == 'Probe A')].lastHeard").value(yesterday + "T23:30:00"));
    }

    @Test
    void aWrongRowStopsNoneOfTheOthers() throws Exception {
        String token = token("Probe B", 1);
        send(token, "application/json", """
                {"readings":[
                  {"at":"%s","celsius":21.5,"humidity":55},
                  {"at":"%s","celsius":"warm"},
                  {"at":"%sT04:00","celsius":21},
                  {"at":"2020-01-01T04:00","celsius":21},
                  {"at":"half past","celsius":21},
                  {"at":"%sT03:00","celsius":400},
                  {"celsius":21},
                  17,
                  {"at":"%sT02:00","celsius":20,"humidity":140}]}""".formatted(
                                TODAY + "T05:00", TODAY + "T05:15", TODAY.plusDays(1), TODAY, TODAY))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(1))
                .andExpect(jsonPath("$.refused[0].row").value(2))
                .andExpect(jsonPath("$.refused[0].why", containsString("no number")))
                .andExpect(jsonPath("$.refused[1].why", containsString("still to come")))
                .andExpect(jsonPath("$.refused[2].why", containsString("days back")))
                .andExpect(jsonPath("$.refused[3].why", containsString("no time")))
                .andExpect(jsonPath("$.refused[4].why", containsString("not between -60 and 80")))
                .andExpect(jsonPath("$.refused[5].why", containsString("says no time")))
                .andExpect(jsonPath("$.refused[6].why", containsString("says no time")))
                .andExpect(jsonPath("$.refused[7].why", containsString("not between 0 and 100")));
        send(token, "application/json", "{\"at\":\"%sT06:00\",\"celsius\":20}".formatted(TODAY))
                .andExpect(jsonPath("$.taken").value(1));
        send(token, "application/json", "{").andExpect(status().isUnprocessableContent());
        send(token, "text/csv", "when,what\n1,2").andExpect(status().isUnprocessableContent());
        send(token, "application/json", "[]").andExpect(status().isUnprocessableContent());
        send(token, "text/plain", "21").andExpect(status().isUnsupportedMediaType());
    }

    @Test
    void aHouseThatIsColdIsWarnedOf() throws Exception {
        String token = token("Probe D", 1);
        String cold = IntStream.range(0, 8)
                .mapToObj(quarter -> "%sT%02d:%02d,12".formatted(TODAY, 6 + quarter / 4, 15 * (quarter % 4)))
                .collect(Collectors.joining("\n"));
        send(token, "text/csv", "at,celsius\n" + cold)
                .andExpect(jsonPath("$.taken").value(8));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.stops[0].warnings[?(@.kind == 'HEAT_OFF')].limit")
                        .value(19.0))
                .andExpect(jsonPath("$.stops[0].warnings[?(@.kind == 'HEAT_OFF')].celsius")
                        .value(12.0));
    }

    @Test
    void onlyWhoHasATokenThatStandsSends() throws Exception {
        String token = token("Probe C", 1);
        String reading = "{\"at\":\"%sT01:00\",\"celsius\":20}".formatted(TODAY);
        http.perform(post("/api/readings").contentType("application/json").content(reading))
                .andExpect(status().isUnauthorized());
        send("0".repeat(48), "application/json", reading).andExpect(status().isUnauthorized());
        String devices = nursery.get(nursery.propagator, "/api/devices")
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(devices).doesNotContain(token);
        int id = JsonPath.<List<Integer>>read(devices, "$.devices[?(@.name == 'Probe C')].id")
                .get(0);
        nursery.post(nursery.hand, "/api/devices/" + id + "/withdrawals", "{}").andExpect(status().isForbidden());
        nursery.post(nursery.propagator, "/api/devices/" + id + "/withdrawals", "{}")
                .andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/devices/" + id + "/withdrawals", "{}")
                .andExpect(status().isNotFound());
        send(token, "application/json", reading).andExpect(status().isUnauthorized());
        nursery.post(nursery.propagator, "/api/devices", "{\"name\":\"Probe C\",\"feeds\":\"PLACE\",\"placeId\":1}")
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.propagator, "/api/devices", "{\"name\":\"Probe E\",\"feeds\":\"PLACE\",\"placeId\":99}")
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.hand, "/api/devices", "{\"name\":\"Probe F\",\"feeds\":\"PLACE\",\"placeId\":1}")
                .andExpect(status().isForbidden());
    }
}
