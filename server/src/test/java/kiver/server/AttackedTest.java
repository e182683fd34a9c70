package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.matchesPattern;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
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
import java.util.stream.IntStream;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Wording;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What was found when Kiver was attacked: nothing stops a page, nothing is promised twice, nobody guesses for ever. */
@ServerTest
@Import(SmallNursery.class)
@TestPropertySource(properties = "kiver.test=a database that is attacked")
class AttackedTest {

    private static final LocalDate TARGET = SmallNursery.TODAY.plusDays(70);

    private static final String SPOIL = """
            update grower_order set target = %s where id = (
                select line.order_id from order_line line join promise on promise.line_id = line.id
                join batch on batch.id = promise.batch_id where batch.number = ?)
            """;

    @Autowired SmallNursery nursery;
    @Autowired MockMvc http;
    @Autowired BatchBook batches;
    @Autowired SeedStore seeds;
    @Autowired JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
        if (seeds.lots().size() == 2) {
            seeds.add(new SeedLot(new LotId(0), "L3", nursery.varietyId, "Seed house", 0.92, 100, SmallNursery.TODAY.minusDays(60), 90_000, 90_000));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"+999999999-12-31", "-999999999-01-01", "9999-12-31", "2027-13-01", "tomorrow"})
    void aDayThatCannotBeMeantIsRefusedEverywhere(String day) throws Exception {
        int batch = batch(10);
        refused(nursery.post(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day + "\"}}"));
        refused(nursery.post(nursery.propagator, "/api/reschedule", "{\"requestId\":\"%s\",\"batch\":%d,\"remedy\":{\"kind\":\"Keep\"},\"target\":\"%s\"}"
                .formatted(UUID.randomUUID(), batch, day)));
        refused(nursery.record(nursery.hand, batch, "moves", "\"placeId\":2,\"day\":\"" + day + "\""));
        nursery.get(nursery.propagator, "/api/space/suggestions?place=1&from=" + day + "&to=2027-04-01").andExpect(status().is4xxClientError());
    }

    @Test
    void aFarDayOfASeasonIsRefusedWithTheLimit() throws Exception {
        int batch = batch(10);
        nursery.post(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"2190-01-01\"}}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("240 days ahead")));
    }

    /** A row that was spoilt, by an older version or by hand, is shown as what it is among the others. */
    @Test
    void aPoisonedRowStopsNoPageOfOthers() throws Exception {
        int spoilt = batch(10);
        int whole = batch(11);
        database.update("update batch set sow_day = '5874897-01-01' where number = ?", spoilt);
        database.update(SPOIL.formatted("'5874897-12-31'"), spoilt);
        for (String page : List.of("/api/round", "/api/board", "/api/space", "/api/orders", "/api/batches", "/api/seed-needs",
                "/api/work?from=2027-03-01&to=2027-03-07")) {
            nursery.get(nursery.propagator, page).andExpect(status().isOk());
        }
        String all = nursery.get(nursery.propagator, "/api/batches").andReturn().getResponse().getContentAsString();
        assertThat(JsonPath.<List<String>>read(all, "$[?(@.number == " + spoilt + ")].problem")).hasSize(1)
                .allSatisfy(words -> assertThat(words).contains("cannot be worked out"));
        assertThat(JsonPath.<List<String>>read(all, "$[?(@.number == " + whole + " && @.problem)].problem")).isEmpty();
        database.update("update batch set sow_day = ? where number = ?", SmallNursery.TODAY.plusDays(5), spoilt);
        database.update(SPOIL.formatted("?"), TARGET, spoilt);
    }

    @Test
    void aRequestNumberIsBoundToWhoSentItAndToWhatWasInIt() throws Exception {
        UUID id = UUID.randomUUID();
        String order = nursery.orderBody(id, 12, TARGET);
        int first = JsonPath.read(nursery.post(nursery.propagator, "/api/orders", order).andReturn().getResponse().getContentAsString(), "$.number");
        int again = JsonPath.read(nursery.post(nursery.propagator, "/api/orders", order).andReturn().getResponse().getContentAsString(), "$.number");
        assertThat(again).isEqualTo(first);
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(id, 13, TARGET))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("requestId"));
        int batch = sown(20);
        String loss = "{\"requestId\":\"%s\",\"tray\":%d,\"cells\":[1],\"reason\":\"SLUGS\"}".formatted(UUID.randomUUID(), trayOf(batch));
        nursery.post(nursery.hand, "/api/batches/" + batch + "/losses", loss).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + batch + "/losses", loss).andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/batches/" + batch + "/losses", loss).andExpect(status().isUnprocessableContent());
    }

    @Test
    void onlyAlikeBatchesAreSwapped() throws Exception {
        int kale = batch(10);
        long other = nursery.crops.add("cabbage", "Test cabbage " + UUID.randomUUID());
        seeds.add(new SeedLot(new LotId(0), "C" + UUID.randomUUID(), other, "S", 0.9, 100, SmallNursery.TODAY.minusDays(9), 900, 900));
        int cabbage = batchOf(orderNumber(nursery.orderBody(UUID.randomUUID(), 10, TARGET)
                .replace("\"varietyId\":" + nursery.varietyId, "\"varietyId\":" + other)));
        swap(kale, cabbage).andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("another variety")));
        swap(kale, kale).andExpect(status().isUnprocessableContent());
        swap(kale, batch(14)).andExpect(status().isOk());
    }

    @Test
    void aBatchIsHeldOnlyWhereItCanGrowOn() throws Exception {
        int batch = batch(10);
        nursery.post(nursery.propagator, "/api/reschedule", """
                {"requestId":"%s","batch":%d,"target":"%s","remedy":{"kind":"Hold","place":{"number":3},"byKelvin":2}}""".formatted(UUID.randomUUID(), batch, TARGET))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("remedy"));
        for (String nonsense : List.of("{}", "{\"kind\":\"Burn\"}", "{\"kind\":\"Hold\"}", "{\"kind\":\"Swap\",\"batch\":%d}".formatted(batch), "7", "null")) {
            nursery.post(nursery.propagator, "/api/reschedule", """
                    {"requestId":"%s","batch":%d,"target":"%s","remedy":%s}""".formatted(UUID.randomUUID(), batch, TARGET, nonsense))
                    .andExpect(status().is4xxClientError());
        }
    }

    @Test
    void twoPlanEditsAtOnceAreBothKeptAndASecondOfTheSamePlanIsToldOfTheFirst() throws Exception {
        int batch = batch(10);
        LocalDate day = SmallNursery.TODAY.plusDays(4);
        List<Integer> answers = atOnce(List.of(
                () -> code(nursery.post(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day + "\"}}")),
                () -> code(nursery.post(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"pottedLate\":true}}"))));
        assertThat(answers).containsOnly(200);
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(day);
        assertThat(batches.file(batch).batch().plan().pottedLate()).isTrue();
        nursery.post(nursery.propagator, "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day.plusDays(2) + "\"},\"planVersion\":0}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("to be sown on " + Wording.day(day))))
                .andExpect(jsonPath("$.errors[0].message").value(containsString("you wanted " + Wording.day(day.plusDays(2)))));
    }

    /** Programs tell problems apart by their kind, whatever the language of whoever asked. */
    @Test
    void aProblemSaysWhatKindItIs() throws Exception {
        int batch = batch(10);
        nursery.get(nursery.propagator, "/api/batches/99999").andExpect(status().isNotFound())
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:not-found"));
        nursery.post(nursery.hand, "/api/batches/" + batch + "/hardening-ends", "{\"requestId\":\"%s\"}".formatted(UUID.randomUUID()))
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:cannot-be-true"))
                .andExpect(jsonPath("$.errors[0].reason").value("changeFault.NotHardening"));
        nursery.post(nursery.propagator, "/api/orders", "{").andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:unreadable"));
        nursery.post(nursery.propagator, "/api/orders", "{}")
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:invalid-entry"))
                .andExpect(jsonPath("$.errors[0].reason").doesNotExist());
        nursery.post(nursery.propagator, "/api/reschedule/choices", "{\"batches\":[%d],\"days\":-400}".formatted(batch))
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:refused"));
    }

    @Test
    void aDraftDoesNotOverwriteWhatChangedMeanwhile() throws Exception {
        int batch = batch(10);
        long draft = JsonPath.<Integer>read(nursery.post(nursery.propagator, "/api/drafts", "{\"name\":\"" + UUID.randomUUID() + "\"}")
                .andReturn().getResponse().getContentAsString(), "$.id");
        nursery.post(nursery.propagator, "/api/board/changes",
                "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + SmallNursery.TODAY.plusDays(6) + "\"},\"draft\":" + draft + "}").andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/board/changes",
                "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + SmallNursery.TODAY.plusDays(2) + "\"}}").andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/drafts/" + draft + "/taking", "{}").andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("was changed since")));
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(SmallNursery.TODAY.plusDays(2));
        nursery.get(nursery.propagator, "/api/drafts/987654").andExpect(status().isNotFound());
        nursery.get(nursery.propagator, "/api/board?draft=987654").andExpect(status().isNotFound());
    }

    @Test
    void afterSowingAPlanGoesBackNeitherToAnotherDayNorToOtherContainers() throws Exception {
        int batch = batch(10);
        nursery.post(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"container\":\"module-40\"}}").andExpect(status().isOk());
        sow(batch);
        nursery.post(nursery.propagator, "/api/board/undo", "{}").andExpect(status().isUnprocessableContent());
        assertThat(batches.file(batch).batch().plan().containers()).isEqualTo("module-40");
    }

    /** Thirty orders at once for one lot: what they are promised is there. */
    @Test
    void ordersThatRaceForOneLotArePromisedNoMoreThanItHolds() throws Exception {
        long variety = nursery.crops.add("curly-kale", "Raced kale");
        seeds.add(new SeedLot(new LotId(0), "RACE", variety, "S", 0.9, 100, SmallNursery.TODAY.minusDays(9), 700, 700));
        long lot = seeds.lotsOf(variety).get(0).id().number();
        List<Callable<Integer>> orders = new ArrayList<>();
        for (int order = 0; order < 30; order++) {
            orders.add(() -> code(nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), 50, SmallNursery.TODAY.plusDays(50))
                    .replace("\"varietyId\":" + nursery.varietyId, "\"varietyId\":" + variety)
                    .replaceFirst("\\}\\]\\}$", ",\"seen\":\"YES\"}]}"))));
        }
        List<Integer> answers = atOnce(orders);
        int promised = batches.files().stream().filter(file -> file.batch().lot().number() == lot)
                .mapToInt(file -> file.batch().cells() * file.batch().seedsPerCell()).sum();
        assertThat(promised).isPositive().isLessThanOrEqualTo(700);
        assertThat(answers).containsOnly(200, 422);
    }

    @Test
    void pottingsFromOneTrayWaitForEachOther() throws Exception {
        int batch = sown(30);
        int tray = trayOf(batch);
        BatchFile file = batches.file(batch);
        int cells = Math.min(24, file.runs().get(0).length());
        nursery.record(nursery.hand, batch, "counts", "\"tray\":" + tray + ",\"complete\":false,\"cells\":[],\"somethingUp\":["
                + String.join(",", IntStream.rangeClosed(1, cells).mapToObj(String::valueOf).toList()) + "]").andExpect(status().isOk());
        List<Callable<Integer>> pottings = new ArrayList<>();
        for (int potting = 0; potting < cells / 2; potting++) {
            pottings.add(() -> code(nursery.record(nursery.hand, batch, "pottings", "\"tray\":" + tray + ",\"container\":\"pot-7\",\"plants\":2")));
        }
        assertThat(atOnce(pottings)).containsOnly(200);
        assertThat(batches.file(batch).state().balance().alive()).isEqualTo(cells);
        assertThat(batches.file(batch).state().cellsIn(file.runs().get(0).tray(), kiver.core.batch.CellCondition.ALIVE)).hasSize(cells % 2);
    }

    @Test
    void ofManyUndosOfOneChangeOneIsDone() throws Exception {
        int batch = sown(10);
        List<Callable<Integer>> undos = new ArrayList<>();
        for (int undo = 0; undo < 20; undo++) {
            undos.add(() -> code(nursery.record(nursery.propagator, batch, "corrections", "\"sequence\":1,\"reason\":\"never sown\"")));
        }
        List<Integer> answers = atOnce(undos);
        assertThat(answers).containsOnly(200, 422);
        assertThat(answers.stream().filter(answer -> answer == 200)).hasSize(1);
    }

    @Test
    void noTwoBatchesShareACellThatOneWasPottedInto() throws Exception {
        int batch = sown(10);
        int tray = trayOf(batch);
        nursery.record(nursery.hand, batch, "counts", "\"tray\":" + tray + ",\"complete\":false,\"cells\":[{\"cell\":1,\"seedlings\":1}]").andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "pottings", "\"tray\":" + tray + ",\"container\":\"pot-7\",\"plants\":1").andExpect(status().isOk());
        CellRun potted = new CellRun(batches.file(batch).state().trays().stream().reduce((one, two) -> two).orElseThrow(), 1, 1);
        int pots = database.queryForObject("select number from tray where id = ?", Integer.class, potted.tray().number());
        int other = batch(10);
        String sowing = "\"tray\":%d,\"firstCell\":1,\"lastCell\":2,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                .formatted(pots, batches.file(other).batch().lot().number());
        nursery.record(nursery.hand, other, "sowings", sowing).andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("holds batch " + batch)));
        // The potting is undone, the other is sown there, and the undoing cannot be undone: its plant has nowhere to go back to.
        int potting = batches.file(batch).state().changes().size();
        nursery.record(nursery.hand, batch, "corrections", "\"sequence\":" + potting + ",\"reason\":\"not yet\"").andExpect(status().isOk());
        nursery.record(nursery.hand, other, "sowings", sowing).andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "corrections", "\"sequence\":" + (potting + 1) + ",\"reason\":\"it was so\"")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("holds batch " + other)));
        assertThat(batches.file(batch).state().changes()).hasSize(potting + 1);
    }

    @Test
    void everyAnswerHasANumberByWhichItIsFoundInTheLog() throws Exception {
        http.perform(get("/api/session").header("X-Request-Id", "gate-17")).andExpect(header().string("X-Request-Id", "gate-17"));
        http.perform(get("/api/session").header("X-Request-Id", "<script>")).andExpect(header().string("X-Request-Id", matchesPattern("[0-9a-f]{8}")));
        nursery.get(nursery.propagator, "/api/batches/99999").andExpect(status().isNotFound())
                .andExpect(header().exists("X-Request-Id")).andExpect(jsonPath("$.request").value(matchesPattern("[0-9a-f]{8}")));
    }

    @Test
    void nobodySendsWhatAnotherRecorded() throws Exception {
        int batch = sown(10);
        http.perform(post("/api/batches/" + batch + "/moves").with(csrf())
                        .with(org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user(nursery.hand))
                        .header("X-Kiver-Made-By", nursery.propagator.id()).contentType(MediaType.APPLICATION_JSON)
                        .content("{\"requestId\":\"" + UUID.randomUUID() + "\",\"placeId\":2}"))
                .andExpect(status().isConflict());
    }

    @Test
    void whatIsTooLargeIsTurnedAwayUnread() throws Exception {
        http.perform(post("/api/session").with(csrf()).contentType(MediaType.APPLICATION_JSON).content("x".repeat(1_100_000)))
                .andExpect(status().isContentTooLarge());
    }

    @Test
    void aLotOfWhichNothingComesUpLeavesItsPageAlive() throws Exception {
        long variety = nursery.crops.add("curly-kale", "Dead kale " + UUID.randomUUID());
        seeds.add(new SeedLot(new LotId(0), "D" + UUID.randomUUID(), variety, "S", 0, 100_000, SmallNursery.TODAY, 500, 500));
        nursery.get(nursery.propagator, "/api/seed-needs").andExpect(status().isOk());
    }

    @Test
    void cropsThatAreEditedReachTheForecastAtOnce() throws Exception {
        int batch = batch(10);
        String before = ready(batch);
        String sheet = nursery.get(nursery.propagator, "/api/sheets/crops").andReturn().getResponse().getContentAsString();
        List<String> names = JsonPath.read(sheet, "$.columns[*].name");
        List<String> row = JsonPath.<List<List<String>>>read(sheet, "$.rows").stream()
                .filter(each -> each.contains("curly-kale")).findFirst().orElseThrow();
        putCrop(names, row, "0.12");
        assertThat(ready(batch)).isNotEqualTo(before);
        putCrop(names, row, row.get(names.indexOf("leaves_per_day")));
        assertThat(ready(batch)).isEqualTo(before);
    }

    private void putCrop(List<String> names, List<String> row, String leavesPerDay) throws Exception {
        String entries = IntStream.range(0, names.size())
                .mapToObj(index -> "\"" + names.get(index) + "\":\""
                        + (names.get(index).equals("leaves_per_day") ? leavesPerDay : row.get(index)) + "\"")
                .reduce((one, two) -> one + "," + two).orElseThrow();
        nursery.put(nursery.propagator, "/api/sheets/crops/rows", "{\"entries\":{" + entries + "}}").andExpect(status().isOk());
    }

    private String ready(int batch) throws Exception {
        return JsonPath.read(nursery.get(nursery.hand, "/api/batches/" + batch).andReturn().getResponse().getContentAsString(), "$.summary.dates.ready.middle");
    }

    private ResultActions swap(int batch, int other) throws Exception {
        return nursery.post(nursery.propagator, "/api/reschedule", """
                {"requestId":"%s","batch":%d,"target":"%s","remedy":{"kind":"Swap","batch":%d,"growers":[],"day":"2027-05-01"}}"""
                .formatted(UUID.randomUUID(), batch, TARGET, other));
    }

    private static void refused(ResultActions answer) throws Exception {
        answer.andExpect(status().is4xxClientError());
    }

    private int batch(int plants) throws Exception {
        return batchOf(nursery.order(plants));
    }

    private int orderNumber(String body) throws Exception {
        return JsonPath.read(nursery.post(nursery.propagator, "/api/orders", body).andExpect(status().isOk())
                .andReturn().getResponse().getContentAsString(), "$.number");
    }

    private int batchOf(int order) {
        return nursery.batchOf(order);
    }

    private int sown(int plants) throws Exception {
        int batch = batch(plants);
        sow(batch);
        return batch;
    }

    private void sow(int batch) throws Exception {
        BatchFile file = batches.file(batch);
        nursery.record(nursery.hand, batch, "sowings", "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                .formatted(trayOf(batch), file.runs().get(0).length(), file.batch().lot().number())).andExpect(status().isOk());
    }

    private int trayOf(int batch) {
        return database.queryForObject("select number from tray where id = ?", Integer.class, batches.file(batch).runs().get(0).tray().number());
    }

    private static int code(ResultActions answer) {
        return answer.andReturn().getResponse().getStatus();
    }

    private static List<Integer> atOnce(List<Callable<Integer>> calls) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(8);
        try {
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> answer : people.invokeAll(calls)) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            people.shutdown();
        }
    }
}
