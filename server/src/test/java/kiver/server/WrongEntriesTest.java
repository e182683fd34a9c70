package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** What is wrong, sent twice or taken back on the way from an order to its note. */
class WrongEntriesTest extends OrderOnItsWay {

    @Test
    void aRequestSentTwiceCountsOnce() throws Exception {
        UUID orderRequest = UUID.randomUUID();
        String body = nursery.orderBody(orderRequest, 15, SmallNursery.TODAY.plusDays(70));
        String first = nursery.post(nursery.propagator, "/api/orders", body)
                .andReturn()
                .getResponse()
                .getContentAsString();
        String again = nursery.post(nursery.propagator, "/api/orders", body)
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(again).isEqualTo(first).contains("number");
        Planned planned = plannedFor(Integer.parseInt(first.replaceAll("\\D", "")));
        UUID sowing = UUID.randomUUID();
        sow(planned, sowing, 1, planned.cells()).andExpect(status().isOk());
        int seedsLeft = seeds.lot(new LotId(nursery.lotId)).seedsLeft();
        sow(planned, sowing, 1, planned.cells()).andExpect(status().isOk());
        assertThat(seeds.lot(new LotId(nursery.lotId)).seedsLeft()).isEqualTo(seedsLeft);
        countAll(planned);
        harden(planned);
        UUID release = UUID.randomUUID();
        String made = release(planned, release, 15).andReturn().getResponse().getContentAsString();
        assertThat(release(planned, release, 15).andReturn().getResponse().getContentAsString())
                .isEqualTo(made);
        assertThat(balance(planned).released()).isEqualTo(15);
    }

