package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.lessThan;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import kiver.core.batch.Balance;
import kiver.core.seed.LotId;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

class OrderToReleaseTest extends OrderOnItsWay {

    @Test
    void anOrderGoesThroughToItsNote() throws Exception {
        Planned planned = plan(20);
        int seedsBefore = seeds.lot(new LotId(nursery.lotId)).seedsLeft();
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        assertThat(seeds.lot(new LotId(nursery.lotId)).seedsLeft()).isLessThan(seedsBefore);
        countAll(planned);
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/moves", """
                {"requestId":"%s","placeId":2}""".formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        lose(planned, "[1]").andExpect(status().isOk());
        assertThat(balance(planned)).isEqualTo(new Balance(planned.cells(), 0, 0, planned.cells() - 1, 1, 0));
        harden(planned);
        nursery.get(nursery.propagator, "/api/orders/" + planned.order())
                .andExpect(jsonPath("$.order.standing").value("READY"))
                .andExpect(jsonPath("$.order.lines[0].ready").value(20))
                .andExpect(jsonPath("$.picks", hasSize(1)));
        release(planned, UUID.randomUUID(), 12).andExpect(status().isOk());
        release(planned, UUID.randomUUID(), 8).andExpect(status().isOk());
        assertThat(balance(planned).released()).isEqualTo(20);
        nursery.get(nursery.grower, "/api/orders/" + planned.order())
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases", hasSize(2)));
        int note = database.queryForObject("select max(number) from release", Integer.class);
        byte[] pdf = nursery.get(nursery.grower, "/api/releases/" + note + "/note.pdf")
                .andExpect(status().isOk())
                .andExpect(content().contentType("application/pdf"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(new String(pdf, 0, 5)).isEqualTo("%PDF-");
    }

    /** A label is lost over eight plants; they live on, count for nothing that was promised, and go only as what they are. */
    @Test
    void mixedPlantsGoOnlyAsThatUntilSomebodyKnowsAgain() throws Exception {
        Planned planned = plan(20);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        countAll(planned);
        int alive = planned.cells();
        String doubtful = IntStream.rangeClosed(1, alive - 13).boxed().toList().toString();
        refused(names(planned, "doubts", "[%d],\"doubt\":\"LABEL_LOST\"".formatted(alive + 1)), "cells", "not sown");
        refused(names(planned, "recognitions", "[1]"), "cells", "Nobody doubts");
        names(planned, "doubts", "[1]").andExpect(status().isUnprocessableContent());
        names(planned, "doubts", "[],\"doubt\":\"LABEL_LOST\"").andExpect(status().isUnprocessableContent());
        names(planned, "doubts", doubtful + ",\"doubt\":\"LABEL_LOST\"").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/batches/" + planned.batch())
                .andExpect(jsonPath("$.summary.plantsAlive").value(13))
                .andExpect(jsonPath("$.summary.plantsMixed").value(alive - 13))
                .andExpect(jsonPath("$.summary.balance.alive").value(alive))
                .andExpect(jsonPath("$.summary.verdict").value("FAILING"))
                .andExpect(jsonPath("$.summary.chance").value(lessThan(0.01)));
        nursery.get(nursery.hand, "/api/trays/" + planned.tray())
                .andExpect(jsonPath("$.cells[0].mixed").value(true));

        names(planned, "recognitions", "[1]").andExpect(status().isOk());
        harden(planned);
        nursery.get(nursery.propagator, "/api/orders/" + planned.order())
                .andExpect(jsonPath("$.order.lines[0].ready").value(14))
                .andExpect(jsonPath("$.order.lines[0].readyMixed").value(Math.min(20, alive - 14)));
        refused(release(planned, UUID.randomUUID(), 15), "plants", "Only 14 plants of line 1");
        refused(parting(planned, "\"plants\":14,\"mixed\":7"), "plants", "release at most 20 more");
        parting(planned, "\"plants\":0,\"mixed\":-1").andExpect(status().isUnprocessableContent());
        parting(planned, "\"plants\":0").andExpect(status().isUnprocessableContent());
        int mixed = Math.min(6, alive - 14);
        int note = JsonPath.<Integer>read(
                parting(planned, "\"plants\":14,\"mixed\":" + mixed)
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        assertThat(balance(planned).released()).isEqualTo(14 + mixed);
        assertThat(nursery.note(nursery.grower, note))
                .contains("14 from tray", mixed + " mixed from tray", "in doubt until flowers or fruit");
    }

    @Test
    void twoPeopleCountingOneTrayLoseNothing() throws Exception {
        Planned planned = plan(40);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        ExecutorService people = Executors.newFixedThreadPool(6);
        List<Callable<Integer>> counts = IntStream.rangeClosed(1, planned.cells())
                .<Callable<Integer>>mapToObj(cell ->
                        () -> count(planned, UUID.randomUUID(), "[{\"cell\":" + cell + ",\"seedlings\":1}]", false)
                                .andReturn()
                                .getResponse()
                                .getStatus())
                .toList();
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> answer : people.invokeAll(counts)) {
            answers.add(answer.get());
        }
        people.shutdown();
        assertThat(answers).containsOnly(200);
        assertThat(balance(planned).alive()).isEqualTo(planned.cells());
    }

    @Test
    void moreThanAliveOrMoreThanOrderedIsNotReleased() throws Exception {
        Planned planned = plan(25);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        countAll(planned);
        harden(planned);
        refused(release(planned, UUID.randomUUID(), 26), "plants", "is for 25 plants of line 1");
        refused(release(planned, UUID.randomUUID(), planned.cells() + 1), "plants", "release at most 25 more");
        assertThat(balance(planned).released()).isZero();
        assertThat(database.queryForObject(
                        "select count(*) from release join grower_order o on o.id = order_id where o.number = ?",
                        Integer.class,
                        planned.order()))
                .isZero();
    }

    @Test
    void fewerThanOrderedAreReleasedWhereFewerLive() throws Exception {
        Planned planned = plan(25);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        countAll(planned);
        lose(
                        planned,
                        IntStream.rangeClosed(1, planned.cells() - 20)
                                .boxed()
                                .toList()
                                .toString())
                .andExpect(status().isOk());
        harden(planned);
        refused(release(planned, UUID.randomUUID(), 21), "plants", "Only 20 plants of line 1, Test kale are ready");
        release(planned, UUID.randomUUID(), 20).andExpect(status().isOk());
        assertThat(balance(planned).released()).isEqualTo(20);
    }

    private ResultActions names(Planned planned, String what, String cells) throws Exception {
        return nursery.post(
                nursery.hand,
                "/api/batches/" + planned.batch() + "/" + what,
                "{\"requestId\":\"%s\",\"tray\":%d,\"cells\":%s}".formatted(UUID.randomUUID(), planned.tray(), cells));
    }

    private ResultActions parting(Planned planned, String plants) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/releases",
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,%s}]}"
                        .formatted(UUID.randomUUID(), planned.order(), plants));
    }
}
