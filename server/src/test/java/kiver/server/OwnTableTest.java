package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.order.Ripening;
import kiver.server.clock.NurseryClock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.json.JsonMapper;

/** A season without orders: what one would like to eat becomes sowings, a seed list, room and days. */
@ServerTest
class OwnTableTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Autowired
    SmallNursery nursery;

    @Autowired
    NurseryClock clock;

    @BeforeEach
    void found() {
        nursery.found();
    }

    private ResultActions plan(String wants) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/own-table/plan",
                "{\"siteId\":%d,\"wants\":[%s]}".formatted(nursery.siteId, wants));
    }

    private String want(String more) {
        return "{\"varietyId\":%d,%s}".formatted(nursery.varietyId, more);
    }

    @Test
    void whatOneWouldLikeToEatIsCountedBackToSowingsSeedRoomAndDays() throws Exception {
        LocalDate from = clock.today().plusDays(130);
        LocalDate until = from.plusDays(28);
        String season = plan(want(
                        "\"plants\":90,\"sowings\":3,\"from\":\"%s\",\"until\":\"%s\"".formatted(from, until)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.sowings", hasSize(3)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<Map<String, Object>> sowings = JsonPath.read(season, "$.sowings[*]");
        int days = nursery.crops
                .cropOf(nursery.crops.variety(nursery.varietyId))
                .outdoors()
                .maturityDays();
        double latitude = clock.latitude();
        for (int index = 0; index < 3; index++) {
            LocalDate picked = from.plusDays(14L * index);
            assertThat(sowings.get(index).get("pickOn")).isEqualTo(picked.toString());
            assertThat(JsonPath.<Integer>read(sowings.get(index), "$.wish.plants"))
                    .isEqualTo(30);
            assertThat(JsonPath.<String>read(sowings.get(index), "$.wish.target"))
                    .isEqualTo(
                            Ripening.plantedBy(picked, days, Ripening.longestDay(latitude, picked.getYear()), latitude)
                                    .toString());
        }
        int seeds = sowings.stream().mapToInt(each -> (int) each.get("seeds")).sum();
        assertThat(JsonPath.<Integer>read(season, "$.seeds[0].needed"))
                .isEqualTo(seeds)
                .isPositive();
        // Each sowing that can be is sown, moved on, planted and picked in the weeks in which it is.
        List<String> steps = JsonPath.read(season, "$.weeks[*].tasks[*].step");
        long possible =
                sowings.stream().filter(each -> each.get("sowDay") != null).count();
        assertThat(steps.stream().filter("SOW"::equals).count())
                .isEqualTo(possible)
                .isPositive();
        assertThat(steps.stream().filter("PLANT"::equals).count()).isEqualTo(possible);
        assertThat(steps.stream().filter("PICK"::equals).count()).isEqualTo(possible);
        assertThat(JsonPath.<List<Double>>read(season, "$.weeks[*].rooms[*].needed"))
                .allMatch(slots -> slots > 0);

        take(sowings);
    }

    /** All of it is one order to one's own beds, on the answers that were seen. */
    private void take(List<Map<String, Object>> sowings) throws Exception {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (Map<String, Object> each : sowings) {
            if (each.get("sowDay") != null) {
                lines.add(Map.of("wish", each.get("wish"), "seen", each.get("answer")));
            }
        }
        nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        JSON.writeValueAsString(Map.of(
                                "requestId",
                                UUID.randomUUID(),
                                "growerId",
                                nursery.growerId,
                                "siteId",
                                nursery.siteId,
                                "lines",
                                lines)))
                .andExpect(status().isOk());
    }

    @Test
    void aBedSaysHowManyStandInIt() throws Exception {
        nursery.post(
                        nursery.propagator,
                        "/api/own-table/beds",
                        "{\"varietyId\":%d,\"bed\":{\"length\":10,\"breadth\":1.2,\"spacing\":30,\"rows\":\"SQUARE\",\"edge\":15}}"
                                .formatted(nursery.varietyId))
                .andExpect(jsonPath("$.plants").value(132));
        LocalDate from = clock.today().plusDays(140);
        plan(want(
                        "\"bed\":{\"length\":2,\"breadth\":1.2,\"rows\":\"OFFSET\"},\"sowings\":1,\"from\":\"%s\",\"until\":\"%s\",\"bedFree\":\"%s\""
                                .formatted(from, from, from.minusDays(20))))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.sowings[0].wish.target")
                        .value(from.minusDays(20).toString()));
    }

    @Test
    void whatIsNoWantIsSaidAtItsPlace() throws Exception {
        LocalDate from = clock.today().plusDays(130);
        String days = "\"from\":\"%s\",\"until\":\"%s\"";
        plan(want("\"sowings\":1," + days.formatted(from, from)))
                .andExpect(jsonPath("$.errors[0].field").value("plants"));
        plan(want("\"plants\":9,\"sowings\":1," + days.formatted(from, from.minusDays(1))))
                .andExpect(jsonPath("$.errors[0].field").value("until"));
        plan(want("\"plants\":9,\"sowings\":4," + days.formatted(from, from.plusDays(2))))
                .andExpect(jsonPath("$.errors[0].field").value("sowings"));
        // What would have had to be planted in winter stops none of the others.
        plan(want("\"plants\":9,\"sowings\":1," + days.formatted(clock.today(), clock.today()))
                        + ","
                        + want("\"plants\":9,\"sowings\":1," + days.formatted(from, from)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.sowings[0].answer").value("NO"))
                .andExpect(jsonPath("$.sowings[0].why", containsString("pick it later")))
                .andExpect(jsonPath("$.sowings[1].sowDay").exists());
        plan(want("\"bed\":{\"length\":1,\"breadth\":0.5,\"rows\":\"SQUARE\",\"edge\":30},\"sowings\":1,"
                        + days.formatted(from, from)))
                .andExpect(jsonPath("$.detail", containsString("Nothing stands in so small a bed")));
        plan("{\"varietyId\":99999,\"plants\":9,\"sowings\":1," + days.formatted(from, from) + "}")
                .andExpect(status().isUnprocessableContent());
        plan("").andExpect(status().isUnprocessableContent());
        String many = want("\"plants\":90,\"sowings\":30," + days.formatted(from, from.plusDays(60)));
        plan(many + "," + many).andExpect(jsonPath("$.errors[0].field").value("wants"));
        nursery.post(nursery.hand, "/api/own-table/plan", "{}").andExpect(status().isForbidden());
    }
}
