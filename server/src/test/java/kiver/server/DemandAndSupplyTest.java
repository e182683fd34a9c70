package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
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
import kiver.core.tray.CellRun;
import org.junit.jupiter.api.Test;

/** What growers ask for, line by line, and the batches that give it: alone, together, from what is free. */
class DemandAndSupplyTest extends GrowersAskForSeveral {

    @Test
    void anOrderOfSeveralLinesIsTakenWholeOrNotAtAll() throws Exception {
        long before = count("grower_order");
        nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), line(20, TARGET), line(20, TODAY.plusDays(3))))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("lines[1].target"))
                .andExpect(jsonPath("$.errors[0].message").value(containsString("Line 2, Kale")));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("lines"));
        assertThat(count("grower_order")).isEqualTo(before);
        int order = take(line(20, TARGET), line(30, TARGET.plusDays(7)));
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.target").value(TARGET.toString()))
                .andExpect(jsonPath("$.order.lines[*].asked.plants", contains(20, 30)))
                .andExpect(jsonPath("$.order.lines[1].asked.target")
                        .value(TARGET.plusDays(7).toString()))
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
        nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), line(10, TARGET.plusDays(60), spares)))
                .andExpect(status().isOk());
        assertThat(shares(spares).free()).isZero();
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), line(1, TARGET, 99_999)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("fromBatch"));
    }

    @Test
    void freePlantsThatManyWantAtOnceAreGivenOnce() throws Exception {
        int spares = sowForNobody(30);
        sowAll(spares);
        List<Callable<Integer>> calls = IntStream.range(0, 6)
                .mapToObj(each -> (Callable<Integer>) () -> nursery.post(
                                nursery.propagator,
                                "/api/orders",
                                nursery.orderBody(UUID.randomUUID(), line(20, TARGET, spares)))
                        .andReturn()
                        .getResponse()
                        .getStatus())
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
        String sources = nursery.post(nursery.propagator, "/api/plans", wish(40, TARGET.plusDays(4)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<String>read(sources, "$.promise.sources[0].kind")).isEqualTo("POOLED");
        assertThat(JsonPath.<Integer>read(sources, "$.promise.sources[0].saving.trays"))
                .isNotNegative();
        assertThat(JsonPath.<Integer>read(sources, "$.promise.sources[0].saving.seeds"))
                .isPositive();
        String body = nursery.orderBody(UUID.randomUUID(), line(40, TARGET.plusDays(4), batch))
                .replace("\"growerId\":" + nursery.growerId, "\"growerId\":" + nursery.otherGrowerId)
                .replace("\"siteId\":" + nursery.siteId, "\"siteId\":" + nursery.otherSiteId);
        int second = JsonPath.read(ok(nursery.propagator, "/api/orders", body), "$.number");
        assertThat(JsonPath.<Integer>read(ok(nursery.propagator, "/api/orders", body), "$.number"))
                .isEqualTo(second);
        BatchFile together = batches.file(batch);
        assertThat(together.batch().cells()).isGreaterThan(cells);
        assertThat(together.runs().stream().mapToInt(CellRun::length).sum())
                .isEqualTo(together.batch().cells());
        assertThat(together.promises()).extracting(each -> each.orderNumber()).containsExactly(first, second);
        assertThat(together.batch().target()).isEqualTo(TARGET);
        nursery.get(nursery.propagator, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.promises[*].chance", hasSize(2)))
                .andExpect(jsonPath("$.summary.promises[1].chance", greaterThan(0.4)));
        // The one who asked first withdraws: the day of the other is the batch's then, and 60 are free.
        edit(first, "\"kind\":\"CANCEL\"", false).andExpect(status().isOk());
        assertThat(shares(batch)).isEqualTo(new PlantShares(40, 0, 60, 0));
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(4));
        nursery.get(nursery.propagator, "/api/orders/" + first)
                .andExpect(jsonPath("$.order.standing").value("CANCELLED"));
    }

    @Test
    void linesGoTogetherWithOneNoteAndNobodyIsGivenWhatOthersWereToldTheyGet() throws Exception {
        int shared = sowForNobody(60);
        int order = take(line(30, TARGET, shared), line(10, TARGET));
        int other = take(line(30, TARGET, shared));
        int own = batches.files().stream()
                .filter(file ->
                        file.promises().stream().anyMatch(each -> each.orderNumber() == order && each.position() == 2))
                .findFirst()
                .orElseThrow()
                .batch()
                .number();
        makeReady(shared);
        makeReady(own);
        UUID request = UUID.randomUUID();
        String both =
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":30},{\"line\":2,\"plants\":10}]}"
                        .formatted(request, order);
        int note = JsonPath.read(ok(nursery.propagator, "/api/releases", both), "$.number");
        assertThat(JsonPath.<Integer>read(ok(nursery.propagator, "/api/releases", both), "$.number"))
                .isEqualTo(note);
        assertThat(batches.file(shared).plantsReleased()).isEqualTo(30);
        assertThat(nursery.note(nursery.grower, note)).contains("batch " + shared, "batch " + own);
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases", hasSize(1)))
                .andExpect(jsonPath("$.order.releases[0].plants").value(40));
        // What is alive beyond the other's thirty could go as well; the thirty could not.
        int alive = batches.file(shared).plantsAlive();
        nursery.get(nursery.propagator, "/api/orders/" + other)
                .andExpect(jsonPath("$.order.lines[0].ready").value(30));
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":" + alive, false).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].ready").value(alive - 30));
        refused(
                nursery.post(
                        nursery.propagator,
                        "/api/releases",
                        "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":1},{\"line\":1,\"plants\":1}]}"
                                .formatted(UUID.randomUUID(), order)),
                "lines");
    }

    @Test
    void whatDiedIsMissingFromTheLineThatWasPromisedLast() throws Exception {
        int shared = sowForNobody(60);
        int first = take(line(30, TARGET, shared));
        int second = take(line(30, TARGET, shared));
        sowAll(shared, true);
        CellRun run = batches.file(shared).runs().get(0);
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                run.tray().number());
        int deaths = batches.file(shared).plantsAlive() - 40;
        String cells = IntStream.rangeClosed(1, deaths).boxed().toList().toString();
        nursery.record(
                        nursery.hand,
                        shared,
                        "losses",
                        "\"tray\":" + tray + ",\"cells\":" + cells + ",\"reason\":\"SLUGS\"")
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + first)
                .andExpect(jsonPath("$.order.lines[0].promised").value(30));
        nursery.get(nursery.propagator, "/api/orders/" + second)
                .andExpect(jsonPath("$.order.lines[0].promised").value(10));
        ok(nursery.propagator, "/api/orders/" + second + "/lines/1/supplies", request());
        nursery.get(nursery.propagator, "/api/orders/" + second)
                .andExpect(jsonPath("$.order.lines[0].promised").value(30))
                .andExpect(jsonPath("$.order.lines[0].supplies", hasSize(2)));
    }

    private void makeReady(int batch) throws Exception {
        sowAll(batch);
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
    }

    /** Sown and up, one in each cell. */
    private void sowAll(int batch) throws Exception {
        sowAll(batch, false);
    }

    private void sowAll(int batch, boolean lastLook) throws Exception {
        for (CellRun run : batches.file(batch).runs()) {
            int tray = database.queryForObject(
                    "select number from tray where id = ?",
                    Integer.class,
                    run.tray().number());
            nursery.record(
                            nursery.hand,
                            batch,
                            "sowings",
                            "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                    .formatted(
                                            tray,
                                            run.length(),
                                            batches.file(batch).batch().lot().number()))
                    .andExpect(status().isOk());
            String cells = IntStream.rangeClosed(1, run.length())
                    .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                    .collect(Collectors.joining(","));
            nursery.record(
                            nursery.hand,
                            batch,
                            "counts",
                            "\"tray\":" + tray + ",\"cells\":[" + cells + "],\"complete\":" + lastLook)
                    .andExpect(status().isOk());
        }
    }

    private int sowForNobody(int plants) throws Exception {
        return JsonPath.read(
                ok(
                        nursery.propagator,
                        "/api/batches",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\",\"wish\":" + wish(plants, TARGET) + "}"),
                "$.number");
    }

    private long count(String table) {
        return database.queryForObject("select count(*) from " + table, Long.class);
    }
}
