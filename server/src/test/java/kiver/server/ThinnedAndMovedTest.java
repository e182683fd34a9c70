package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.sow.LotKnowledge;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;

/** A batch sown two to a cell over two trays: thinned, doubles pricked out, closed up into one tray, and let go. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ThinnedAndMovedTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    LotKnowledge lots;

    private int batch;
    private int order;
    private List<CellRun> runs;

    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(60);
        }
        batch = batches.files().get(0).batch().number();
        order = nursery.orderOf(batch);
        runs = batches.file(batch).runs();
    }

    private BatchState state() {
        return batches.file(batch).state();
    }

    private int tray(int index) {
        return trays.tray(runs.get(index).tray()).number();
    }

    private List<LotKnowledge.Lesson> lessons() {
        return lots.ofAll(batches.files()).byLot().get(state().lotOf(1));
    }

    private void record(String what, String entries) throws Exception {
        nursery.record(nursery.hand, batch, what, entries).andExpect(status().isOk());
    }

    @Test
    @Order(1)
    void seedlingsAreThinnedAndPrickedOutAndTheLotLearnsWhatCameUp() throws Exception {
        assertThat(runs).hasSizeGreaterThanOrEqualTo(2);
        for (int index = 0; index < runs.size(); index++) {
            record(
                    "sowings",
                    "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":2,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                            .formatted(tray(index), runs.get(index).last(), nursery.lotId));
        }
        int half = runs.get(0).last() / 2;
        // Two came in every cell of the first half of the first tray, one in two of the other tray, none elsewhere.
        String twos = IntStream.rangeClosed(1, half)
                .mapToObj("{\"cell\":%d,\"seedlings\":2}"::formatted)
                .collect(Collectors.joining(","));
        record("counts", "\"tray\":%d,\"cells\":[%s],\"complete\":true".formatted(tray(0), twos));
        record(
                "counts",
                "\"tray\":%d,\"cells\":[{\"cell\":2,\"seedlings\":1},{\"cell\":5,\"seedlings\":1}],\"complete\":true"
                        .formatted(tray(1)));
        Object learnt = lessons();
        record(
                "prickings-out",
                "\"tray\":%d,\"cells\":[1,2],\"into\":%d,\"goals\":[%d,%d]"
                        .formatted(tray(0), tray(0), half + 1, half + 2));
        record("thinnings", "\"tray\":%d,\"cells\":[3,4,5],\"left\":1".formatted(tray(0)));
        assertThat(lessons()).isEqualTo(learnt);
        assertThat(state().balance().alive()).isEqualTo(half + 4);
        nursery.record(nursery.hand, batch, "thinnings", "\"tray\":%d,\"cells\":[3],\"left\":1".formatted(tray(0)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("nothing to thin")));
        nursery.record(nursery.hand, batch, "thinnings", "\"tray\":%d,\"cells\":[],\"left\":1".formatted(tray(0)))
                .andExpect(jsonPath("$.errors[0].message", containsString("at least one cell")));
        nursery.record(nursery.grower, batch, "thinnings", "\"tray\":%d,\"cells\":[6],\"left\":1".formatted(tray(0)))
                .andExpect(status().isForbidden());
    }

    @Test
    @Order(2)
    void theLotIsJudgedByItsCountsAndALetterShowsThem() throws Exception {
        String judged = nursery.get(nursery.hand, "/api/batches/" + batch + "/lot-or-place")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.blame").value("CANNOT_TELL"))
                .andExpect(jsonPath("$.elsewhere", empty()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        int seeds = 2 * state().balance().sown();
        int half = runs.get(0).last() / 2;
        assertThat(JsonPath.<Integer>read(judged, "$.here.tried")).isEqualTo(seeds);
        assertThat(JsonPath.<Integer>read(judged, "$.here.up")).isEqualTo(2 * half + 2);
        assertThat(JsonPath.<Number>read(judged, "$.here.tail").doubleValue()).isLessThan(1e-6);
        byte[] letter = nursery.get(nursery.propagator, "/api/lots/" + nursery.lotId + "/claim.pdf")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(SmallNursery.text(letter))
                .contains(
                        "To Seed house",
                        "your lot L1",
                        (2 * half + 2) + " of " + seeds + " seeds came up",
                        "less than once in ten thousand such sowings");
        nursery.get(nursery.hand, "/api/lots/" + nursery.lotId + "/claim.pdf").andExpect(status().isForbidden());
        nursery.get(nursery.propagator, "/api/lots/" + (nursery.lotId + 1) + "/claim.pdf")
                .andExpect(status().isUnprocessableContent());
        nursery.get(nursery.propagator, "/api/lots/99999/claim.pdf").andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/batches/99999/lot-or-place").andExpect(status().isNotFound());
    }

    @Test
    @Order(3)
    void closingUpFreesATrayAndIsDoneOnce() throws Exception {
        String proposal = nursery.get(nursery.hand, "/api/batches/" + batch + "/closing-up")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.plants").value(2))
                .andExpect(jsonPath("$.emptied", hasSize(1)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        Balance before = state().balance();
        String moves =
                JsonPath.parse((Object) JsonPath.read(proposal, "$.moves")).jsonString();
        String entry = "{\"requestId\":\"%s\",\"moves\":%s,\"placeId\":2}".formatted(UUID.randomUUID(), moves);
        nursery.post(nursery.hand, "/api/batches/" + batch + "/cell-moves", entry)
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + batch + "/cell-moves", entry)
                .andExpect(status().isOk());
        assertThat(state().balance()).isEqualTo(before);
        assertThat(state().cellsIn(runs.get(1).tray(), CellCondition.ALIVE)).isEmpty();
        nursery.get(nursery.hand, "/api/batches/" + batch + "/closing-up").andExpect(jsonPath("$.moves", empty()));
    }

    @Test
    @Order(4)
    void someGoOverIntoANewTrayAndNonsenseIsRefusedWhole() throws Exception {
        int known = trays.all().size();
        record("cell-moves", "\"moves\":[{\"tray\":%d,\"cells\":[1,2,3]}],\"placeId\":3".formatted(tray(0)));
        assertThat(trays.all()).hasSize(known + 1);
        assertThat(state().trays()).hasSize(runs.size() + 1);
        String view = nursery.get(nursery.hand, "/api/batches/" + batch)
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<List<Integer>>read(view, "$.layout.runs[*].tray"))
                .contains(trays.all().get(known).number());
        refused(
                "\"moves\":[{\"tray\":%d,\"cells\":[4]},{\"tray\":%d,\"cells\":[4]}]",
                "holds no living plant|not sown", 0);
        refused("\"moves\":[{\"tray\":%d,\"cells\":[4],\"into\":%d,\"goals\":[9999]}]", "there is no cell 9999", 0);
        refused("\"moves\":[{\"tray\":%d,\"cells\":[4],\"into\":%d,\"goals\":[5]}]", "taken already", 0);
        refused("\"moves\":[{\"tray\":%d,\"cells\":[4,5],\"into\":%d,\"goals\":[1]}]", "2 plants cannot go into 1", 0);
        assertThat(trays.all()).hasSize(known + 1);
        int planned = trays.tray(batches.file(nursery.batchOf(nursery.order(20)))
                        .runs()
                        .get(0)
                        .tray())
                .number();
        nursery.record(
                        nursery.hand,
                        batch,
                        "cell-moves",
                        "\"moves\":[{\"tray\":%d,\"cells\":[4],\"into\":%d,\"goals\":[1]}]".formatted(tray(0), planned))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("holds batch")));
    }

    private void refused(String entries, String words, int index) throws Exception {
        String answer = nursery.record(nursery.hand, batch, "cell-moves", entries.formatted(tray(index), tray(index)))
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(answer).containsPattern(words);
    }

    @Test
    @Order(5)
    void whatWentOverIsLetGoWithItsLotOnTheNote() throws Exception {
        record("hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"");
        nursery.post(
                        nursery.hand,
                        "/api/batches/" + batch + "/hardening-ends",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\"}")
                .andExpect(status().isOk());
        nursery.release(UUID.randomUUID(), order, 5).andExpect(status().isOk());
        int release = (int) state().releases().get(0).plants().release();
        assertThat(nursery.note(nursery.propagator, release))
                .contains("L1")
                .contains("moved over")
                .doesNotContain("potted on");
        nursery.get(nursery.propagator, "/api/labels.pdf?batches=" + batch).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/traces/notes/" + release + "").andExpect(status().isOk());
    }
}
