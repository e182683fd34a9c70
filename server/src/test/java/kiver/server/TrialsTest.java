package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Two mixes side by side in one sowing: laid out over rows, counted, potted, graded, and told. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class TrialsTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private int batch;
    private List<CellRun> runs;

    @BeforeEach
    void found() throws Exception {
        nursery.foundWithSeed(5_000);
        if (batches.files().isEmpty()) {
            nursery.order(100);
        }
        batch = batches.files().get(0).batch().number();
        runs = batches.file(batch).runs();
    }

    private ResultActions layOut(UUID request, String practice, String ways, String inBatches) throws Exception {
        return nursery.post(nursery.propagator, "/api/trials", """
                {"requestId":"%s","name":"Mixes","practice":"%s","matters":0.1,"ways":%s,"batches":%s,"seed":7}""".formatted(request, practice, ways, inBatches));
    }

    private String read() throws Exception {
        return nursery.get(nursery.hand, "/api/trials")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    @Order(1)
    void rowsAreSharedOutOnceAndNonsenseIsRefused() throws Exception {
        UUID request = UUID.randomUUID();
        String mine = "[" + batch + "]";
        layOut(request, "MIX", "[\"Clean\",\"Alive\"]", mine).andExpect(status().isOk());
        layOut(request, "MIX", "[\"Clean\",\"Alive\"]", mine).andExpect(status().isOk());
        List<Map<String, Object>> cells = JsonPath.read(read(), "$[0].ways[*].cells[*]");
        int laid = cells.stream()
                .mapToInt(each -> (int) each.get("lastCell") - (int) each.get("firstCell") + 1)
                .sum();
        assertThat(laid).isEqualTo(runs.stream().mapToInt(CellRun::length).sum());
        assertThat(JsonPath.<List<?>>read(read(), "$")).hasSize(1);

        layOut(UUID.randomUUID(), "MIX", "[\"Clean\"]", mine)
                .andExpect(jsonPath("$.errors[0].message", containsString("two ways or more")));
        layOut(UUID.randomUUID(), "MIX", "[\"Clean\",\" clean \"]", mine)
                .andExpect(jsonPath("$.errors[0].message", containsString("name of its own")));
        layOut(UUID.randomUUID(), "PLACE", "[\"a\",\"b\",\"c\",\"d\",\"e\",\"f\"]", mine)
                .andExpect(jsonPath("$.errors[0].message", containsString("at least one for each")));
        layOut(UUID.randomUUID(), "SOWN_LATER", "[\"a\",\"b\"]", mine)
                .andExpect(jsonPath("$.errors[0].message", containsString("a batch of its own")));
        layOut(UUID.randomUUID(), "MIX", "[\"a\",\"b\"]", "[99999]").andExpect(status().isNotFound());
        layOut(UUID.randomUUID(), "MIX", "[\"a\",\"b\"]", "[]").andExpect(status().isUnprocessableContent());
        nursery.post(nursery.hand, "/api/trials", "{}").andExpect(status().isForbidden());
    }

    @Test
    @Order(2)
    void whatCameUpIsToldAgainstTheFirstWay() throws Exception {
        String laid = read();
        List<Map<String, Object>> poor = JsonPath.read(laid, "$[0].ways[1].cells[*]");
        for (CellRun run : runs) {
            int tray = trays.tray(run.tray()).number();
            nursery.record(
                            nursery.hand,
                            batch,
                            "sowings",
                            "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                    .formatted(
                                            tray,
                                            run.last(),
                                            batches.file(batch).batch().lot().number()))
                    .andExpect(status().isOk());
            // Of the second way every third cell fails, of the first none.
            String up = IntStream.rangeClosed(1, run.last())
                    .filter(cell -> cell % 3 != 0
                            || poor.stream()
                                    .noneMatch(each -> each.get("tray").equals(tray)
                                            && (int) each.get("firstCell") <= cell
                                            && (int) each.get("lastCell") >= cell))
                    .mapToObj("{\"cell\":%d,\"seedlings\":1}"::formatted)
                    .collect(Collectors.joining(","));
            nursery.record(
                            nursery.hand,
                            batch,
                            "counts",
                            "\"tray\":%d,\"cells\":[%s],\"complete\":true".formatted(tray, up))
                    .andExpect(status().isOk());
        }
        String told = read();
        int of = JsonPath.read(told, "$[0].ways[1].emerged.of");
        int well = JsonPath.read(told, "$[0].ways[1].emerged.well");
        assertThat(well).isLessThan(of);
        assertThat(JsonPath.<Integer>read(told, "$[0].ways[0].emerged.well"))
                .isEqualTo(JsonPath.<Integer>read(told, "$[0].ways[0].emerged.of"));
        assertThat(JsonPath.<Number>read(told, "$[0].ways[1].emerged.byChance").doubleValue())
                .isLessThan(0.001);
        assertThat(JsonPath.<Number>read(told, "$[0].ways[1].emerged.high").doubleValue())
                .isNegative();
        assertThat(JsonPath.<Map<String, Object>>read(told, "$[0].ways[0].emerged"))
                .doesNotContainKey("byChance");
    }

    @Test
    @Order(3)
    void whatHandsAndGrowersFindIsAddedUpAndCountsOnce() throws Exception {
        int trial = JsonPath.read(read(), "$[0].number");
        String first = "/api/trials/" + trial + "/ways/1/findings";
        String finding = "{\"requestId\":\"%s\",\"toldBy\":\"GRADE\",\"well\":%d,\"of\":%d}";
        String same = finding.formatted(UUID.randomUUID(), 18, 20);
        nursery.post(nursery.hand, first, same).andExpect(status().isOk());
        nursery.post(nursery.hand, first, same).andExpect(status().isOk());
        nursery.post(nursery.hand, first, finding.formatted(UUID.randomUUID(), 9, 10))
                .andExpect(status().isOk());
        nursery.post(
                        nursery.hand,
                        "/api/trials/" + trial + "/ways/2/findings",
                        finding.formatted(UUID.randomUUID(), 24, 30))
                .andExpect(status().isOk());
        String told = read();
        assertThat(JsonPath.<Integer>read(told, "$[0].ways[0].graded.well")).isEqualTo(27);
        assertThat(JsonPath.<Integer>read(told, "$[0].ways[0].graded.of")).isEqualTo(30);
        assertThat(JsonPath.<Number>read(told, "$[0].ways[1].graded.byChance").doubleValue())
                .isGreaterThan(0.05);
        assertThat(JsonPath.<Integer>read(told, "$[0].ways[1].graded.moreToTell"))
                .isPositive();
        nursery.post(nursery.hand, first, finding.formatted(UUID.randomUUID(), 21, 20))
                .andExpect(jsonPath("$.errors[0].message", containsString("cannot have done well")));
        nursery.post(
                        nursery.hand,
                        "/api/trials/" + trial + "/ways/9/findings",
                        finding.formatted(UUID.randomUUID(), 1, 2))
                .andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/trials").andExpect(status().isForbidden());
    }
}
