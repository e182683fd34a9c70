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
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

@ServerTest
@Import(SmallNursery.class)
@TestPropertySource(properties = "kiver.test=a database of its own, since this nursery has more seed than the others")
class SeasonAtTheDeskTest {

    private static final LocalDate TARGET = SmallNursery.TODAY.plusDays(70);

    @Autowired SmallNursery nursery;
    @Autowired BatchBook batches;
    @Autowired MockMvc http;
    @Autowired SeedStore seeds;
    @Autowired JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
        if (seeds.lots().size() == 2) {
            seeds.add(new SeedLot(new LotId(0), "L3", nursery.varietyId, "Seed house", 0.92, 100, SmallNursery.TODAY.minusDays(60), 60_000, 60_000));
        }
    }

    @Test
    void aQuestionInPlainWordsIsAnsweredAndBecomesAnOrder() throws Exception {
        String answer = ask("12 test kale, " + TARGET + ", Near, module 60, 4-6 leaves")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.words.plants").value(12))
                .andExpect(jsonPath("$.words.site").value("Near"))
                .andExpect(jsonPath("$.plan.promise.answer").value("YES"))
                .andExpect(jsonPath("$.plan.outdoors.because").value("FROST"))
                .andExpect(jsonPath("$.plan.places.stays[0].place").value("Place 1"))
                .andReturn().getResponse().getContentAsString();
        String wish = new tools.jackson.databind.json.JsonMapper().writeValueAsString(JsonPath.read(answer, "$.wish"));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish + "}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.number", greaterThan(100)));
    }

    @Test
    void whatWasNotSaidOrUnderstoodIsTold() throws Exception {
        ask("zorbs for " + TARGET)
                .andExpect(jsonPath("$.missing", hasSize(2)))
                .andExpect(jsonPath("$.notUnderstood[0]").value("zorbs"));
    }

    @ParameterizedTest
    @CsvSource({"0 test kale 10 may, 1 to 100000", "10000000 test kale 10 may, '10,000,000'", "5 test kale 2027-02-01, has passed"})
    void impossibleQuestionsGetAClearAnswer(String text, String words) throws Exception {
        ask(text).andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].message", containsString(words)));
    }

    @Test
    void pathsThroughContainersAreCompared() throws Exception {
        nursery.post(nursery.propagator, "/api/paths", wish(60, "pot-9", TARGET.plusDays(20)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].kind", hasItem("STRAIGHT")))
                .andExpect(jsonPath("$[*].kind", hasItem("POTTED_TWICE")))
                .andExpect(jsonPath("$[0].plan.outlay.cost", greaterThan(1.0)));
    }

    @Test
    void aSuccessionBecomesOrdersReadyEvenly() throws Exception {
        String succession = """
                {"wish":%s,"until":"%s","count":3}""".formatted(wish(31, "module-60", TARGET), TARGET.plusDays(28));
        nursery.post(nursery.propagator, "/api/successions/plan", succession)
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[1].ready").value(TARGET.plusDays(14).toString()));
        String order = """
                {"requestId":"%s","growerId":%d,"siteId":%d,"succession":%s}"""
                .formatted(UUID.randomUUID(), nursery.growerId, nursery.siteId, succession);
        nursery.post(nursery.propagator, "/api/successions", order).andExpect(jsonPath("$.orders").value(3));
        nursery.post(nursery.propagator, "/api/successions", order).andExpect(jsonPath("$.orders").value(3));
        assertThat(database.queryForList("select plants from order_line line join grower_order o on o.id = line.order_id where succession = 1 order by o.target", Integer.class))
                .containsExactly(10, 10, 11);
        nursery.post(nursery.propagator, "/api/successions/plan", """
                {"wish":%s,"until":"%s"}""".formatted(wish(31, "module-60", TARGET), TARGET))
                .andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].field").value("count"));
    }

    @Test
    void aTrialTellsWhatWouldComeOfItAndChangesNothing() throws Exception {
        int batch = batch(20);
        LocalDate before = sowDay(batch);
        String trial = trial(batch, "\"sowDay\":\"" + before.plusDays(30) + "\"")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.batch.dates.sowDay").value(before.plusDays(30).toString()))
                .andReturn().getResponse().getContentAsString();
        double chanceBefore = JsonPath.read(trial, "$.chanceBefore");
        assertThat(JsonPath.<Double>read(trial, "$.batch.chance")).as("sown a month too late").isLessThan(chanceBefore / 2);
        assertThat(sowDay(batch)).isEqualTo(before);
        trial(batch, "\"growingPlaceId\":1").andExpect(status().isUnprocessableContent())
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
        assertThat(batches.file(batch).batch().container()).isEqualTo("module-104");
        assertThat(batches.file(batch).runs()).hasSize(1);
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        assertThat(batches.file(batch).batch().container()).isEqualTo("module-60");
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
                .andExpect(jsonPath("$.lines[0].sowDay").value(before.plusDays(2).toString()))
                .andExpect(jsonPath("$.lines[0].sowDayBefore").value(before.toString()));
        nursery.get(nursery.propagator, "/api/board?draft=" + draft)
                .andExpect(jsonPath("$.batches[?(@.number == " + batch + ")].dates.sowDay").value(before.plusDays(2).toString()));
        nursery.post(nursery.propagator, "/api/drafts/" + draft + "/taking", "").andExpect(status().isOk());
        assertThat(sowDay(batch)).isEqualTo(before.plusDays(2));
        long other = draft("Other");
        http.perform(MockMvcRequestBuilders.delete("/api/drafts/" + other).with(user(nursery.propagator)).with(csrf()))
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/board").andExpect(jsonPath("$.drafts[?(@.name == 'Other')]").isEmpty());
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
                .andExpect(jsonPath("$.outcome.unchanged[?(@.batch == " + pinned + ")].reason").value("Placed by hand."));
        LocalDate before = sowDay(pinned);
        nursery.post(nursery.propagator, "/api/space/assignment/taking", "").andExpect(status().isOk());
        assertThat(sowDay(pinned)).isEqualTo(before);
    }

    @Test
    void placesAreSeenThroughTimeWithWhatIsOverFull() throws Exception {
        int batch = batch(2200);
        String space = nursery.get(nursery.hand, "/api/space").andExpect(status().isOk())
                .andExpect(jsonPath("$.places", hasSize(3)))
                .andExpect(jsonPath("$.overflows[0].batches", hasItem(batch)))
                .andReturn().getResponse().getContentAsString();
        String from = JsonPath.read(space, "$.overflows[0].from");
        String to = JsonPath.read(space, "$.overflows[0].to");
        int place = JsonPath.<Integer>read(space, "$.overflows[0].placeId");
        nursery.get(nursery.propagator, "/api/space/suggestions?place=" + place + "&from=" + from + "&to=" + to)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].help.kind", hasItem("TellGrower")));
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
                .andReturn().getResponse().getContentAsString();
        List<String> kinds = JsonPath.read(choices, "$[0].choices[*].remedy.kind");
        assertThat(kinds).contains("Keep", "SowOn");
        LocalDate before = sowDay(batch);
        UUID request = UUID.randomUUID();
        for (int sent = 0; sent < 2; sent++) {
            nursery.post(nursery.propagator, "/api/reschedule", """
                    {"requestId":"%s","batch":%d,"remedy":{"kind":"SowOn","day":"2027-05-01","before":"2027-04-30"},"target":"%s"}"""
                    .formatted(request, batch, TARGET.plusDays(14))).andExpect(status().isOk());
        }
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(14));
        assertThat(sowDay(batch)).isAfter(before);
        nursery.post(nursery.propagator, "/api/reschedule/choices", """
                {"batches":[%d],"days":-400}""".formatted(batch))
                .andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].field").value("days"));
    }

    @Test
    void twoBatchesOfAKindCanBeSwapped() throws Exception {
        int one = batch(20);
        int other = batch(20);
        int orderOfOne = nursery.orderOf(one);
        nursery.post(nursery.propagator, "/api/reschedule", """
                {"requestId":"%s","batch":%d,"target":"%s","remedy":{"kind":"Swap","batch":%d,"growers":[],"day":"2027-05-01"}}"""
                .formatted(UUID.randomUUID(), one, TARGET, other)).andExpect(status().isOk());
        assertThat(nursery.orderOf(other)).isEqualTo(orderOfOne);
    }

    @Test
    void plantsArePottedOnAndTheAccountStaysEven() throws Exception {
        int number = batch(20);
        BatchFile file = batches.file(number);
        int tray = database.queryForObject("select number from tray where id = ?", Integer.class, file.runs().get(0).tray().number());
        int cells = file.batch().cells();
        nursery.post(nursery.hand, "/api/batches/" + number + "/sowings", """
                {"requestId":"%s","tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":1,"lotId":%d,"medium":"Sowing mix","placeId":1}"""
                .formatted(UUID.randomUUID(), tray, cells, nursery.lotId)).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + number + "/counts", """
                {"requestId":"%s","tray":%d,"cells":[{"cell":1,"seedlings":1},{"cell":2,"seedlings":1},{"cell":5,"seedlings":1}],"complete":true}"""
                .formatted(UUID.randomUUID(), tray)).andExpect(status().isOk());
        UUID request = UUID.randomUUID();
        String potting = """
                {"requestId":"%s","tray":%d,"container":"pot-7","plants":3}""".formatted(request, tray);
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", potting)
                .andExpect(result -> assertThat(result.getResponse().getContentAsString()).isEmpty());
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", potting).andExpect(status().isOk());
        assertThat(batches.file(number).state().balance()).isEqualTo(new Balance(cells, 0, cells - 3, 3, 0, 0));
        assertThat(batches.file(number).state().trays()).hasSize(2);
        nursery.post(nursery.hand, "/api/batches/" + number + "/pottings", """
                {"requestId":"%s","tray":%d,"container":"plug-150","plants":1}""".formatted(UUID.randomUUID(), tray))
                .andExpect(status().isUnprocessableContent());
    }

    /** The parser refuses what RFC 5545 does not allow, and validate looks at every component again. */
    @Test
    void calendarsAreValidAndShowEachOnlyTheirOwn() throws Exception {
        batch(20);
        Calendar mine = calendar(address(nursery.propagator, "mine"));
        assertThat(mine.getComponents()).isNotEmpty();
        assertThat(mine.toString()).contains("Sow ").contains("Release 20");
        assertThat(calendar(address(nursery.otherGrower, "mine")).getComponents()).isEmpty();
        Calendar place = calendar(address(nursery.hand, "places/1"));
        assertThat(place.toString()).contains("Sow ").doesNotContain("Release");
        assertThat(address(nursery.propagator, "mine")).isEqualTo(address(nursery.propagator, "mine"));
        http.perform(MockMvcRequestBuilders.get("/calendar/0000.ics")).andExpect(status().isNotFound());
        nursery.post(nursery.grower, "/api/calendar-feeds/places/1", "").andExpect(status().isForbidden());
    }

    @Test
    void sitesCropsAndForecastsCanBeLookedAt() throws Exception {
        nursery.get(nursery.hand, "/api/sites/" + nursery.otherSiteId)
                .andExpect(jsonPath("$.offset").value(-1.95))
                .andExpect(jsonPath("$.lightFrost.seasons", greaterThan(20)))
                .andExpect(jsonPath("$.crops[0].from").exists());
        nursery.get(nursery.hand, "/api/crops/tomato?place=1")
                .andExpect(jsonPath("$.observed", hasSize(greaterThan(3))))
                .andExpect(jsonPath("$.stages", hasSize(7)));
        nursery.get(nursery.hand, "/api/forecast-changes").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/work?from=2027-03-01&to=2027-03-07").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/work?from=2027-03-07&to=2027-03-01").andExpect(status().isUnprocessableContent());
    }

    @Test
    void onlyThePropagatorChangesPlans() throws Exception {
        int batch = batch(20);
        for (Person person : List.of(nursery.hand, nursery.grower)) {
            nursery.post(person, "/api/promises", "{\"text\":\"400 kale 12 may\"}").andExpect(status().isForbidden());
            nursery.post(person, "/api/board/changes", edit(batch, "\"sowDay\":\"2027-04-01\"", null)).andExpect(status().isForbidden());
            nursery.post(person, "/api/board/undo", "").andExpect(status().isForbidden());
            nursery.post(person, "/api/drafts", "{\"name\":\"x\"}").andExpect(status().isForbidden());
            nursery.post(person, "/api/space/assignment", "").andExpect(status().isForbidden());
            nursery.post(person, "/api/reschedule/choices", "{}").andExpect(status().isForbidden());
            nursery.post(person, "/api/successions", "{}").andExpect(status().isForbidden());
        }
        nursery.get(nursery.grower, "/api/board").andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/seed-needs").andExpect(status().isForbidden());
    }

    private int batch(int plants) throws Exception {
        return nursery.batchOf(nursery.order(plants));
    }

    private LocalDate sowDay(int batch) {
        return batches.file(batch).batch().sowDay();
    }

    private ResultActions ask(String text) throws Exception {
        return nursery.post(nursery.propagator, "/api/promises", "{\"text\":\"" + text + "\"}");
    }

    private String wish(int plants, String container, LocalDate target) {
        return """
                {"varietyId":%d,"container":"%s","plants":%d,"leavesFrom":4,"leavesTo":6,"target":"%s","siteId":%d}"""
                .formatted(nursery.varietyId, container, plants, target, nursery.siteId);
    }

    private static String edit(int batch, String change, Long draft) {
        return "{\"edit\":{\"batch\":" + batch + "," + change + "}" + (draft == null ? "" : ",\"draft\":" + draft) + "}";
    }

    private ResultActions trial(int batch, String change) throws Exception {
        return nursery.post(nursery.propagator, "/api/board/trials", edit(batch, change, null));
    }

    private ResultActions change(int batch, String change, Long draft) throws Exception {
        return nursery.post(nursery.propagator, "/api/board/changes", edit(batch, change, draft));
    }

    private long draft(String name) throws Exception {
        String begun = nursery.post(nursery.propagator, "/api/drafts", "{\"name\":\"" + name + "\"}")
                .andExpect(status().isOk()).andReturn().getResponse().getContentAsString();
        return JsonPath.<Integer>read(begun, "$.id");
    }

    private boolean running() throws Exception {
        return JsonPath.read(
                nursery.get(nursery.propagator, "/api/space/assignment").andReturn().getResponse().getContentAsString(),
                "$.running");
    }

    private String address(Person person, String which) throws Exception {
        return JsonPath.read(
                nursery.post(person, "/api/calendar-feeds/" + which, "").andReturn().getResponse().getContentAsString(), "$.path");
    }

    private Calendar calendar(String path) throws Exception {
        String text = http.perform(MockMvcRequestBuilders.get(path)).andExpect(status().isOk())
                .andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        calendar.validate(true);
        return calendar;
    }
}
