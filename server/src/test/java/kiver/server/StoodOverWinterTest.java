package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Sown in late summer, cold over winter, handed over in spring: from the question to the note and back to the lot. */
@ServerTest
class StoodOverWinterTest {

    private static final LocalDate JULY = LocalDate.of(2027, 7, 12);
    private static final LocalDate SPRING = LocalDate.of(2028, 4, 20);

    @Autowired
    SmallNursery nursery;

    @Autowired
    NurseryClock clock;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private String wish(int plants, LocalDate target, boolean overWinter) {
        return """
                {"varietyId":%d,"container":"pot-9","plants":%d,"leavesFrom":4,"leavesTo":14,"target":"%s","siteId":%d,"overWinter":%s}""".formatted(nursery.varietyId, plants, target, nursery.siteId, overWinter);
    }

    @Test
    void isPlannedForTwoSpansStandsAndIsHandedOverInSpring() throws Exception {
        nursery.foundWithSeed(5_000);
        clock.showDay(JULY);
        String plan = nursery.post(nursery.propagator, "/api/plans", wish(40, SPRING, true))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        LocalDate sowDay = LocalDate.parse(JsonPath.<String>read(plan, "$.dates.window.best"));
        LocalDate rests = LocalDate.parse(JsonPath.<String>read(plan, "$.winter.restsFrom"));
        LocalDate grows = LocalDate.parse(JsonPath.<String>read(plan, "$.winter.growsFrom"));
        assertThat(sowDay).isAfter(JULY).isBefore(rests);
        assertThat(rests).isBefore(grows);
        assertThat(LocalDate.parse(JsonPath.<String>read(plan, "$.winter.spring.until")))
                .isAfterOrEqualTo(SPRING);
        nursery.post(nursery.propagator, "/api/plans", wish(40, SPRING, false))
                .andExpect(jsonPath("$.winter").doesNotExist());

        nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish(40, SPRING, true) + "}"))
                .andExpect(status().isOk());
        int batch = batches.files().get(0).batch().number();
        BatchFile file = batches.file(batch);
        assertThat(file.batch().plan().overWinter()).isTrue();
        // Moved by hand and undone it still stands over winter.
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":%d,\"sowDay\":\"%s\"}}".formatted(batch, sowDay.plusDays(2)))
                .andExpect(status().isOk());
        assertThat(batches.file(batch).batch().plan().overWinter()).isTrue();

        clock.showDay(sowDay.plusDays(40));
        int cells = 0;
        for (CellRun run : file.runs()) {
            nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), sowDay);
            cells += run.last();
        }
        clock.showDay(rests.plusDays(3));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath(
                        "$.stops[*].work[?(@.batch.number == " + batch + ")].tasks[*].why.kind",
                        hasItem("StandsOverWinter")));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"BY_DAY\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-days", "\"hours\":3").andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());

        clock.showDay(LocalDate.of(2028, 1, 20));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.dates.overWinter").value(true))
                .andExpect(jsonPath("$.summary.stage").value("READY"));
        nursery.get(nursery.hand, "/api/batches/" + batch + "/health")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.cold.daysLost").value(closeTo(0, 5)));

        clock.showDay(SPRING);
        String forecast = nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<List<Object>>read(forecast, "$.summary.dates[?(@.pastLimit)]"))
                .as("sown 200 days ago it is still followed")
                .isNotEmpty();
        int order = nursery.orderOf(batch);
        int release = Integer.parseInt(nursery.release(UUID.randomUUID(), order, 40)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString()
                .replaceAll("\\D", ""));
        assertThat(nursery.note(nursery.propagator, release)).contains("40 Test kale", "seed lot");
        assertThat(batches.file(batch).plantsAlive()).isEqualTo(cells - 40);
        nursery.get(nursery.propagator, "/api/round").andExpect(jsonPath("$.stops", not(empty())));
    }
}
