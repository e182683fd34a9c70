package kiver.server;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

/** The steps of an order on its way to its note. */
@ServerTest
abstract class OrderOnItsWay {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    SeedStore seeds;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    /** A batch on its way, with the tray its first run of cells is in. */
    record Planned(int order, int batch, int tray, int cells) {}

    Planned plan(int plants) throws Exception {
        return plannedFor(nursery.order(plants));
    }

    Planned plannedFor(int order) {
        BatchFile file = batches.file(nursery.batchOf(order));
        var run = file.runs().get(0);
        return new Planned(order, file.batch().number(), trays.tray(run.tray()).number(), run.length());
    }

    ResultActions sow(Planned planned, UUID request, int first, int last) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/sowings", """
                {"requestId":"%s","tray":%d,"firstCell":%d,"lastCell":%d,"seedsPerCell":2,"lotId":%d,"medium":"Fine mix",
                 "placeId":1}""".formatted(
                        request, planned.tray(), first, last, nursery.lotId));
    }

    void countAll(Planned planned) throws Exception {
        String cells = IntStream.rangeClosed(1, planned.cells())
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                .collect(Collectors.joining(",", "[", "]"));
        count(planned, UUID.randomUUID(), cells, true).andExpect(status().isOk());
    }

    ResultActions count(Planned planned, UUID request, String cells, boolean complete) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/counts", """
                {"requestId":"%s","tray":%d,"cells":%s,"complete":%s}""".formatted(
                        request, planned.tray(), cells, complete));
    }

    ResultActions lose(Planned planned, String cells) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/losses", """
                {"requestId":"%s","tray":%d,"cells":%s,"reason":"SLUGS"}""".formatted(
                        UUID.randomUUID(), planned.tray(), cells));
    }

    void harden(Planned planned) throws Exception {
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-starts", """
                {"requestId":"%s","placeId":3,"programme":"BY_DAY"}""".formatted(
                                UUID.randomUUID()))
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-days", """
                {"requestId":"%s","hours":3}""".formatted(
                                UUID.randomUUID()))
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-ends", """
                {"requestId":"%s"}""".formatted(
                                UUID.randomUUID()))
                .andExpect(status().isOk());
    }

    ResultActions release(Planned planned, UUID request, int plants) throws Exception {
        return nursery.release(request, planned.order(), plants);
    }

    ResultActions order(int plants, LocalDate target) throws Exception {
        return nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), plants, target));
    }

    Balance balance(Planned planned) {
        return batches.file(planned.batch()).state().balance();
    }

    static void refused(ResultActions answer, String field, String message) throws Exception {
        answer.andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].message").value(containsString(message)));
    }
}
