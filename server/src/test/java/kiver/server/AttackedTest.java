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
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import kiver.core.crop.CropCode;
import kiver.core.seed.LotId;
import kiver.server.seed.SeedLot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** What was found when Kiver was attacked: nothing stops a page, nothing is promised twice, nobody guesses for ever. */
class AttackedTest extends AttackedNursery {

    private static final String SPOIL = """
            update grower_order set target = %s where id = (
                select line.order_id from order_line line join promise on promise.line_id = line.id
                join batch on batch.id = promise.batch_id where batch.number = ?)
            """;

    @ParameterizedTest
    @ValueSource(strings = {"+999999999-12-31", "-999999999-01-01", "9999-12-31", "2027-13-01", "tomorrow"})
    void aDayThatCannotBeMeantIsRefusedEverywhere(String day) throws Exception {
        int batch = batch(10);
        refused(nursery.post(
                nursery.propagator,
                "/api/board/changes",
                "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day + "\"}}"));
        refused(nursery.post(
                nursery.propagator,
                "/api/reschedule",
                "{\"requestId\":\"%s\",\"batch\":%d,\"remedy\":{\"kind\":\"Keep\"},\"target\":\"%s\"}"
                        .formatted(UUID.randomUUID(), batch, day)));
        refused(nursery.record(nursery.hand, batch, "moves", "\"placeId\":2,\"day\":\"" + day + "\""));
        nursery.get(nursery.propagator, "/api/space/suggestions?place=1&from=" + day + "&to=2027-04-01")
                .andExpect(status().is4xxClientError());
    }

    /** What cannot be read is called as it is on the screen, and a day is asked for as people write it. */
    @Test
    void whatCannotBeReadIsNamedInTheScreensWords() throws Exception {
        int batch = batch(10);
        nursery.record(nursery.hand, batch, "moves", "\"placeId\":\"the bench\"")
                .andExpect(jsonPath("$.errors[0].message").value("The place cannot be read; check it and try again."));
        nursery.record(nursery.hand, batch, "moves", "\"placeId\":2,\"day\":\"2027-04-35\"")
                .andExpect(jsonPath("$.errors[0].message").value("There is no such day. Enter one like Wed 12 May."));
        nursery.get(nursery.hand, "/api/trays/first")
                .andExpect(jsonPath("$.errors[0].message").value("The number cannot be read; check it and try again."));
    }

    @Test
    void aFarDayOfASeasonIsRefusedWithTheLimit() throws Exception {
        int batch = batch(10);
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"2190-01-01\"}}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("370 days ahead")));
    }

