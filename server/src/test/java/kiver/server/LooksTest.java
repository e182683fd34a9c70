package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
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

/** What is looked for where seedlings stand, noted by one tap; damping-off warns of its place for three weeks. */
@ServerTest
class LooksTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private String read() throws Exception {
        return nursery.get(nursery.hand, "/api/looks")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void whatIsLookedForFollowsWhatStandsThereAndWhatWasSeenIsKept() throws Exception {
        nursery.found();
        nursery.get(nursery.hand, "/api/looks").andExpect(jsonPath("$.looks", empty()));
        int batch = nursery.batchOf(nursery.order(20));
        CellRun run = batches.file(batch).runs().get(0);
        int tray = trays.tray(run.tray()).number();
        nursery.record(
                        nursery.hand,
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(tray, run.last(), nursery.lotId))
                .andExpect(status().isOk());
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[{\"cell\":1,\"seedlings\":1}],\"complete\":false".formatted(tray))
                .andExpect(status().isOk());
        List<String> here = JsonPath.read(read(), "$.looks[?(@.placeId == 1)].ailment");
        assertThat(here).containsExactly("DAMPING_OFF", "FUNGUS_GNATS");

        String note = "{\"requestId\":\"%s\",\"placeId\":%d,\"ailment\":\"DAMPING_OFF\",\"share\":%s}";
        String seen = note.formatted(UUID.randomUUID(), 1, "0.2");
        nursery.post(nursery.hand, "/api/looks/notes", seen).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/looks/notes", seen).andExpect(status().isOk());
        String after = read();
        assertThat(JsonPath.<List<Double>>read(after, "$.looks[?(@.ailment == 'DAMPING_OFF')].seenToday"))
                .containsExactly(0.2);
        assertThat(JsonPath.<List<String>>read(after, "$.dampingOff[*].place")).containsExactly("Place 1");

        nursery.post(nursery.hand, "/api/looks/notes", note.formatted(UUID.randomUUID(), 1, "1.4"))
                .andExpect(jsonPath("$.errors[0].message", containsString("0 to 100 %")));
        nursery.post(nursery.hand, "/api/looks/notes", note.formatted(UUID.randomUUID(), 99, "0.2"))
                .andExpect(jsonPath("$.errors[0].message", containsString("does not exist")));
        nursery.post(
                        nursery.hand,
                        "/api/looks/notes",
                        "{\"requestId\":\"%s\",\"placeId\":1,\"ailment\":\"MICE\",\"share\":0,\"day\":\"%s\"}"
                                .formatted(UUID.randomUUID(), SmallNursery.TODAY.plusDays(1)))
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.grower, "/api/looks/notes", note.formatted(UUID.randomUUID(), 1, "0.2"))
                .andExpect(status().isForbidden());
    }
}
