package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.place.PlaceBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** What hands write down on the round besides counts: notes, and thermometers they read. */
@ServerTest
class NotedAtTheBenchTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    PlaceBook places;

    private int batch;

    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
        }
        batch = batches.files().get(0).batch().number();
    }

    @Test
    void aNoteIsKeptOnceWithWhoseItIsAndChangesNothingElse() throws Exception {
        var before = batches.file(batch).state().balance();
        String note =
                "{\"requestId\":\"%s\",\"text\":\"  Pale since Monday, =SUM(A1)  \"}".formatted(UUID.randomUUID());
        for (int time = 0; time < 2; time++) {
            nursery.post(nursery.hand, "/api/batches/" + batch + "/notes", note).andExpect(status().isOk());
        }
        assertThat(batches.file(batch).state().changes())
                .extracting(change -> (Object) change.change())
                .containsOnlyOnce(new BatchChange.Noted("Pale since Monday, =SUM(A1)"));
        assertThat(batches.file(batch).state().balance()).isEqualTo(before);
        nursery.get(nursery.propagator, "/api/batches/" + batch)
                .andExpect(jsonPath("$.changes[*].words", hasItem(containsString("Pale since Monday"))));
        nursery.record(nursery.hand, batch, "notes", "\"text\":\"  \"")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("text"));
        nursery.record(nursery.hand, batch, "notes", "\"text\":\"%s\"".formatted("x".repeat(1001)))
                .andExpect(status().isUnprocessableContent());
        nursery.record(nursery.hand, 9999, "notes", "\"text\":\"x\"").andExpect(status().isNotFound());
        nursery.record(nursery.grower, batch, "notes", "\"text\":\"x\"").andExpect(status().isForbidden());
    }

    private ResultActions read(Person person, Object place, String figures) throws Exception {
        return nursery.post(
                person,
                "/api/places/" + place + "/hand-readings",
                "{\"requestId\":\"%s\",%s}".formatted(UUID.randomUUID(), figures));
    }

    @Test
    void aThermometerReadByHandTellsTheDayBefore() throws Exception {
        LocalDate yesterday = TODAY.minusDays(1);
        read(nursery.hand, 2, "\"minimum\":4.5,\"maximum\":23").andExpect(status().isOk());
        assertThat(places.readings(yesterday).get(new PlaceId(2)).get(yesterday))
                .isEqualTo(new DailyRange(4.5, 23));
        read(nursery.hand, 2, "\"minimum\":5,\"maximum\":23").andExpect(status().isOk());
        assertThat(places.readings(yesterday).get(new PlaceId(2)).get(yesterday))
                .as("read again, more carefully")
                .isEqualTo(new DailyRange(5, 23));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.stops[1].lastMinimum").value(5.0));
    }

    @Test
    void nonsenseOffAThermometerIsRefused() throws Exception {
        read(nursery.hand, 1, "\"minimum\":23,\"maximum\":4.5")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("which is which")));
        read(nursery.hand, 1, "\"minimum\":2,\"maximum\":400").andExpect(status().isUnprocessableContent());
        read(nursery.hand, 1, "\"minimum\":2").andExpect(status().isUnprocessableContent());
        read(nursery.hand, 1, "\"minimum\":2,\"maximum\":9,\"day\":\"%s\"".formatted(TODAY.plusDays(1)))
                .andExpect(status().isUnprocessableContent());
        read(nursery.hand, 1, "\"minimum\":2,\"maximum\":9,\"day\":\"%s\"".formatted(TODAY.minusDays(40)))
                .andExpect(status().isUnprocessableContent());
        read(nursery.hand, 77, "\"minimum\":2,\"maximum\":9").andExpect(status().isNotFound());
        read(nursery.hand, "x", "\"minimum\":2,\"maximum\":9").andExpect(status().is4xxClientError());
        read(nursery.grower, 1, "\"minimum\":2,\"maximum\":9").andExpect(status().isForbidden());
    }
}
