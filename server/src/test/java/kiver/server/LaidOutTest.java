package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.CellCondition;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.CellRun;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Small sowings share a tray, and trays are cut to fit. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LaidOutTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    BatchAnalyst analyst;

    @Autowired
    TrayBook trays;

    @Autowired
    SeedStore seeds;

    private int one;
    private int other;

    @BeforeEach
    void found() throws Exception {
        nursery.foundWithSeed(3000);
        if (batches.files().isEmpty()) {
            nursery.order(12);
            nursery.order(20);
        }
        one = batches.files().get(0).batch().number();
        other = batches.files().get(1).batch().number();
    }

    private static int cells(BatchFile file) {
        return file.runs().stream().mapToInt(CellRun::length).sum();
    }

    private Tray trayOf(int batch) {
        return trays.tray(batches.file(batch).runs().get(0).tray());
    }

    private ResultActions layOut(Person person, int batch, int tray, int first, int last) throws Exception {
        return nursery.record(
                person, batch, "layouts", "\"tray\":%d,\"firstCell\":%d,\"lastCell\":%d".formatted(tray, first, last));
    }

    private ResultActions cut(int tray, Object rows) throws Exception {
        return nursery.post(
                nursery.hand,
                "/api/trays/" + tray + "/cuts",
                "{\"requestId\":\"%s\",\"rows\":%s}".formatted(UUID.randomUUID(), rows));
    }

    private double slots(int batch) {
        return analyst.all().stream()
                .filter(each -> each.number() == batch)
                .findFirst()
                .orElseThrow()
                .stays()
                .get(0)
                .slots();
    }

    @Test
    @Order(1)
    void nonsenseIsRefusedAndNothingIsMoved() throws Exception {
        int tray = trayOf(one).number();
        int needed = cells(batches.file(one));
        layOut(nursery.hand, other, tray, 1, 5)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("Cell 1 is for batch " + one)));
        layOut(nursery.hand, other, tray, 55, 61)
                .andExpect(jsonPath("$.errors[0].message", containsString("cells 1 to 60; 55 to 61 is no run")));
        layOut(nursery.hand, other, tray, 30, 20).andExpect(status().isUnprocessableContent());
        layOut(nursery.hand, one, tray, 1, needed + 1)
                .andExpect(jsonPath("$.errors[0].message", containsString("needs " + needed + " cells")));
        layOut(nursery.hand, one, tray, 1, 2)
                .andExpect(jsonPath("$.errors[0].message", containsString("would have no place")));
        layOut(nursery.hand, one, 9999, 1, 2).andExpect(status().isNotFound());
        layOut(nursery.grower, one, tray, 1, needed).andExpect(status().isForbidden());
        assertThat(batches.file(one).runs()).hasSize(1);
        assertThat(cells(batches.file(one))).isEqualTo(needed);
    }

    @Test
    @Order(2)
    void twoShareATrayAndItsRoom() throws Exception {
        Tray tray = trayOf(one);
        int first = cells(batches.file(one)) + 1;
        int needed = cells(batches.file(other));
        assertThat(slots(one) + slots(other)).isEqualTo(2);
        String twice = "{\"requestId\":\"%s\",\"tray\":%d,\"firstCell\":%d,\"lastCell\":%d}"
                .formatted(UUID.randomUUID(), tray.number(), first, first + needed - 1);
        for (int time = 0; time < 2; time++) {
            nursery.post(nursery.hand, "/api/batches/" + other + "/layouts", twice)
                    .andExpect(status().isOk());
        }
        assertThat(batches.file(other).runs())
                .isEqualTo(List.of(new CellRun(tray.trayId(), first, first + needed - 1)));
        assertThat(slots(one)).isCloseTo((first - 1.0) / (first - 1 + needed), within(1e-9));
        assertThat(slots(one) + slots(other)).isCloseTo(1, within(1e-9));
    }

    @Test
    @Order(3)
    void aTrayIsCutBehindWhatIsInUseAndTheRestIsUsedAgain() throws Exception {
        Tray whole = trayOf(one);
        int columns = 10;
        int used = batches.file(other).runs().get(0).last();
        int rows = (used + columns - 1) / columns;
        cut(whole.number(), rows - 1)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("is for batch " + other)));
        cut(whole.number(), 0).andExpect(jsonPath("$.errors[0].message", containsString("6 rows")));
        cut(whole.number(), 6).andExpect(status().isUnprocessableContent());
        cut(whole.number(), "\"half\"").andExpect(status().is4xxClientError());
        cut(9999, 2).andExpect(status().isNotFound());
        String answer = cut(whole.number(), rows)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        int off = JsonPath.read(answer, "$.number");
        nursery.get(nursery.hand, "/api/trays/" + whole.number())
                .andExpect(jsonPath("$.rows").value(rows))
                .andExpect(jsonPath("$.cells.length()").value(rows * columns));
        nursery.get(nursery.hand, "/api/trays/" + off)
                .andExpect(jsonPath("$.rows").value(6 - rows));
        assertThat(slots(one) + slots(other)).isCloseTo(rows / 6.0, within(1e-9));
        layOut(nursery.hand, other, whole.number(), rows * columns - 3, rows * columns + 1)
                .andExpect(jsonPath("$.errors[0].message", containsString("cells 1 to " + rows * columns)));
        int small = nursery.batchOf(nursery.order(3));
        assertThat(trayOf(small).number()).as("what was cut off lies about").isEqualTo(off);
        assertThat(slots(small)).isCloseTo((6 - rows) / 6.0, within(1e-9));
    }

    /** Sown, counted, hardened and let go side by side: each goes with its own lot, and nothing of the other goes along. */
    @Test
    @Order(5)
    void bothGoFromTheirSharedTrayToTheirGrowers() throws Exception {
        CellRun shared = batches.file(other).runs().get(0);
        int tray = trayOf(other).number();
        assertThat(tray).isEqualTo(trayOf(one).number());
        record(
                other,
                "sowings",
                "\"tray\":%d,\"firstCell\":%d,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                        .formatted(tray, shared.first(), shared.last(), lotOf("L3")));
        for (int batch : List.of(one, other)) {
            CellRun run = batches.file(batch).runs().get(0);
            String up = IntStream.rangeClosed(run.first(), run.last())
                    .mapToObj("{\"cell\":%d,\"seedlings\":1}"::formatted)
                    .collect(Collectors.joining(","));
            record(batch, "counts", "\"tray\":%d,\"cells\":[%s],\"complete\":true".formatted(tray, up));
            record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"");
            record(batch, "hardening-ends", "\"day\":null");
        }
        assertThat(slots(one) + slots(other)).isLessThan(1);
        int order = nursery.orderOf(other);
        nursery.release(UUID.randomUUID(), order, 20).andExpect(status().isOk());
        int release =
                (int) batches.file(other).state().releases().get(0).plants().release();
        assertThat(nursery.note(nursery.propagator, release)).contains("L3").doesNotContain("L1");
        assertThat(batches.file(one).state().balance().released()).isZero();
        nursery.get(nursery.hand, "/api/traces/notes/" + release)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$..lot.code", hasItem("L3")))
                .andExpect(jsonPath("$..lot.code", not(hasItem("L1"))));
    }

    private long lotOf(String code) {
        return seeds.lots().stream()
                .filter(lot -> lot.code().equals(code))
                .findFirst()
                .orElseThrow()
                .id()
                .number();
    }

    private void record(int batch, String what, String entries) throws Exception {
        nursery.record(nursery.hand, batch, what, entries).andExpect(status().isOk());
    }

    /** All of one that shared it have gone: the room is the other's alone. */
    @Test
    @Order(7)
    void whoIsLeftTakesTheRoom() throws Exception {
        nursery.release(UUID.randomUUID(), nursery.orderOf(other), 1).andReturn();
        CellRun run = batches.file(other).runs().get(0);
        String left = batches.file(other).state().cellsIn(run.tray(), CellCondition.ALIVE).stream()
                .map(String::valueOf)
                .collect(Collectors.joining(","));
        if (!left.isEmpty()) {
            record(
                    other,
                    "losses",
                    "\"tray\":%d,\"cells\":[%s],\"reason\":\"SLUGS\""
                            .formatted(trayOf(other).number(), left));
        }
        assertThat(batches.file(one).roomOf(run.tray()))
                .isCloseTo(trays.tray(run.tray()).rows() / 6.0, within(1e-9));
    }

    @Test
    @Order(6)
    void whatWasLaidOutForATrialStays() throws Exception {
        int trial = nursery.batchOf(nursery.order(50));
        nursery.post(nursery.propagator, "/api/trials", """
                        {"requestId":"%s","name":"Soaking","practice":"SOAKED","matters":0.2,"ways":["dry","soaked"],"batches":[%d],"seed":7}""".formatted(UUID.randomUUID(), trial))
                .andExpect(status().isOk());
        layOut(nursery.hand, trial, trayOf(trial).number(), 1, cells(batches.file(trial)))
                .andExpect(jsonPath("$.errors[0].message", containsString("shared out for the trial Soaking")));
    }

    @Test
    @Order(4)
    void whatIsSownIsNotLaidOutAnew() throws Exception {
        CellRun run = batches.file(one).runs().get(0);
        int tray = trayOf(one).number();
        nursery.record(
                        nursery.hand,
                        one,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(tray, run.last(), nursery.lotId))
                .andExpect(status().isOk());
        layOut(nursery.hand, one, tray, 1, run.last())
                .andExpect(jsonPath("$.errors[0].message", containsString("sown already: move its cells")));
    }
}