    /** A row that was spoilt, by an older version or by hand, is shown as what it is among the others. */
    @Test
    void aPoisonedRowStopsNoPageOfOthers() throws Exception {
        int spoilt = batch(10);
        int whole = batch(11);
        database.update("update batch set sow_day = '5874897-01-01' where number = ?", spoilt);
        database.update(SPOIL.formatted("'5874897-12-31'"), spoilt);
        for (String page : List.of(
                "/api/round",
                "/api/board",
                "/api/space",
                "/api/orders",
                "/api/batches",
                "/api/seed-needs",
                "/api/work?from=2027-03-01&to=2027-03-07")) {
            nursery.get(nursery.propagator, page).andExpect(status().isOk());
        }
        String all = nursery.get(nursery.propagator, "/api/batches")
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<List<String>>read(all, "$[?(@.number == " + spoilt + ")].problem"))
                .hasSize(1)
                .allSatisfy(words -> assertThat(words).contains("cannot be worked out"));
        assertThat(JsonPath.<List<String>>read(all, "$[?(@.number == " + whole + " && @.problem)].problem"))
                .isEmpty();
        database.update("update batch set sow_day = ? where number = ?", SmallNursery.TODAY.plusDays(5), spoilt);
        database.update(SPOIL.formatted("?"), TARGET, spoilt);
    }

    @Test
    void onlyAlikeBatchesAreSwapped() throws Exception {
        int kale = batch(10);
        long other = nursery.crops.add(new CropCode("cabbage"), "Test cabbage " + UUID.randomUUID());
        seeds.add(new SeedLot(
                new LotId(0),
                "C" + UUID.randomUUID(),
                other,
                "S",
                0.9,
                100,
                SmallNursery.TODAY.minusDays(9),
                900,
                900));
        int cabbage = batchOf(orderNumber(nursery.orderBody(UUID.randomUUID(), 10, TARGET)
                .replace("\"varietyId\":" + nursery.varietyId, "\"varietyId\":" + other)));
        swap(kale, cabbage)
                .andExpect(status().isUnprocessableContent())
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
        for (String nonsense : List.of(
                "{}",
                "{\"kind\":\"Burn\"}",
                "{\"kind\":\"Hold\"}",
                "{\"kind\":\"Swap\",\"batch\":%d}".formatted(batch),
                "7",
                "null")) {
            nursery.post(nursery.propagator, "/api/reschedule", """
                    {"requestId":"%s","batch":%d,"target":"%s","remedy":%s}""".formatted(
                                    UUID.randomUUID(), batch, TARGET, nonsense))
                    .andExpect(status().is4xxClientError());
        }
    }

    /** Programs tell problems apart by their kind, whatever the language of whoever asked. */
    @Test
    void aProblemSaysWhatKindItIs() throws Exception {
        int batch = batch(10);
        nursery.get(nursery.propagator, "/api/batches/99999")
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:not-found"));
        nursery.post(
                        nursery.hand,
                        "/api/batches/" + batch + "/hardening-ends",
                        "{\"requestId\":\"%s\"}".formatted(UUID.randomUUID()))
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:cannot-be-true"))
                .andExpect(jsonPath("$.errors[0].reason").value("changeFault.NotHardening"));
        nursery.post(nursery.propagator, "/api/orders", "{")
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:unreadable"));
        nursery.post(nursery.propagator, "/api/orders", "{}")
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:invalid-entry"))
                .andExpect(jsonPath("$.errors[0].reason").doesNotExist());
        nursery.post(nursery.propagator, "/api/reschedule/choices", "{\"batches\":[%d],\"days\":-400}".formatted(batch))
                .andExpect(jsonPath("$.type").value("urn:kiver:problem:refused"));
    }

    @Test
    void afterSowingAPlanGoesBackNeitherToAnotherDayNorToOtherContainers() throws Exception {
        int batch = batch(10);
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"container\":\"module-40\"}}")
                .andExpect(status().isOk());
        sow(batch);
        nursery.post(nursery.propagator, "/api/board/undo", "{}").andExpect(status().isUnprocessableContent());
        assertThat(batches.file(batch).batch().plan().containers()).isEqualTo("module-40");
    }

    @Test
    void everyAnswerHasANumberByWhichItIsFoundInTheLog() throws Exception {
        http.perform(get("/api/session").header("X-Request-Id", "gate-17"))
                .andExpect(header().string("X-Request-Id", "gate-17"));
        http.perform(get("/api/session").header("X-Request-Id", "<script>"))
                .andExpect(header().string("X-Request-Id", matchesPattern("[0-9a-f]{8}")));
        nursery.get(nursery.propagator, "/api/batches/99999")
                .andExpect(status().isNotFound())
                .andExpect(header().exists("X-Request-Id"))
                .andExpect(jsonPath("$.request").value(matchesPattern("[0-9a-f]{8}")));
    }

    @Test
    void whatIsTooLargeIsTurnedAwayUnread() throws Exception {
        http.perform(post("/api/session")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("x".repeat(1_100_000)))
                .andExpect(status().isContentTooLarge());
    }

    @Test
    void aLotOfWhichNothingComesUpLeavesItsPageAlive() throws Exception {
        long variety = nursery.crops.add(new CropCode("curly-kale"), "Dead kale " + UUID.randomUUID());
        seeds.add(new SeedLot(
                new LotId(0), "D" + UUID.randomUUID(), variety, "S", 0, 100_000, SmallNursery.TODAY, 500, 500));
        nursery.get(nursery.propagator, "/api/seed-needs").andExpect(status().isOk());
    }

    @Test
    void cropsThatAreEditedReachTheForecastAtOnce() throws Exception {
        int batch = batch(10);
        String before = ready(batch);
        String sheet = nursery.get(nursery.propagator, "/api/sheets/crops")
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<String> names = JsonPath.read(sheet, "$.columns[*].name");
        List<String> row = JsonPath.<List<List<String>>>read(sheet, "$.rows").stream()
                .filter(each -> each.contains("curly-kale"))
                .findFirst()
                .orElseThrow();
        putCrop(names, row, "0.12");
        assertThat(ready(batch)).isNotEqualTo(before);
        putCrop(names, row, row.get(names.indexOf("leaves_per_day")));
        assertThat(ready(batch)).isEqualTo(before);
    }

    private void putCrop(List<String> names, List<String> row, String leavesPerDay) throws Exception {
        String entries = IntStream.range(0, names.size())
                .mapToObj(index -> "\"" + names.get(index) + "\":\""
                        + (names.get(index).equals("leaves_per_day") ? leavesPerDay : row.get(index)) + "\"")
                .reduce((one, two) -> one + "," + two)
                .orElseThrow();
        nursery.put(nursery.propagator, "/api/sheets/crops/rows", "{\"entries\":{" + entries + "}}")
                .andExpect(status().isOk());
    }

    private String ready(int batch) throws Exception {
        return JsonPath.read(
                nursery.get(nursery.hand, "/api/batches/" + batch)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.summary.dates.ready.middle");
    }

    private ResultActions swap(int batch, int other) throws Exception {
        return nursery.post(
                nursery.propagator, "/api/reschedule", """
                {"requestId":"%s","batch":%d,"target":"%s","remedy":{"kind":"Swap","batch":%d,"growers":[],"day":"2027-05-01"}}""".formatted(UUID.randomUUID(), batch, TARGET, other));
    }

    private static void refused(ResultActions answer) throws Exception {
        answer.andExpect(status().is4xxClientError());
    }

    private int orderNumber(String body) throws Exception {
        return JsonPath.read(
                nursery.post(nursery.propagator, "/api/orders", body)
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
    }
}
