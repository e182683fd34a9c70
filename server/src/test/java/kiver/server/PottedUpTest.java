package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.UUID;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.Grade;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Plants go into larger pots: of those in the shed the right one, parted by size, in part; the roots say when. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PottedUpTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;
    private static final String POT = "$.pots[?(@.container == '%s')].%s";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private int batch;
    private int tray;

    /** Twenty days old and up. */
    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
        }
        batch = batches.files().get(0).batch().number();
        CellRun run = batches.file(batch).runs().get(0);
        tray = trays.tray(run.tray()).number();
        if (batches.file(batch).state().sownOn().isEmpty()) {
            nursery.growUp(batch, tray, run.last(), TODAY.minusDays(20));
        }
    }

    private ResultActions potting() throws Exception {
        return nursery.get(nursery.hand, "/api/batches/" + batch + "/potting");
    }

    private ResultActions shed(String what, String container, Object pieces) throws Exception {
        return nursery.post(
                nursery.hand,
                "/api/shed/" + what,
                "{\"requestId\":\"%s\",\"container\":\"%s\",\"pieces\":%s}"
                        .formatted(UUID.randomUUID(), container, pieces));
    }

    private ResultActions pot(String rest) throws Exception {
        return nursery.record(nursery.hand, batch, "pottings", "\"container\":\"pot-9\"," + rest);
    }

    @Test
    @Order(1)
    void potsAreToldWithWhatSpeaksAgainstThem() throws Exception {
        potting()
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.wanted.widthMillimetres").value(closeTo(71.6, 0.1)))
                .andExpect(jsonPath("$.wanted.depthMillimetres").value(70))
                .andExpect(jsonPath(POT.formatted("pot-9", "remarks[*].kind"), contains("StaysWet", "NeverCounted")))
                .andExpect(jsonPath(
                        POT.formatted("pot-7", "remarks[*].kind"), contains("TooNarrow", "TooShallow", "NeverCounted")))
                .andExpect(jsonPath("$.pots[*].container", not(hasItem("plug-150"))))
                .andExpect(jsonPath("$.roots.index", greaterThan(0.0), Double.class));
        nursery.get(nursery.grower, "/api/batches/" + batch + "/potting").andExpect(status().isForbidden());
        nursery.get(nursery.hand, "/api/batches/4711/potting").andExpect(status().isNotFound());
    }

    @Test
    @Order(2)
    void whatIsInTheShedIsCountedAndTakenFrom() throws Exception {
        shed("counts", "pot-9", -1).andExpect(status().isUnprocessableContent());
        shed("counts", "barrel", 5).andExpect(status().is4xxClientError());
        shed("counts", "pot-9", "null").andExpect(status().isUnprocessableContent());
        shed("counts", "pot-9", 10).andExpect(status().isOk());
        potting()
                .andExpect(jsonPath(POT.formatted("pot-9", "inShed"), contains(10)))
                .andExpect(jsonPath(POT.formatted("pot-9", "remarks[*].kind"), hasItem("TooFewInTheShed")));
        shed("deliveries", "pot-9", 100).andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/shed")
                .andExpect(jsonPath("$[?(@.container == 'pot-9')].pieces", contains(110)));
        nursery.get(nursery.grower, "/api/shed").andExpect(status().isForbidden());
    }

    @Test
    @Order(3)
    void whatCannotBePottedIsRefusedAndNothingIsRecorded() throws Exception {
        Balance before = batches.file(batch).state().balance();
        int alive = before.alive();
        pot("\"plants\":%d".formatted(alive + 1))
                .andExpect(jsonPath("$.errors[0].message", containsString("living plants of this batch")));
        pot("\"plants\":%d,\"culled\":1".formatted(alive)).andExpect(status().isUnprocessableContent());
        pot("\"plants\":3,\"small\":2,\"spare\":2")
                .andExpect(jsonPath("$.errors[0].message", containsString("part of those")));
        pot("\"plants\":3,\"small\":-1").andExpect(status().isUnprocessableContent());
        nursery.record(nursery.hand, batch, "pottings", "\"container\":\"plug-150\",\"plants\":3")
                .andExpect(jsonPath("$.errors[0].message", containsString("anything smaller than")));
        assertThat(batches.file(batch).state().balance()).isEqualTo(before);
        nursery.get(nursery.hand, "/api/shed")
                .andExpect(jsonPath("$[?(@.container == 'pot-9')].pieces", contains(110)));
    }

    @Test
    @Order(4)
    void partOfABatchGoesOnPartedBySizeEachIntoCarriersOfItsOwn() throws Exception {
        Balance before = batches.file(batch).state().balance();
        String entry =
                "{\"requestId\":\"%s\",\"container\":\"pot-9\",\"plants\":12,\"small\":3,\"spare\":2,\"culled\":1}"
                        .formatted(UUID.randomUUID());
        for (int sent = 0; sent < 2; sent++) {
            nursery.post(nursery.hand, "/api/batches/" + batch + "/pottings", entry)
                    .andExpect(status().isOk());
        }
        BatchState state = batches.file(batch).state();
        assertThat(state.balance())
                .isEqualTo(new Balance(
                        before.sown(), 0, before.empty(), before.alive() - 1, before.lost() + 1, before.released()));
        assertThat(in(state, Grade.SMALL)).isEqualTo(3);
        assertThat(in(state, Grade.SPARE)).isEqualTo(2);
        assertThat(in(state, Grade.STANDARD)).isEqualTo(before.alive() - 6);
        nursery.get(nursery.hand, "/api/shed").andExpect(jsonPath("$[?(@.container == 'pot-9')].pieces", contains(98)));
        potting().andExpect(jsonPath("$.plants").value(before.alive() - 13));
        pot("\"plants\":2,\"small\":2").andExpect(status().isOk());
        assertThat(in(batches.file(batch).state(), Grade.SMALL))
                .as("the carrier of small ones goes on")
                .isEqualTo(5);
        assertThat(batches.file(batch).state().trays()).hasSize(4);
    }

    private static int in(BatchState state, Grade grade) {
        return state.trays().stream()
                .filter(each -> state.gradeOf(each) == grade)
                .mapToInt(each -> state.cellsIn(each, CellCondition.ALIVE).size())
                .sum();
    }

    @Test
    @Order(5)
    void theMorningTakesNonsenseForWhatItIs() throws Exception {
        nursery.get(nursery.hand, "/api/potting-day?hands=0").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/potting-day?hands=many").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/potting-day?batches=4711")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.steps").isEmpty());
        nursery.get(nursery.grower, "/api/potting-day").andExpect(status().isForbidden());
    }
}
