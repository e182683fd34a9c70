package kiver.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A nursery brushes and pinches a crop: the round calls for it, what is done is kept once, and can be undone. */
@ServerTest
class TendedTest {

    private static final String TASKS = "$.stops[*].work[*].tasks[*].kind";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private void tend(String entries) throws Exception {
        String code = batches.files().get(0).batch().crop().written();
        nursery.put(nursery.propagator, "/api/crops/" + code + "/tending", entries)
                .andExpect(status().isOk());
    }

    @Test
    void itIsAskedForDoneOnceAndUndone() throws Exception {
        nursery.found();
        nursery.order(20);
        int batch = batches.files().get(0).batch().number();
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(20));
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath(TASKS, not(hasItem("PINCH"))));
        tend("{\"potDepth\":\"DISPUTED\",\"brushed\":false,\"pinchedFrom\":1,\"flowersOffFrom\":0}");
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath(TASKS, hasItem("PINCH")));
        nursery.get(nursery.hand, "/api/batches/" + batch + "/potting")
                .andExpect(jsonPath("$.depth").value("DISPUTED"));

        String once = "{\"requestId\":\"%s\",\"step\":\"PINCHED\"}".formatted(UUID.randomUUID());
        for (int time = 0; time < 2; time++) {
            nursery.post(nursery.hand, "/api/batches/" + batch + "/tendings", once)
                    .andExpect(status().isOk());
        }
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath(TASKS, not(hasItem("PINCH"))));
        int last = batches.file(batch).state().changes().size();
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.changes[*].words", hasItem(containsString("Took the tips out"))));
        nursery.record(
                        nursery.hand,
                        batch,
                        "corrections",
                        "\"sequence\":%d,\"reason\":\"the other one\"".formatted(last))
                .andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath(TASKS, hasItem("PINCH")));

        nursery.record(nursery.hand, batch, "tendings", "\"step\":\"SUNG_TO\"").andExpect(status().is4xxClientError());
        nursery.record(nursery.hand, batch, "tendings", "\"step\":null").andExpect(status().isUnprocessableContent());
        nursery.record(nursery.grower, batch, "tendings", "\"step\":\"PINCHED\"")
                .andExpect(status().isForbidden());
        String wrong = "{\"potDepth\":\"DEEP\",\"brushed\":true,\"pinchedFrom\":-1,\"flowersOffFrom\":0}";
        nursery.put(nursery.propagator, "/api/crops/nonsense/tending", wrong.replace("-1", "1"))
                .andExpect(status().is4xxClientError());
        nursery.put(nursery.propagator, "/api/crops/curly-kale/tending", wrong)
                .andExpect(jsonPath("$.errors[0].message", containsString("0 to 20")));
        nursery.put(nursery.hand, "/api/crops/curly-kale/tending", wrong).andExpect(status().isForbidden());
    }
}
