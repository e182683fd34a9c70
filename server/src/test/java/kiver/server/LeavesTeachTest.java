package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.Map;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.crop.LibraryBook;
import kiver.server.crop.PaceTellings;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Leaves counted on a few plants teach how fast the crop is here; what was wrong is forgotten again. */
@ServerTest
class LeavesTeachTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    CropBook crops;

    @Autowired
    LibraryBook library;

    @Autowired
    PaceTellings tellings;

    private CropCode kind;

    private double longer() {
        return crops.crop(kind)
                .leaves()
                .taught()
                .longerAt(batches.files().get(0).state().place().orElseThrow());
    }

    private String ready(int batch) throws Exception {
        String view = nursery.get(nursery.hand, "/api/batches/" + batch)
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(view, "$.summary.dates.ready.middle");
    }

    @Test
    void theNextBatchIsPlannedByThemAndTheirOwnIsToldOnce() throws Exception {
        nursery.found();
        nursery.order(20);
        nursery.order(20);
        int counted = batches.files().get(0).batch().number();
        int next = batches.files().get(1).batch().number();
        kind = batches.files().get(0).batch().crop();
        growUp(counted, 30);
        growUp(next, 10);
        assertThat(longer()).isEqualTo(1);
        String before = ready(next);

        nursery.record(nursery.hand, counted, "looks", "\"leaves\":[2,2,1,2,2]").andExpect(status().isOk());
        assertThat(longer()).as("far fewer than expected").isGreaterThan(1.05);
        assertThat(crops.crop(batches.file(counted).descent(), counted))
                .as("by its own count it is told itself")
                .isEqualTo(untaught());
        assertThat(ready(next)).isGreaterThan(before);
        nursery.get(nursery.hand, "/api/crops/" + kind.written())
                .andExpect(jsonPath("$.taught", hasSize(1)))
                .andExpect(jsonPath("$.taught[0].batches").value(1))
                .andExpect(jsonPath("$.taught[0].longer").value(greaterThan(1.05)));
        nursery.get(nursery.hand, "/api/batches/" + next)
                .andExpect(jsonPath("$.chances.longerHere").value(greaterThan(1.0)));

        int last = batches.file(counted).state().changes().size();
        nursery.record(nursery.hand, counted, "corrections", "\"sequence\":%d,\"reason\":\"weeds\"".formatted(last))
                .andExpect(status().isOk());
        assertThat(longer()).isEqualTo(1);
        assertThat(ready(next)).isEqualTo(before);

        nursery.record(nursery.hand, counted, "looks", "\"leaves\":[2,2,1,2,2]").andExpect(status().isOk());
        double taught = longer();
        Map<String, String> row = new java.util.LinkedHashMap<>(
                kiver.core.crop.CropSheet.write(untaught()).entries());
        row.put("leaves_per_day", String.valueOf(untaught().leaves().leavesPerDayAtBest() / 2));
        nursery.put(nursery.propagator, "/api/sheets/crops/rows", json(row)).andExpect(status().isOk());
        assertThat(longer()).as("told anew, beside other figures").isLessThan(taught);

        nursery.record(nursery.hand, counted, "tendings", "\"step\":\"PINCHED\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, counted, "looks", "\"leaves\":[2,1,2]").andExpect(status().isOk());
        assertThat(longer()).as("what was pinched off is no slowness").isEqualTo(1);
    }

    private void growUp(int batch, int daysAgo) throws Exception {
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(daysAgo));
    }

    private Crop untaught() {
        return library.library().crop(kind).orElseThrow();
    }

    static String json(Map<String, String> row) {
        StringBuilder text = new StringBuilder("{\"entries\":{");
        row.forEach((name, value) -> text.append(text.charAt(text.length() - 1) == '{' ? "" : ",")
                .append('"')
                .append(name)
                .append("\":\"")
                .append(value.replace("\"", "\\\""))
                .append('"'));
        return text.append("}}").toString();
    }
}
