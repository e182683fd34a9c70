package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Two orders draw on one batch that is short: shared by a rule one sees and may change, picked, and let go as picked. */
@ServerTest
class LoadingTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private int first;
    private int second;
    private int batch;

    private static final String UNTIL = "/api/loading?until=" + SmallNursery.TODAY.plusDays(20);

    /** Of 30 plants that are promised 24 are ready. */
    private void found() throws Exception {
        nursery.found();
        first = nursery.order(20);
        batch = nursery.batchOf(first);
        second = JsonPath.<Integer>read(
                nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), """
                        {"wish":{"varietyId":%d,"container":"module-60","plants":10,"leavesFrom":4,"leavesTo":6,"target":"%s"},"fromBatch":%d}""".formatted(
                                        nursery.varietyId, SmallNursery.TODAY.plusDays(70), batch)))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), 24, SmallNursery.TODAY.minusDays(40));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
        for (int order : List.of(first, second)) {
            nursery.post(
                            nursery.propagator,
                            "/api/orders/" + order + "/changes",
                            "{\"requestId\":\"%s\",\"edit\":{\"kind\":\"DAY\",\"target\":\"%s\",\"withdraw\":false}}"
                                    .formatted(UUID.randomUUID(), SmallNursery.TODAY.plusDays(15)))
                    .andExpect(status().isOk());
        }
    }

    @Test
    void itIsSharedPickedAndLetGoAsPicked() throws Exception {
        found();
        nursery.get(nursery.hand, "/api/loading").andExpect(jsonPath("$.groups", hasSize(0)));
        nursery.get(nursery.hand, UNTIL)
                .andExpect(jsonPath("$.groups", hasSize(1)))
                .andExpect(jsonPath("$.groups[0].ready").value(24))
                .andExpect(jsonPath("$.groups[0].wanted").value(30))
                .andExpect(jsonPath("$.groups[0].lines[0].share").value(16))
                .andExpect(jsonPath("$.groups[0].lines[1].share").value(8));
        nursery.get(nursery.hand, UNTIL + "&share=" + second + "/1=10")
                .andExpect(jsonPath("$.groups[0].lines[0].share").value(14))
                .andExpect(jsonPath("$.groups[0].lines[1].byHand").value(true));

        String loading =
                nursery.get(nursery.hand, UNTIL).andReturn().getResponse().getContentAsString();
        List<List<Integer>> cells = JsonPath.read(loading, "$.walk[*].picks[*].cells");
        assertThat(cells.stream().flatMap(List::stream)).hasSize(24).doesNotHaveDuplicates();
        assertThat(JsonPath.<List<Integer>>read(loading, "$.round[?(@.stop != null)].load"))
                .containsExactly(1);

        String pick = "[{\"tray\":%d,\"cells\":[3,5,7]}]"
                .formatted(JsonPath.<Integer>read(loading, "$.walk[0].picks[0].tray"));
        release(second, 2, pick).andExpect(jsonPath("$.errors[0].field").value("picks"));
        release(second, 3, pick.replace("7", "5"))
                .andExpect(jsonPath("$.errors[0].field").value("picks"));
        release(second, 3, pick.replace("7", "59"))
                .andExpect(jsonPath("$.errors[0].field").value("picks"));
        release(second, 3, pick).andExpect(status().isOk());
        release(first, 3, pick).andExpect(jsonPath("$.errors[0].field").value("picks"));
        nursery.get(nursery.hand, UNTIL)
                .andExpect(jsonPath("$.groups[0].ready").value(21))
                .andExpect(jsonPath("$.groups[0].wanted").value(27));
    }

    @Test
    void nonsenseIsRefusedInWords() throws Exception {
        nursery.found();
        for (String wrong : List.of(
                "?until=2020-01-01",
                "?until=2099-01-01",
                "?until=soon",
                "?rule=STRENGTH",
                "?share=1-2",
                "?share=1/1=-4")) {
            nursery.get(nursery.hand, "/api/loading" + wrong).andExpect(status().is4xxClientError());
        }
        nursery.get(nursery.grower, "/api/loading").andExpect(status().isForbidden());
        nursery.put(nursery.hand, "/api/loading/round", "{\"sites\":[]}").andExpect(status().isForbidden());
        nursery.put(nursery.propagator, "/api/loading/round", "{\"sites\":[1,1]}")
                .andExpect(jsonPath("$.errors[0].field").value("sites"));
        nursery.put(nursery.propagator, "/api/loading/round", "{\"sites\":[999]}")
                .andExpect(status().is4xxClientError());
        nursery.put(nursery.propagator, "/api/loading/round", "{\"sites\":[2,1]}")
                .andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/loading")
                .andExpect(jsonPath("$.round[0].name").value("Far"));
    }

    private ResultActions release(int order, int plants, String picks) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/releases",
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":%d,\"picks\":%s}]}"
                        .formatted(UUID.randomUUID(), order, plants, picks));
    }
}
