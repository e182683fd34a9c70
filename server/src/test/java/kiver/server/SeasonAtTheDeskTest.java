package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.server.account.Person;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

class SeasonAtTheDeskTest extends DeskOfTheSeason {

    @Test
    void aTrialTellsWhatWouldComeOfItAndChangesNothing() throws Exception {
        int batch = batch(20);
        LocalDate before = sowDay(batch);
        String trial = trial(batch, "\"sowDay\":\"" + before.plusDays(30) + "\"")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.batch.dates.sowDay")
                        .value(before.plusDays(30).toString()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        double chanceBefore = JsonPath.read(trial, "$.chanceBefore");
        assertThat(JsonPath.<Double>read(trial, "$.batch.chance"))
                .as("sown a month too late")
                .isLessThan(chanceBefore / 2);
        assertThat(sowDay(batch)).isEqualTo(before);
        trial(batch, "\"growingPlaceId\":1")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("is not used for that")));
        trial(batch, "\"sowDay\":\"2027-02-01\"").andExpect(status().isUnprocessableContent());
    }

    @Test
    void aChangeOfThePlanCanBeUndone() throws Exception {
        int batch = batch(20);
        LocalDate before = sowDay(batch);
        change(batch, "\"sowDay\":\"" + before.plusDays(3) + "\"", null).andExpect(status().isOk());
        change(batch, "\"container\":\"module-104\"", null).andExpect(status().isOk());
        assertThat(sowDay(batch)).isEqualTo(before.plusDays(3));
        assertThat(batches.file(batch).batch().container().written()).isEqualTo("module-104");
        assertThat(batches.file(batch).runs()).hasSize(1);
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        assertThat(batches.file(batch).batch().container().written()).isEqualTo("module-60");
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        assertThat(sowDay(batch)).isEqualTo(before);
    }

    @Test
    void aDraftIsTriedBesideThePlanAndTakenOrDropped() throws Exception {
        int batch = batch(20);
        LocalDate before = sowDay(batch);
        long draft = draft("Later");
        change(batch, "\"sowDay\":\"" + before.plusDays(2) + "\"", draft).andExpect(status().isOk());
        assertThat(sowDay(batch)).isEqualTo(before);
        nursery.get(nursery.propagator, "/api/drafts/" + draft)
                .andExpect(
                        jsonPath("$.lines[0].sowDay").value(before.plusDays(2).toString()))
                .andExpect(jsonPath("$.lines[0].sowDayBefore").value(before.toString()));
        nursery.get(nursery.propagator, "/api/board?draft=" + draft)
                .andExpect(jsonPath("$.batches[?(@.number == " + batch + ")].dates.sowDay")
                        .value(before.plusDays(2).toString()));
        nursery.post(nursery.propagator, "/api/drafts/" + draft + "/taking", "").andExpect(status().isOk());
        assertThat(sowDay(batch)).isEqualTo(before.plusDays(2));
        long other = draft("Other");
        http.perform(MockMvcRequestBuilders.delete("/api/drafts/" + other)
                        .with(user(nursery.propagator))
                        .with(csrf()))
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/board")
                .andExpect(jsonPath("$.drafts[?(@.name == 'Other')]").isEmpty());
    }

    @Test
    void theWholeSeasonIsPlacedAndWhatWasPlacedByHandStays() throws Exception {
        int pinned = batch(20);
        batch(30);
        change(pinned, "\"growingPlaceId\":2", null).andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/space/assignment", "").andExpect(status().isOk());
        for (int tries = 0; tries < 200 && running(); tries++) {
            Thread.sleep(50);
        }
        nursery.get(nursery.propagator, "/api/space/assignment")
                .andExpect(jsonPath("$.outcome.stopped").value(false))
                .andExpect(jsonPath("$.outcome.unchanged[?(@.batch == " + pinned + ")].reason")
                        .value("Placed by hand."));
        LocalDate before = sowDay(pinned);
        nursery.post(nursery.propagator, "/api/space/assignment/taking", "").andExpect(status().isOk());
        assertThat(sowDay(pinned)).isEqualTo(before);
    }

    @Test
    void placesAreSeenThroughTimeWithWhatIsOverFull() throws Exception {
        int batch = batch(2200);
        String space = nursery.get(nursery.hand, "/api/space")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.places", hasSize(3)))
                .andExpect(jsonPath("$.overflows[0].batches", hasItem(batch)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String from = JsonPath.read(space, "$.overflows[0].from");
        String to = JsonPath.read(space, "$.overflows[0].to");
        int place = JsonPath.<Integer>read(space, "$.overflows[0].placeId");
        nursery.get(nursery.propagator, "/api/space/suggestions?place=" + place + "&from=" + from + "&to=" + to)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].help.kind", hasItem("TellGrower")));
        nursery.get(nursery.hand, "/api/space/standing?place=" + place + "&day=" + from)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.standing[*].batch", hasItem(batch)));
        nursery.get(nursery.hand, "/api/space/standing?place=4711&day=" + from).andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/space/standing?place=" + place + "&day=1999-01-01")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("Choose a day from")));
        nursery.get(nursery.hand, "/api/lots/4711/knowledge").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/lots/1/knowledge").andExpect(status().isForbidden());
    }

    @Test
    void seedNeedsShowWhatRunsShort() throws Exception {
        batch(400);
        batch(420);
        batch(430);
        nursery.get(nursery.hand, "/api/seed-needs")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lots", hasSize(3)))
                .andExpect(jsonPath("$.lots[?(@.code == 'L2')].quality.old").value(true))
                .andExpect(jsonPath("$.lots[?(@.code == 'L2')].quality.cellsForHundred", hasItem(greaterThan(120))))
                .andExpect(jsonPath("$.sowings[0].seeds", greaterThan(0)));
    }

    @Test
    void aMovedDayHasOptionsAndOneIsTaken() throws Exception {
        int batch = batch(20);
        String choices = nursery.post(nursery.propagator, "/api/reschedule/choices", """
                {"batches":[%d],"days":14}""".formatted(batch))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[0].target").value(TARGET.plusDays(14).toString()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<String> kinds = JsonPath.read(choices, "$[0].choices[*].remedy.kind");
        assertThat(kinds).contains("Keep", "SowOn");
        LocalDate before = sowDay(batch);
        UUID request = UUID.randomUUID();
        for (int sent = 0; sent < 2; sent++) {
            nursery.post(nursery.propagator, "/api/reschedule", """
                    {"requestId":"%s","batch":%d,"remedy":{"kind":"SowOn","day":"2027-05-01","before":"2027-04-30"},"target":"%s"}""".formatted(request, batch, TARGET.plusDays(14)))
                    .andExpect(status().isOk());
        }
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(14));
        assertThat(sowDay(batch)).isAfter(before);
        nursery.post(nursery.propagator, "/api/reschedule/choices", """
                {"batches":[%d],"days":-400}""".formatted(batch))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("days"));
    }

    @Test
    void twoBatchesOfAKindCanBeSwapped() throws Exception {
        int one = batch(20);
        int other = batch(20);
        int orderOfOne = nursery.orderOf(one);
        nursery.post(nursery.propagator, "/api/reschedule", """
                {"requestId":"%s","batch":%d,"target":"%s","remedy":{"kind":"Swap","batch":%d,"growers":[],"day":"2027-05-01"}}""".formatted(UUID.randomUUID(), one, TARGET, other))
                .andExpect(status().isOk());
        assertThat(nursery.orderOf(other)).isEqualTo(orderOfOne);
    }

    @Test
    void plantsArePottedOnAndTheAccountStaysEven() throws Exception {
        int number = batch(20);
        BatchFile file = batches.file(number);
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                file.runs().get(0).tray().number());
        int cells = file.batch().cells();
        nursery.post(nursery.hand, "/api/batches/" + number + "/sowings", """
                {"requestId":"%s","tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":1,"lotId":%d,"medium":"Sowing mix","placeId":1}""".formatted(
                                UUID.randomUUID(), tray, cells, nursery.lotId))
                .andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + number + "/counts", """
                {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":1},{"cell":2,"seedlings":1},{"cell":5,"seedlings":1}],"complete":true}""".formatted(UUID.randomUUID(), tray))
                .andExpect(status().isOk());
        UUID request = UUID.randomUUID();
        String potting = """
                {"requestId":"%s","tray":%d,"container":"pot-7","plants":3}""".formatted(request, tray);
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", potting)
                .andExpect(result ->
                        assertThat(result.getResponse().getContentAsString()).isEmpty());
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", potting)
                .andExpect(status().isOk());
        assertThat(batches.file(number).state().balance()).isEqualTo(new Balance(cells, 0, cells - 3, 3, 0, 0));
        assertThat(batches.file(number).state().trays()).hasSize(2);
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", """
                {"requestId":"%s","tray":%d,"container":"plug-150","plants":1}""".formatted(UUID.randomUUID(), tray))
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void onlyThePropagatorChangesPlans() throws Exception {
        int batch = batch(20);
        for (Person person : List.of(nursery.hand, nursery.grower)) {
            nursery.post(person, "/api/promises", "{\"text\":\"400 kale 12 may\"}")
                    .andExpect(status().isForbidden());
            nursery.post(person, "/api/board/changes", edit(batch, "\"sowDay\":\"2027-04-01\"", null))
                    .andExpect(status().isForbidden());
            nursery.post(person, "/api/board/undo", "").andExpect(status().isForbidden());
            nursery.post(person, "/api/drafts", "{\"name\":\"x\"}").andExpect(status().isForbidden());
            nursery.post(person, "/api/space/assignment", "").andExpect(status().isForbidden());
            nursery.post(person, "/api/reschedule/choices", "{}").andExpect(status().isForbidden());
            nursery.post(person, "/api/successions", "{}").andExpect(status().isForbidden());
        }
        nursery.get(nursery.grower, "/api/board").andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/seed-needs").andExpect(status().isForbidden());
    }

    private LocalDate sowDay(int batch) {
        return batches.file(batch).batch().sowDay();
    }

    private static String edit(int batch, String change, Long draft) {
        return "{\"edit\":{\"batch\":" + batch + "," + change + "}" + (draft == null ? "" : ",\"draft\":" + draft)
                + "}";
    }

    private ResultActions trial(int batch, String change) throws Exception {
        return nursery.post(nursery.propagator, "/api/board/trials", edit(batch, change, null));
    }

    private ResultActions change(int batch, String change, Long draft) throws Exception {
        return nursery.post(nursery.propagator, "/api/board/changes", edit(batch, change, draft));
    }

    private long draft(String name) throws Exception {
        String begun = nursery.post(nursery.propagator, "/api/drafts", "{\"name\":\"" + name + "\"}")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.<Integer>read(begun, "$.id");
    }

    private boolean running() throws Exception {
        return JsonPath.read(
                nursery.get(nursery.propagator, "/api/space/assignment")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.running");
    }
}
