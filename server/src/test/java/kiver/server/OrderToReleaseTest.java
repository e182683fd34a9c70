package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.lessThan;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

@ServerTest
@Import(SmallNursery.class)
class OrderToReleaseTest {

    @Autowired SmallNursery nursery;
    @Autowired BatchBook batches;
    @Autowired TrayBook trays;
    @Autowired SeedStore seeds;
    @Autowired JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    /** A batch on its way, with the tray its first run of cells is in. */
    private record Planned(int order, int batch, int tray, int cells) {}

    @Test
    void anOrderGoesThroughToItsNote() throws Exception {
        Planned planned = plan(20);
        int seedsBefore = seeds.lot(new LotId(nursery.lotId)).seedsLeft();
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        assertThat(seeds.lot(new LotId(nursery.lotId)).seedsLeft()).isLessThan(seedsBefore);
        countAll(planned);
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/moves", """
                {"requestId":"%s","placeId":2}""".formatted(UUID.randomUUID())).andExpect(status().isOk());
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
                .andReturn().getResponse().getContentAsByteArray();
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
        nursery.get(nursery.hand, "/api/trays/" + planned.tray()).andExpect(jsonPath("$.cells[0].mixed").value(true));

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
                parting(planned, "\"plants\":14,\"mixed\":" + mixed).andExpect(status().isOk())
                        .andReturn().getResponse().getContentAsString(), "$.number");
        assertThat(balance(planned).released()).isEqualTo(14 + mixed);
        assertThat(nursery.note(nursery.grower, note))
                .contains("14 from tray", mixed + " mixed from tray", "in doubt until flowers or fruit");
    }

    private ResultActions names(Planned planned, String what, String cells) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/" + what, "{\"requestId\":\"%s\",\"tray\":%d,\"cells\":%s}"
                .formatted(UUID.randomUUID(), planned.tray(), cells));
    }

    private ResultActions parting(Planned planned, String plants) throws Exception {
        return nursery.post(nursery.propagator, "/api/releases", "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,%s}]}"
                .formatted(UUID.randomUUID(), planned.order(), plants));
    }

    @Test
    void aRequestSentTwiceCountsOnce() throws Exception {
        UUID orderRequest = UUID.randomUUID();
        String body = nursery.orderBody(orderRequest, 15, SmallNursery.TODAY.plusDays(70));
        String first = nursery.post(nursery.propagator, "/api/orders", body).andReturn().getResponse().getContentAsString();
        String again = nursery.post(nursery.propagator, "/api/orders", body).andReturn().getResponse().getContentAsString();
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
        assertThat(release(planned, release, 15).andReturn().getResponse().getContentAsString()).isEqualTo(made);
        assertThat(balance(planned).released()).isEqualTo(15);
    }

    @Test
    void twoPeopleCountingOneTrayLoseNothing() throws Exception {
        Planned planned = plan(40);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        ExecutorService people = Executors.newFixedThreadPool(6);
        List<Callable<Integer>> counts = IntStream.rangeClosed(1, planned.cells())
                .<Callable<Integer>>mapToObj(cell -> () -> count(planned, UUID.randomUUID(), "[{\"cell\":" + cell + ",\"seedlings\":1}]", false)
                        .andReturn().getResponse().getStatus())
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
    void wrongInputIsToldAtItsFieldAndChangesNothing() throws Exception {
        Planned planned = plan(30);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        Balance before = balance(planned);
        refused(count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":-2}]", false), "seedlings", "cannot hold -2");
        refused(count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":1},{\"cell\":1,\"seedlings\":2}]", false), "cells", "counted twice");
        refused(count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":1},{\"cell\":99,\"seedlings\":1}]", false), "seedlings", "Cell 99");
        refused(count(planned, UUID.randomUUID(), "[]", false), "cells", "at least one cell");
        refused(sow(planned, UUID.randomUUID(), 1, 5), "run", "is taken already");
        refused(sow(planned, UUID.randomUUID(), 5, 1), "lastCell", "before it begins");
        refused(sow(planned, UUID.randomUUID(), 1, 500), "lastCell", "60 cells");
        refused(lose(planned, "[]"), "cells", "at least one cell");
        refused(release(planned, UUID.randomUUID(), 5), "plants", "No plants of line 1, Test kale are ready yet");
        refused(nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/counts", """
                {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":1}],"complete":false,"day":"2031-01-01"}"""
                .formatted(UUID.randomUUID(), planned.tray())), "day", "still to come");
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
                Integer.class, planned.order())).isZero();
    }

    @Test
    void fewerThanOrderedAreReleasedWhereFewerLive() throws Exception {
        Planned planned = plan(25);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        countAll(planned);
        lose(planned, IntStream.rangeClosed(1, planned.cells() - 20).boxed().toList().toString()).andExpect(status().isOk());
        harden(planned);
        refused(release(planned, UUID.randomUUID(), 21), "plants", "Only 20 plants of line 1, Test kale are ready");
        release(planned, UUID.randomUUID(), 20).andExpect(status().isOk());
        assertThat(balance(planned).released()).isEqualTo(20);
    }

    @Test
    void anUndoneCountIsKeptButCountsNoMore() throws Exception {
        Planned planned = plan(10);
        sow(planned, UUID.randomUUID(), 1, planned.cells());
        count(planned, UUID.randomUUID(), "[{\"cell\":1,\"seedlings\":3}]", false).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/corrections", """
                {"requestId":"%s","sequence":2,"reason":"wrong tray"}""".formatted(UUID.randomUUID())).andExpect(status().isOk());
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
        assertThatThrownBy(() -> database.update("delete from batch_change"))
                .hasMessageContaining("never altered");
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
                .andExpect(jsonPath("$.changes[1].time").value("16:00")).andExpect(jsonPath("$.changes[1].device").value("phone-K7Q2"))
                .andExpect(jsonPath("$.changes[0].time").doesNotExist());
        refused(countAt(planned, 1, "quarter past", "phone-K7Q2"), "X-Kiver-Made-At", "time of day");
        refused(countAt(planned, 1, "10:00", "<script>"), "X-Kiver-Device", "letters");
        assertThat(batches.file(planned.batch()).state()).usingRecursiveComparison().isEqualTo(file.state());
    }

    @Test
    void aTimeThatCannotBeTrueIsNotBelieved() throws Exception {
        Planned planned = plan(20);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        countAt(planned, 1, "14:00", "phone-K7Q2").andExpect(status().isOk());
        UUID request = UUID.randomUUID();
        nursery.http.perform(post("/api/batches/" + planned.batch() + "/pottings").with(user(nursery.hand)).with(csrf())
                        .header("X-Kiver-Made-At", "02:00").header("X-Kiver-Device", "phone-LATE").contentType(MediaType.APPLICATION_JSON)
                        .content("""
                                {"requestId":"%s","container":"pot-9","plants":1}""".formatted(request)))
                .andExpect(status().isOk());
        assertThat(batches.file(planned.batch()).state().changes()).last()
                .satisfies(last -> assertThat(last.time()).isEmpty());
    }

    private ResultActions countAt(Planned planned, int seedlings, String time, String device) throws Exception {
        return nursery.http.perform(post("/api/batches/" + planned.batch() + "/counts").with(user(nursery.hand)).with(csrf())
                .header("X-Kiver-Made-At", time).header("X-Kiver-Device", device).contentType(MediaType.APPLICATION_JSON)
                .content("""
                        {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":%d}],"complete":false}"""
                        .formatted(UUID.randomUUID(), planned.tray(), seedlings)));
    }

    private Planned plan(int plants) throws Exception {
        return plannedFor(nursery.order(plants));
    }

    private Planned plannedFor(int order) {
        BatchFile file = batches.file(nursery.batchOf(order));
        var run = file.runs().get(0);
        return new Planned(order, file.batch().number(), trays.tray(run.tray()).number(), run.length());
    }

    private ResultActions sow(Planned planned, UUID request, int first, int last)
            throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/sowings", """
                {"requestId":"%s","tray":%d,"firstCell":%d,"lastCell":%d,"seedsPerCell":2,"lotId":%d,"medium":"Fine mix",
                 "placeId":1}""".formatted(request, planned.tray(), first, last, nursery.lotId));
    }

    private void countAll(Planned planned) throws Exception {
        String cells = IntStream.rangeClosed(1, planned.cells())
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                .collect(Collectors.joining(",", "[", "]"));
        count(planned, UUID.randomUUID(), cells, true).andExpect(status().isOk());
    }

    private ResultActions count(
            Planned planned, UUID request, String cells, boolean complete) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/counts", """
                {"requestId":"%s","tray":%d,"cells":%s,"complete":%s}"""
                .formatted(request, planned.tray(), cells, complete));
    }

    private ResultActions lose(Planned planned, String cells) throws Exception {
        return nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/losses", """
                {"requestId":"%s","tray":%d,"cells":%s,"reason":"SLUGS"}"""
                .formatted(UUID.randomUUID(), planned.tray(), cells));
    }

    private void harden(Planned planned) throws Exception {
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-starts", """
                {"requestId":"%s","placeId":3,"programme":"BY_DAY"}""".formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-days", """
                {"requestId":"%s","hours":3}""".formatted(UUID.randomUUID())).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + planned.batch() + "/hardening-ends", """
                {"requestId":"%s"}""".formatted(UUID.randomUUID())).andExpect(status().isOk());
    }

    private ResultActions release(Planned planned, UUID request, int plants)
            throws Exception {
        return nursery.release(request, planned.order(), plants);
    }

    private ResultActions order(int plants, LocalDate target) throws Exception {
        return nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), plants, target));
    }

    private Balance balance(Planned planned) {
        return batches.file(planned.batch()).state().balance();
    }

    private static void refused(ResultActions answer, String field, String message)
            throws Exception {
        answer.andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].message").value(containsString(message)));
    }
}
