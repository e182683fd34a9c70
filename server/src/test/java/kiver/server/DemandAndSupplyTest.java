package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.order.PlantShares;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.order.OrderBook;
import kiver.server.seed.SeedLot;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.ResultActions;

/** What growers ask for, line by line, and the batches that give it: alone, together, from what is free. */
@ServerTest
@Import(SmallNursery.class)
@TestPropertySource(properties = "kiver.test=a database in which growers ask for several kinds at once")
class DemandAndSupplyTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;
    private static final LocalDate TARGET = TODAY.plusDays(70);

    @Autowired SmallNursery nursery;
    @Autowired BatchBook batches;
    @Autowired OrderBook orders;
    @Autowired JdbcTemplate database;
    private long kale;

    /** Each test has a variety of its own, so that none is given what another left free. */
    @BeforeEach
    void found() {
        nursery.found();
        kale = nursery.crops.add("curly-kale", "Kale " + UUID.randomUUID());
        nursery.seeds.add(new SeedLot(new LotId(0), "K" + UUID.randomUUID(), kale, "Seed house", 0.9, 100, TODAY.minusDays(40), 3000, 3000));
    }

    @Test
    void anOrderOfSeveralLinesIsTakenWholeOrNotAtAll() throws Exception {
        long before = count("grower_order");
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), line(20, TARGET), line(20, TODAY.plusDays(3))))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("lines[1].target"))
                .andExpect(jsonPath("$.errors[0].message").value(containsString("Line 2, Kale")));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID()))
                .andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].field").value("lines"));
        assertThat(count("grower_order")).isEqualTo(before);
        int order = take(line(20, TARGET), line(30, TARGET.plusDays(7)));
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.target").value(TARGET.toString()))
                .andExpect(jsonPath("$.order.lines[*].asked.plants", contains(20, 30)))
                .andExpect(jsonPath("$.order.lines[1].asked.target").value(TARGET.plusDays(7).toString()))
                .andExpect(jsonPath("$.order.standing").value("PLANNED"));
    }

    @Test
    void aBatchForNobodyIsPromisedLaterAndNoMoreThanItHolds() throws Exception {
        int spares = sowForNobody(50);
        nursery.get(nursery.hand, "/api/batches/" + spares)
                .andExpect(jsonPath("$.summary.promises").isEmpty())
                .andExpect(jsonPath("$.summary.shares.free").value(50))
                .andExpect(jsonPath("$.summary.chance", greaterThan(0.5)));
        nursery.post(nursery.propagator, "/api/plans", wish(40, TARGET))
                .andExpect(jsonPath("$.promise.sources[0].batch").value(spares))
                .andExpect(jsonPath("$.promise.sources[0].kind").value("FREE"))
                .andExpect(jsonPath("$.promise.sources[0].free").value(50));
        long sown = count("batch");
        int order = take(line(40, TARGET, spares));
        assertThat(count("batch")).isEqualTo(sown);
        assertThat(shares(spares)).isEqualTo(new PlantShares(40, 0, 10, 0));
        assertThat(nursery.orderOf(spares)).isEqualTo(order);
        nursery.post(nursery.propagator, "/api/batches/" + spares + "/withdrawals", request())
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("are promised")));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), line(10, TARGET.plusDays(60), spares)))
                .andExpect(status().isOk());
        assertThat(shares(spares).free()).isZero();
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), line(1, TARGET, 99_999)))
                .andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].field").value("fromBatch"));
    }

    @Test
    void freePlantsThatManyWantAtOnceAreGivenOnce() throws Exception {
        int spares = sowForNobody(30);
        sowAll(spares);
        List<Callable<Integer>> calls = IntStream.range(0, 6)
                .mapToObj(each -> (Callable<Integer>) () -> nursery.post(nursery.propagator, "/api/orders",
                                nursery.orderBody(UUID.randomUUID(), line(20, TARGET, spares)))
                        .andReturn().getResponse().getStatus())
                .toList();
        ExecutorService people = Executors.newFixedThreadPool(6);
        int taken = 0;
        for (Future<Integer> answer : people.invokeAll(calls)) {
            taken += answer.get() == 200 ? 1 : 0;
        }
        people.shutdown();
        assertThat(taken).isEqualTo(1);
        assertThat(shares(spares)).isEqualTo(new PlantShares(20, 0, 10, 0));
    }

    @Test
    void linesOfTwoGrowersAreSownTogetherAndOneWithdraws() throws Exception {
        int first = take(line(60, TARGET));
        int batch = nursery.batchOf(first);
        int cells = batches.file(batch).batch().cells();
        String sources = nursery.post(nursery.propagator, "/api/plans", wish(40, TARGET.plusDays(4))).andReturn().getResponse().getContentAsString();
        assertThat(JsonPath.<String>read(sources, "$.promise.sources[0].kind")).isEqualTo("POOLED");
        assertThat(JsonPath.<Integer>read(sources, "$.promise.sources[0].saving.trays")).isNotNegative();
        assertThat(JsonPath.<Integer>read(sources, "$.promise.sources[0].saving.seeds")).isPositive();
        String body = nursery.orderBody(UUID.randomUUID(), line(40, TARGET.plusDays(4), batch))
                .replace("\"growerId\":" + nursery.growerId, "\"growerId\":" + nursery.otherGrowerId)
                .replace("\"siteId\":" + nursery.siteId, "\"siteId\":" + nursery.otherSiteId);
        int second = JsonPath.read(ok(nursery.propagator, "/api/orders", body), "$.number");
        assertThat(JsonPath.<Integer>read(ok(nursery.propagator, "/api/orders", body), "$.number")).isEqualTo(second);
        BatchFile together = batches.file(batch);
        assertThat(together.batch().cells()).isGreaterThan(cells);
        assertThat(together.runs().stream().mapToInt(CellRun::length).sum()).isEqualTo(together.batch().cells());
        assertThat(together.promises()).extracting(each -> each.orderNumber()).containsExactly(first, second);
        assertThat(together.batch().target()).isEqualTo(TARGET);
        nursery.get(nursery.propagator, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.promises[*].chance", hasSize(2)))
                .andExpect(jsonPath("$.summary.promises[1].chance", greaterThan(0.4)));
        // The one who asked first withdraws: the day of the other is the batch's then, and 60 are free.
        edit(first, "\"kind\":\"CANCEL\"", false).andExpect(status().isOk());
        assertThat(shares(batch)).isEqualTo(new PlantShares(40, 0, 60, 0));
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(4));
        nursery.get(nursery.propagator, "/api/orders/" + first).andExpect(jsonPath("$.order.standing").value("CANCELLED"));
    }

    @Test
    void aBatchThatIsNotSownYetIsSownForFewerWhenFewerAreWanted() throws Exception {
        int order = take(line(60, TARGET));
        int batch = nursery.batchOf(order);
        BatchFile before = batches.file(batch);
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":20")
                .andExpect(jsonPath("$.batches[0].canBeSownFor").value(20)).andExpect(jsonPath("$.batches[0].freeAfter").value(40));
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":40", false).andExpect(status().isOk());
        assertThat(batches.file(batch).batch().cells()).isEqualTo(before.batch().cells());
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":20", true).andExpect(status().isOk());
        BatchFile after = batches.file(batch);
        assertThat(after.batch().plants()).isEqualTo(20);
        assertThat(after.batch().cells()).isLessThan(before.batch().cells() / 2).isGreaterThanOrEqualTo(20);
        assertThat(after.runs().stream().mapToInt(CellRun::length).sum()).isEqualTo(after.batch().cells());
        assertThat(after.batch().sowDay()).isEqualTo(before.batch().sowDay());
        assertThat(shares(batch)).isEqualTo(new PlantShares(20, 0, 0, 0));
        nursery.get(nursery.propagator, "/api/orders/" + order).andExpect(jsonPath("$.order.lines[0].chance", greaterThan(0.4)));
    }

    @Test
    void whatAGrowerWantsStaysAsItWasAsked() throws Exception {
        int order = take(line(20, TARGET));
        int batch = nursery.batchOf(order);
        ok(nursery.propagator, "/api/board/changes", "{\"edit\":{\"batch\":" + batch + ",\"container\":\"module-40\"}}");
        assertThat(batches.file(batch).batch().container()).isEqualTo("module-40");
        assertThat(orders.order(order).line(1).container()).isEqualTo("module-60");
        assertThat(orders.order(order).line(1).placedOn()).isEqualTo(TODAY);
    }

    @Test
    void aChangeIsShownBeforeItIsMadeAndKeptAfterwards() throws Exception {
        int order = take(line(30, TARGET), line(20, TARGET));
        int batch = nursery.batchOf(order);
        String before = nursery.get(nursery.propagator, "/api/orders/" + order).andReturn().getResponse().getContentAsString();
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":50")
                .andExpect(jsonPath("$.lines[0].plantsAfter").value(50))
                .andExpect(jsonPath("$.lines[0].growing.plants").value(20))
                .andExpect(jsonPath("$.lines[0].growing.withBatch").value(batch));
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":25")
                .andExpect(jsonPath("$.batches[0].freeAfter").value(5))
                .andExpect(jsonPath("$.lines[0].growing").doesNotExist());
        consequences(order, "\"kind\":\"DAY\",\"target\":\"" + TARGET.plusDays(9) + "\"")
                .andExpect(jsonPath("$.lines", hasSize(2)))
                .andExpect(jsonPath("$.lines[1].targetAfter").value(TARGET.plusDays(9).toString()));
        assertThat(nursery.get(nursery.propagator, "/api/orders/" + order).andReturn().getResponse().getContentAsString()).isEqualTo(before);
        UUID request = UUID.randomUUID();
        for (int sent = 0; sent < 2; sent++) {
            ok(nursery.propagator, "/api/orders/" + order + "/changes",
                    "{\"requestId\":\"" + request + "\",\"edit\":{\"line\":1,\"kind\":\"PLANTS\",\"plants\":50,\"withdraw\":false}}");
        }
        assertThat(batches.file(batch).promises()).singleElement().satisfies(each -> assertThat(each.plants()).isEqualTo(50));
        edit(order, "\"kind\":\"DAY\",\"target\":\"" + TARGET.plusDays(9) + "\"", false).andExpect(status().isOk());
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(9));
        edit(order, "\"line\":2,\"kind\":\"CANCEL\"", true).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.target").value(TARGET.plusDays(9).toString()))
                .andExpect(jsonPath("$.order.changes[*].kind", contains("PLANTS_CHANGED", "DAY_MOVED", "DAY_MOVED", "LINE_CANCELLED")))
                .andExpect(jsonPath("$.order.changes[0].before").value("30"));
        nursery.get(nursery.hand, "/api/batches").andExpect(jsonPath("$[?(@.variety == '%s')]", orders.order(order).line(1).variety()).value(hasSize(1)));
    }

    @Test
    void whatCannotBeChangedIsRefusedAtItsField() throws Exception {
        int order = take(line(30, TARGET));
        refused(edit(order, "\"kind\":\"PLANTS\",\"plants\":0", false), "edit.plants");
        refused(edit(order, "\"kind\":\"PLANTS\"", false), "plants");
        refused(edit(order, "\"kind\":\"DAY\",\"target\":\"" + TODAY.minusDays(1) + "\"", false), "target");
        edit(order, "\"line\":7,\"kind\":\"CANCEL\"", false).andExpect(status().isNotFound());
        nursery.post(nursery.hand, "/api/orders/" + order + "/changes", "{}").andExpect(status().isForbidden());
        nursery.post(nursery.grower, "/api/orders/" + order + "/consequences", "{}").andExpect(status().isForbidden());
        edit(order, "\"kind\":\"CANCEL\"", false).andExpect(status().isOk());
        refused(edit(order, "\"kind\":\"CANCEL\"", false), "line");
        refused(nursery.release(UUID.randomUUID(), order, 5), "lines");
    }

    @Test
    void linesGoTogetherWithOneNoteAndNobodyIsGivenWhatOthersWereToldTheyGet() throws Exception {
        int shared = sowForNobody(60);
        int order = take(line(30, TARGET, shared), line(10, TARGET));
        int other = take(line(30, TARGET, shared));
        int own = batches.files().stream()
                .filter(file -> file.promises().stream().anyMatch(each -> each.orderNumber() == order && each.position() == 2))
                .findFirst().orElseThrow().batch().number();
        makeReady(shared);
        makeReady(own);
        UUID request = UUID.randomUUID();
        String both = "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":30},{\"line\":2,\"plants\":10}]}".formatted(request, order);
        int note = JsonPath.read(ok(nursery.propagator, "/api/releases", both), "$.number");
        assertThat(JsonPath.<Integer>read(ok(nursery.propagator, "/api/releases", both), "$.number")).isEqualTo(note);
        assertThat(batches.file(shared).plantsReleased()).isEqualTo(30);
        assertThat(nursery.note(nursery.grower, note)).contains("batch " + shared, "batch " + own);
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases", hasSize(1)))
                .andExpect(jsonPath("$.order.releases[0].plants").value(40));
        // What is alive beyond the other's thirty could go as well; the thirty could not.
        int alive = batches.file(shared).plantsAlive();
        nursery.get(nursery.propagator, "/api/orders/" + other).andExpect(jsonPath("$.order.lines[0].ready").value(30));
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":" + alive, false).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order).andExpect(jsonPath("$.order.lines[0].ready").value(alive - 30));
        refused(nursery.post(nursery.propagator, "/api/releases",
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":1},{\"line\":1,\"plants\":1}]}".formatted(UUID.randomUUID(), order)), "lines");
    }

    @Test
    void aLineWhosePlantsAreNotPromisedIsSownForAnew() throws Exception {
        int order = take(line(20, TARGET));
        int batch = nursery.batchOf(order);
        database.update("delete from promise where batch_id = (select id from batch where number = ?)", batch);
        nursery.get(nursery.propagator, "/api/orders/" + order).andExpect(jsonPath("$.order.standing").value("OPEN"))
                .andExpect(jsonPath("$.order.chance").value(0.0));
        ok(nursery.propagator, "/api/orders/" + order + "/lines/1/supplies", request());
        nursery.get(nursery.propagator, "/api/orders/" + order).andExpect(jsonPath("$.order.lines[0].promised").value(20));
        refused(nursery.post(nursery.propagator, "/api/orders/" + order + "/lines/1/supplies", request()), "line");
        ok(nursery.propagator, "/api/batches/" + batch + "/withdrawals", request());
        nursery.get(nursery.hand, "/api/batches/" + batch).andExpect(status().isNotFound());
        ok(nursery.propagator, "/api/orders/" + order + "/lines", "{\"requestId\":\"" + UUID.randomUUID() + "\",\"wish\":" + wish(12, TARGET) + "}");
        nursery.get(nursery.propagator, "/api/orders/" + order).andExpect(jsonPath("$.order.lines[1].asked.plants").value(12))
                .andExpect(jsonPath("$.order.changes[0].kind").value("LINE_ADDED"));
    }

    @Test
    void whatDiedIsMissingFromTheLineThatWasPromisedLast() throws Exception {
        int shared = sowForNobody(60);
        int first = take(line(30, TARGET, shared));
        int second = take(line(30, TARGET, shared));
        sowAll(shared, true);
        CellRun run = batches.file(shared).runs().get(0);
        int tray = database.queryForObject("select number from tray where id = ?", Integer.class, run.tray().number());
        int deaths = batches.file(shared).plantsAlive() - 40;
        String cells = IntStream.rangeClosed(1, deaths).boxed().toList().toString();
        nursery.record(nursery.hand, shared, "losses", "\"tray\":" + tray + ",\"cells\":" + cells + ",\"reason\":\"SLUGS\"").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + first).andExpect(jsonPath("$.order.lines[0].promised").value(30));
        nursery.get(nursery.propagator, "/api/orders/" + second).andExpect(jsonPath("$.order.lines[0].promised").value(10));
        ok(nursery.propagator, "/api/orders/" + second + "/lines/1/supplies", request());
        nursery.get(nursery.propagator, "/api/orders/" + second)
                .andExpect(jsonPath("$.order.lines[0].promised").value(30))
                .andExpect(jsonPath("$.order.lines[0].supplies", hasSize(2)));
    }

    private void makeReady(int batch) throws Exception {
        sowAll(batch);
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"").andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
    }

    /** Sown and up, one in each cell. */
    private void sowAll(int batch) throws Exception {
        sowAll(batch, false);
    }

    private void sowAll(int batch, boolean lastLook) throws Exception {
        for (CellRun run : batches.file(batch).runs()) {
            int tray = database.queryForObject("select number from tray where id = ?", Integer.class, run.tray().number());
            nursery.record(nursery.hand, batch, "sowings", "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                    .formatted(tray, run.length(), batches.file(batch).batch().lot().number())).andExpect(status().isOk());
            String cells = IntStream.rangeClosed(1, run.length()).mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}").collect(Collectors.joining(","));
            nursery.record(nursery.hand, batch, "counts", "\"tray\":" + tray + ",\"cells\":[" + cells + "],\"complete\":" + lastLook).andExpect(status().isOk());
        }
    }

    private PlantShares shares(int batch) {
        return batches.file(batch).shares(TODAY);
    }

    private int take(String... lines) throws Exception {
        return JsonPath.read(ok(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), lines)), "$.number");
    }

    private int sowForNobody(int plants) throws Exception {
        return JsonPath.read(ok(nursery.propagator, "/api/batches",
                "{\"requestId\":\"" + UUID.randomUUID() + "\",\"wish\":" + wish(plants, TARGET) + "}"), "$.number");
    }

    private ResultActions edit(int order, String edit, boolean withdraw) throws Exception {
        return nursery.post(nursery.propagator, "/api/orders/" + order + "/changes",
                "{\"requestId\":\"" + UUID.randomUUID() + "\",\"edit\":{" + edit + ",\"withdraw\":" + withdraw + "}}");
    }

    private ResultActions consequences(int order, String edit) throws Exception {
        return nursery.post(nursery.propagator, "/api/orders/" + order + "/consequences", "{" + edit + ",\"withdraw\":false}")
                .andExpect(status().isOk());
    }

    private String ok(Person person, String path, String body) throws Exception {
        return nursery.post(person, path, body).andExpect(status().isOk()).andReturn().getResponse().getContentAsString();
    }

    private static void refused(ResultActions answer, String field) throws Exception {
        answer.andExpect(status().isUnprocessableContent()).andExpect(jsonPath("$.errors[0].field").value(field));
    }

    private static String request() {
        return "{\"requestId\":\"" + UUID.randomUUID() + "\"}";
    }

    private String line(int plants, LocalDate target) {
        return "{\"wish\":" + wish(plants, target) + "}";
    }

    private String line(int plants, LocalDate target, int batch) {
        return "{\"wish\":" + wish(plants, target) + ",\"fromBatch\":" + batch + "}";
    }

    private String wish(int plants, LocalDate target) {
        return "{\"varietyId\":%d,\"container\":\"module-60\",\"plants\":%d,\"leavesFrom\":4,\"leavesTo\":6,\"target\":\"%s\"}"
                .formatted(kale, plants, target);
    }

    private long count(String table) {
        return database.queryForObject("select count(*) from " + table, Long.class);
    }
}