    @Test
    void wrongInputIsToldAtItsFieldAndChangesNothing() throws Exception {
        Planned planned = plan(30);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        Balance before = balance(planned);
        refused(
                count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":-2}]", false),
                "seedlings",
                "cannot hold -2");
        refused(
                count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":1},{\"cell\":1,\"seedlings\":2}]", false),
                "cells",
                "counted twice");
        refused(
                count(
                        planned,
                        UUID.randomUUID(),
                        "[{\"cell\":1,\"seedlings\":1},{\"cell\":99,\"seedlings\":1}]",
                        false),
                "seedlings",
                "Cell 99");
        refused(count(planned, UUID.randomUUID(), "[]", false), "cells", "at least one cell");
        refused(sow(planned, UUID.randomUUID(), 1, 5), "run", "is taken already");
        refused(sow(planned, UUID.randomUUID(), 5, 1), "lastCell", "before it begins");
        refused(sow(planned, UUID.randomUUID(), 1, 500), "lastCell", "60 cells");
        refused(lose(planned, "[]"), "cells", "at least one cell");
        refused(release(planned, UUID.randomUUID(), 5), "plants", "No plants of line 1, Test kale are ready now");
        refused(
                nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/counts", """
                {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":1}],"complete":false,"day":"2031-01-01"}""".formatted(
                                UUID.randomUUID(), planned.tray())),
                "day",
                "still to come");
        assertThat(balance(planned)).isEqualTo(before);
    }

    @Test
    void aWrongOrderIsToldAtItsField() throws Exception {
        refused(order(0, SmallNursery.TODAY.plusDays(70)), "lines[0].wish.plants", "at least 1 plant");
        refused(order(-4, SmallNursery.TODAY.plusDays(70)), "lines[0].wish.plants", "at least 1 plant");
        refused(order(10_000_000, SmallNursery.TODAY.plusDays(70)), "lines[0].wish.plants", "100,000");
        refused(order(30, SmallNursery.TODAY.minusDays(1)), "target", "has passed");
        refused(order(30, SmallNursery.TODAY.plusDays(6)), "target", "too late to sow");
        // With more time the seed could be bought, and the order is taken on that condition.
        refused(order(5_000, SmallNursery.TODAY.plusDays(48)), "target", "seeds are needed");
        String unknownLot = nursery.orderBody(UUID.randomUUID(), 30, SmallNursery.TODAY.plusDays(70))
                .replace("\"leavesFrom\"", "\"lotId\":99,\"leavesFrom\"");
        refused(nursery.post(nursery.propagator, "/api/orders", unknownLot), "lotId", "not in the store");
        String otherSite = nursery.orderBody(UUID.randomUUID(), 30, SmallNursery.TODAY.plusDays(70))
                .replace("\"siteId\":" + nursery.siteId, "\"siteId\":" + nursery.otherSiteId);
        refused(nursery.post(nursery.propagator, "/api/orders", otherSite), "siteId", "another grower");
    }

    @Test
    void anUndoneCountIsKeptButCountsNoMore() throws Exception {
        Planned planned = plan(10);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":3}]", false)
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/corrections", """
                {"requestId":"%s","sequence":2,"reason":"wrong tray"}""".formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        assertThat(balance(planned).alive()).isZero();
        nursery.get(nursery.hand, "/api/batches/" + planned.batch())
                .andExpect(jsonPath("$.changes", hasSize(3)))
                .andExpect(jsonPath("$.changes[1].corrected").value(true))
                .andExpect(jsonPath("$.changes[2].words").value(containsString("Undid entry 2")));
    }

    @Test
    void recordedChangesCannotBeAltered() throws Exception {
        Planned planned = plan(10);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        assertThatThrownBy(() -> database.update("update batch_change set kind = 'Lost'"))
                .hasMessageContaining("never altered");
        assertThatThrownBy(() -> database.update("delete from batch_change")).hasMessageContaining("never altered");
    }

    @Test
    void entriesOfADayCountInTheOrderOfTheHands() throws Exception {
        Planned planned = plan(20);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        countAt(planned, 2, "16:00", "phone-K7Q2").andExpect(status().isOk());
        countAt(planned, 1, "09:30", "desk-22HH").andExpect(status().isOk());
        BatchFile file = batches.file(planned.batch());
        assertThat(file.state().cells().values().iterator().next().seedlings()).isEqualTo(2);
        nursery.get(nursery.hand, "/api/batches/" + planned.batch())
                .andExpect(jsonPath("$.changes[1].time").value("16:00"))
                .andExpect(jsonPath("$.changes[1].device").value("phone-K7Q2"))
                .andExpect(jsonPath("$.changes[0].time").doesNotExist());
        refused(countAt(planned, 1, "quarter past", "phone-K7Q2"), "X-Kiver-Made-At", "time of day");
        refused(countAt(planned, 1, "10:00", "<script>"), "X-Kiver-Device", "letters");
        assertThat(batches.file(planned.batch()).state())
                .usingRecursiveComparison()
                .isEqualTo(file.state());
    }

    @Test
    void aTimeThatCannotBeTrueIsNotBelieved() throws Exception {
        Planned planned = plan(20);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        countAt(planned, 1, "14:00", "phone-K7Q2").andExpect(status().isOk());
        UUID request = UUID.randomUUID();
        nursery.http
                .perform(post("/api/batches/" + planned.batch() + "/pottings")
                        .with(user(nursery.hand))
                        .with(csrf())
                        .header("X-Kiver-Made-At", "02:00")
                        .header("X-Kiver-Device", "phone-LATE")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("""
                                {"requestId":"%s","container":"pot-9","plants":1}""".formatted(request)))
                .andExpect(status().isOk());
        assertThat(batches.file(planned.batch()).state().changes())
                .last()
                .satisfies(last -> assertThat(last.time()).isEmpty());
    }

    private ResultActions countAt(Planned planned, int seedlings, String time, String device) throws Exception {
        return nursery.http.perform(post("/api/batches/" + planned.batch() + "/counts")
                .with(user(nursery.hand))
                .with(csrf())
                .header("X-Kiver-Made-At", time)
                .header("X-Kiver-Device", device)
                .contentType(MediaType.APPLICATION_JSON)
                .content("""
                        {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":%d}],"complete":false}""".formatted(UUID.randomUUID(), planned.tray(), seedlings)));
    }
}
