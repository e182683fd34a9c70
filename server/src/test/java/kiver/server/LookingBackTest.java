package kiver.server;

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
import org.springframework.context.annotation.Import;
import org.springframework.test.context.TestPropertySource;

/** What was sown, came up, lived, was hardened, went out and stood adds up from the record, however it is taken together. */
@ServerTest
@Import(SmallNursery.class)
@TestPropertySource(properties = "kiver.test=looking back")
class LookingBackTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Test
    void theStepsOfASowingAreCountedToItsLosses() throws Exception {
        nursery.found();
        nursery.get(nursery.hand, "/api/looking-back")
                .andExpect(jsonPath("$.all.sown").value(0));
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
        int note = JsonPath.read(
                nursery.release(UUID.randomUUID(), order, 15)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        nursery.post(
                        nursery.grower,
                        "/api/releases/" + note + "/losses",
                        "{\"requestId\":\"%s\",\"line\":1,\"plants\":4,\"reason\":\"SLUGS\"}"
                                .formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        for (String by : List.of("CROP", "LOT", "PLACE", "MIX", "MONTH")) {
            nursery.get(nursery.hand, "/api/looking-back?by=" + by)
                    .andExpect(jsonPath("$.groups", hasSize(1)))
                    .andExpect(jsonPath("$.groups[0].fall.sown").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.emerged").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.hardened").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.released").value(15))
                    .andExpect(jsonPath("$.all.stood").value(11));
        }
        nursery.get(nursery.hand, "/api/looking-back?by=COLOUR").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/looking-back?year=90000").andExpect(status().is4xxClientError());
        nursery.get(nursery.grower, "/api/looking-back").andExpect(status().isForbidden());
    }
}
