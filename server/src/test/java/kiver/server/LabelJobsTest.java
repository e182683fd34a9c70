package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.UUID;
import kiver.server.sow.LabelDevice;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** Labels go to the printer once, can be looked at as they went, and go again as they were. */
@ServerTest
class LabelJobsTest {

    @Autowired
    SmallNursery nursery;

    @MockitoSpyBean
    LabelDevice device;

    @Test
    void whatWasPrintedIsKeptAndPrintedAgainAsItWas() throws Exception {
        nursery.found();
        int batch = nursery.batchOf(nursery.order(20));
        String entry = "{\"requestId\":\"%s\",\"batches\":[%d],\"format\":\"%s\"}";
        String once = entry.formatted(UUID.randomUUID(), batch, "ROLL");
        nursery.post(nursery.hand, "/api/label-jobs", once)
                .andExpect(jsonPath("$.number").value(1));
        nursery.post(nursery.hand, "/api/label-jobs", once)
                .andExpect(jsonPath("$.number").value(1));
        String again = "{\"requestId\":\"%s\"}".formatted(UUID.randomUUID());
        nursery.post(nursery.hand, "/api/label-jobs/1/reprints", again)
                .andExpect(jsonPath("$.number").value(2));
        nursery.get(nursery.hand, "/api/label-jobs")
                .andExpect(jsonPath("$", hasSize(2)))
                .andExpect(jsonPath("$[0].againOf").value(1))
                .andExpect(jsonPath("$[0].batches").value(String.valueOf(batch)))
                .andExpect(jsonPath("$[1].sentBy").value("BENCH_HAND"));
        byte[] first = nursery.get(nursery.hand, "/api/label-jobs/1.pdf")
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        byte[] second = nursery.get(nursery.hand, "/api/label-jobs/2.pdf")
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(second).isEqualTo(first);
        assertThat(SmallNursery.text(first)).contains("Test kale");

        nursery.post(nursery.hand, "/api/label-jobs", entry.formatted(UUID.randomUUID(), 99999, "ROLL"))
                .andExpect(status().isNotFound());
        nursery.post(
                        nursery.hand,
                        "/api/label-jobs",
                        "{\"requestId\":\"%s\",\"batches\":[],\"format\":\"ROLL\"}".formatted(UUID.randomUUID()))
                .andExpect(jsonPath("$.errors[0].message", containsString("Choose a batch")));
        nursery.post(nursery.hand, "/api/label-jobs/77/reprints", "{\"requestId\":\"%s\"}".formatted(UUID.randomUUID()))
                .andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/label-jobs/77.pdf").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/label-jobs").andExpect(status().isForbidden());

        doThrow(new UncheckedIOException(new IOException("off"))).when(device).send(any());
        nursery.post(nursery.hand, "/api/label-jobs", entry.formatted(UUID.randomUUID(), batch, "ROLL"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("cannot be reached")));
        nursery.get(nursery.hand, "/api/label-jobs").andExpect(jsonPath("$", hasSize(2)));
    }
}
