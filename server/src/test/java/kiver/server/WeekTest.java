package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.server.batch.BatchBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Tasks ticked off, handed to somebody, put off; the week against the hands, and a day without time. */
@ServerTest
class WeekTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    void aTaskIsTickedOffHandedAndPutOff() throws Exception {
        int batch = dueToday();
        String task = "$.stops[*].work[?(@.batch.number == " + batch + ")].tasks[?(@.kind == 'SOW')]";
        String key = "\"batch\":" + batch + ",\"kind\":\"SOW\"";
        assertThat(JsonPath.<List<Double>>read(round(), task + ".minutes").get(0))
                .isPositive();

        nursery.post(nursery.hand, "/api/round/ticks", "{" + key + ",\"done\":true}")
                .andExpect(status().isOk());
        assertThat(JsonPath.<List<Boolean>>read(round(), task + ".done")).containsExactly(true);
        nursery.post(nursery.hand, "/api/round/ticks", "{" + key + ",\"done\":false}")
                .andExpect(status().isOk());
        assertThat(JsonPath.<List<Boolean>>read(round(), task + ".done")).containsExactly(false);

        long hand = ((Number) JsonPath.<List<Integer>>read(
                                body("/api/round/hands"), "$[?(@.name == '" + nursery.hand.name() + "')].id")
                        .get(0))
                .longValue();
        nursery.post(nursery.propagator, "/api/round/handings", "{" + key + ",\"person\":" + hand + "}")
                .andExpect(status().isOk());
        assertThat(JsonPath.<List<String>>read(round(), task + ".handedTo")).containsExactly(nursery.hand.name());
        nursery.post(nursery.propagator, "/api/round/handings", "{" + key + ",\"person\":999999}")
                .andExpect(status().isUnprocessableContent());

        LocalDate later = SmallNursery.TODAY.plusDays(2);
        nursery.post(nursery.hand, "/api/round/put-offs", "{" + key + ",\"until\":\"" + later + "\"}")
                .andExpect(status().isOk());
        assertThat(JsonPath.<List<String>>read(round(), task + ".putOffUntil")).containsExactly(later.toString());
        nursery.get(nursery.hand, "/api/work?from=" + later + "&to=" + later)
                .andExpect(jsonPath("$[?(@.kind == 'SOW')].batch", hasItem(batch)));
        nursery.post(nursery.hand, "/api/round/put-offs", "{" + key + ",\"until\":\"" + SmallNursery.TODAY + "\"}")
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.hand, "/api/round/put-offs", "{" + key + "}").andExpect(status().isOk());
        assertThat(JsonPath.<List<String>>read(round(), task + ".putOffUntil")).isEmpty();
        nursery.post(nursery.hand, "/api/round/ticks", "{\"batch\":9999,\"kind\":\"SOW\",\"done\":true}")
                .andExpect(status().isNotFound());
        nursery.post(nursery.grower, "/api/round/ticks", "{" + key + ",\"done\":true}")
                .andExpect(status().isForbidden());
    }

    @Test
    void aDayWithoutTimeMovesWhatItMayAndSaysWhatADayCosts() throws Exception {
        int batch = dueToday();
        LocalDate today = SmallNursery.TODAY;
        hands(today.plusDays(1), 600, false);
        double before = minutes(today);
        assertThat(before).isPositive();
        List<Map<String, Object>> work =
                JsonPath.read(body("/api/week/days/" + today), "$[?(@.batch == " + batch + " && @.kind == 'SOW')]");
        assertThat(work).hasSize(1);
        assertThat((String) work.get(0).get("mayWaitUntil")).isGreaterThan(today.toString());
        assertThat((Double) work.get(0).get("chanceADayLater")).isBetween(0.0, 1.0);

        UUID request = UUID.randomUUID();
        String entry = "{\"requestId\":\"" + request + "\",\"day\":\"" + today + "\"}";
        nursery.post(nursery.hand, "/api/week/clearings", entry).andExpect(status().isForbidden());
        String cleared = nursery.post(nursery.propagator, "/api/week/clearings", entry)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<Integer>read(cleared, "$.moved")).isPositive();
        LocalDate sowDay = batches.file(batch).batch().sowDay();
        assertThat(sowDay).isAfter(today);
        assertThat(minutes(today)).isLessThan(before);
        assertThat(JsonPath.<List<Integer>>read(body("/api/week?from=" + today), "$[0:1].hands"))
                .containsExactly(0);
        nursery.get(nursery.hand, "/api/week/days/" + today)
                .andExpect(jsonPath("$[?(@.kind == 'SOW')].batch", not(hasItem(batch))));

        nursery.post(nursery.propagator, "/api/week/clearings", entry).andExpect(status().isOk());
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(sowDay);
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(today);
    }

    @Test
    void handsAreSetForADayOrEveryWeek() throws Exception {
        LocalDate day = SmallNursery.TODAY.plusDays(8);
        hands(day, 90, false);
        assertThat(handsOn(day)).isEqualTo(90);
        assertThat(handsOn(day.plusDays(7))).isEqualTo(480);
        hands(day, 300, true);
        assertThat(handsOn(day)).isEqualTo(300);
        assertThat(handsOn(day.plusDays(7))).isEqualTo(300);
        nursery.put(
                        nursery.propagator,
                        "/api/week/hands",
                        "{\"day\":\"" + day + "\",\"minutes\":-1,\"everyWeek\":false}")
                .andExpect(status().isUnprocessableContent());
        nursery.get(nursery.hand, "/api/week?from=2031-01-01").andExpect(status().isUnprocessableContent());
        nursery.get(nursery.hand, "/api/week/days/tomorrow").andExpect(status().is4xxClientError());
    }

    private int dueToday() throws Exception {
        int batch = nursery.batchOf(nursery.order(20));
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + SmallNursery.TODAY + "\"}}")
                .andExpect(status().isOk());
        return batch;
    }

    private void hands(LocalDate day, int minutes, boolean everyWeek) throws Exception {
        nursery.put(
                        nursery.propagator,
                        "/api/week/hands",
                        "{\"day\":\"%s\",\"minutes\":%d,\"everyWeek\":%s}".formatted(day, minutes, everyWeek))
                .andExpect(status().isOk());
    }

    private int handsOn(LocalDate day) throws Exception {
        return JsonPath.<Integer>read(body("/api/week?from=" + day), "$[0].hands");
    }

    private double minutes(LocalDate day) throws Exception {
        return JsonPath.<Double>read(body("/api/week?from=" + day), "$[0].minutes");
    }

    private String round() throws Exception {
        return body("/api/round");
    }

    private String body(String path) throws Exception {
        return nursery.get(nursery.hand, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }
}
