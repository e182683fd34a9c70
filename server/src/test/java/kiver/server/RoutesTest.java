package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

/** A line is raised here, sown in place or bought in, and goes over from one to another in one edit. */
@ServerTest
class RoutesTest {

    private static final AtomicInteger TESTS = new AtomicInteger();
    private static final LocalDate WANTED = SmallNursery.TODAY.plusDays(110);

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    SeedStore seeds;

    @Autowired
    TrayBook trays;

    @Autowired
    JdbcTemplate database;

    private SeedLot lot;

    /** Other tests sow from the nursery's lots, so each of these has one of its own, which germinates best. */
    @BeforeEach
    void found() {
        nursery.found();
        String code = "R-" + UUID.randomUUID();
        seeds.add(new SeedLot(
                new LotId(0),
                code,
                nursery.varietyId,
                "Seed house",
                0.95 + 0.004 * TESTS.incrementAndGet(),
                400,
                SmallNursery.TODAY.minusDays(30),
                2500,
                2500));
        lot = seeds.lots().stream()
                .filter(each -> each.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private int seedsLeft() {
        return seeds.lot(lot.id()).seedsLeft();
    }

    @Test
    void theThreeWaysStandSideBySide() throws Exception {
        int order = order(40);
        int batch = nursery.batchOf(order);
        nursery.get(nursery.propagator, "/api/routes/" + order + "/1")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.plants").value(40))
                .andExpect(jsonPath("$.routes[*].route", contains("RAISED", "IN_PLACE", "BOUGHT_IN")))
                .andExpect(jsonPath("$.routes[*].current", contains(true, false, false)))
                .andExpect(jsonPath("$.routes[1].possible").value(true))
                .andExpect(jsonPath("$.routes[1].slots").value(0.0))
                .andExpect(jsonPath("$.routes[1].how[0]", containsString("spots")))
                .andExpect(jsonPath("$.routes[2].seeds").value(0))
                .andExpect(jsonPath("$.frees[0].batch").value(batch))
                .andExpect(jsonPath("$.frees[0].withdrawn").value(true));
    }

    @Test
    void theGroundThawsAndALineIsSownInPlaceToItsNote() throws Exception {
        int order = order(40);
        int batch = nursery.batchOf(order);
        int seedsBefore = seedsLeft();
        UUID request = UUID.randomUUID();
        take(request, order, "IN_PLACE", "").andExpect(status().isOk());
        take(request, order, "IN_PLACE", "").andExpect(status().isOk());
        assertThat(database.queryForObject(
                        "select withdrawn_on is not null from batch where number = ?", Boolean.class, batch))
                .isTrue();
        String view = nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.order.lines[0].promised").value(40))
                .andExpect(jsonPath("$.order.lines[0].supplies", hasSize(0)))
                .andExpect(jsonPath("$.order.lines[0].inPlace.lot").value(lot.code()))
                .andExpect(jsonPath("$.order.lines[0].inPlace.how[0]", containsString("spots")))
                .andExpect(jsonPath("$.order.lines[0].chance", greaterThan(0.0)))
                .andExpect(jsonPath("$.order.changes[0].kind").value("ROUTE_CHANGED"))
                .andExpect(jsonPath("$.order.changes[0].before").value("RAISED"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        int set = JsonPath.read(view, "$.order.lines[0].inPlace.seeds");
        assertThat(seedsLeft()).isEqualTo(seedsBefore - set);

        LocalDate from = LocalDate.parse(JsonPath.read(view, "$.order.lines[0].inPlace.sowFrom"));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath(
                        "$.seedToGo[?(@.order == " + order + ")]",
                        hasSize(from.isAfter(SmallNursery.TODAY.plusWeeks(2)) ? 0 : 1)));
        handOver(order).andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.seedToGo[?(@.order == " + order + ")]", hasSize(0)));
        int note = database.queryForObject("select max(number) from release", Integer.class);
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases[0].plants").value(40));
        assertThat(nursery.note(nursery.grower, note))
                .contains("Seed for 40 Test kale")
                .contains(set + " seeds")
                .contains("seed lot " + lot.code())
                .contains("To be sown in place from")
                .doesNotContain("taken back");
        nursery.get(nursery.propagator, "/api/orders")
                .andExpect(jsonPath("$[?(@.number == " + order + ")]", hasSize(0)));
        nursery.get(nursery.propagator, "/api/orders?withDone=true")
                .andExpect(jsonPath("$[?(@.number == " + order + ")]", hasSize(1)));
        refused(handOver(order), "seedOf", "No seed of line 1 waits");
        refused(take(UUID.randomUUID(), order, "RAISED", ""), "line", "Nothing of line 1 is wanted any more");

        nursery.post(
                        nursery.propagator,
                        "/api/orders/" + order + "/lines/1/seed-returns",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\"}")
                .andExpect(status().isOk());
        assertThat(nursery.note(nursery.grower, note)).contains("taken back");
        take(UUID.randomUUID(), order, "RAISED", "").andExpect(status().isOk());
        assertThat(seedsLeft()).isEqualTo(seedsBefore);
        assertThat(nursery.batchOf(order)).isGreaterThan(batch);
    }

    @Test
    void theSlugsAreBadAndPlantsAreBoughtInstead() throws Exception {
        int order = order(30);
        take(UUID.randomUUID(), order, "IN_PLACE", "").andExpect(status().isOk());
        refused(take(UUID.randomUUID(), order, "BOUGHT_IN", ""), "consignment", "Say what is bought");
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace.plants").value(30));
        take(UUID.randomUUID(), order, "BOUGHT_IN", """
                ,"consignment":{"supplier":"Plug house","plants":32,"container":"module-60","leaves":2,"arrives":"%s","price":0.3}""".formatted(WANTED.minusDays(20)))
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace").doesNotExist())
                .andExpect(
                        jsonPath("$.order.lines[0].supplies[0].batch.boughtIn").value(true));
        nursery.get(nursery.propagator, "/api/routes/" + order(20) + "/1")
                .andExpect(jsonPath("$.routes[2].price").value(0.3));
    }

    @Test
    void whereASowingFailedAnotherStandsBesideTheOtherWays() throws Exception {
        int order = order(15);
        int batch = nursery.batchOf(order);
        int cells = batches.file(batch).batch().cells();
        int tray = trays.tray(batches.file(batch).runs().get(0).tray()).number();
        nursery.record(
                        nursery.hand,
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(tray, cells, lot.id().number()))
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "counts", "\"tray\":" + tray + ",\"cells\":[],\"complete\":true")
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/routes/" + order + "/1")
                .andExpect(jsonPath("$.routes[0].current").value(false))
                .andExpect(jsonPath("$.routes[0].possible").value(true))
                .andExpect(jsonPath("$.frees", hasSize(0)));
        take(UUID.randomUUID(), order, "RAISED", "").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].promised").value(15))
                .andExpect(jsonPath("$.order.lines[0].supplies", hasSize(1)))
                .andExpect(jsonPath("$.order.lines[0].supplies[0].batch.stage").value("PLANNED"));
    }

    @Test
    void seedThatIsSetAsideFollowsItsLine() throws Exception {
        int order = order(20);
        take(UUID.randomUUID(), order, "IN_PLACE", "").andExpect(status().isOk());
        edit(order, "\"kind\":\"PLANTS\",\"line\":1,\"plants\":50").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace.plants").value(50))
                .andExpect(jsonPath("$.order.lines[0].supplies", hasSize(0)));
        edit(order, "\"kind\":\"DAY\",\"target\":\"" + WANTED.plusDays(20) + "\"")
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace.plants").value(50));
        edit(order, "\"kind\":\"CANCEL\",\"line\":1,\"withdraw\":true").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace").doesNotExist())
                .andExpect(jsonPath("$.order.standing").value("CANCELLED"));
    }

    /** Part went as plants, the rest goes as seed with one more note; then more is wanted, and no more than that may go. */
    @Test
    void plantsAndSeedOfOneLineAreCountedTogether() throws Exception {
        int order = order(20);
        int batch = nursery.batchOf(order);
        int cells = batches.file(batch).batch().cells();
        int tray = trays.tray(batches.file(batch).runs().get(0).tray()).number();
        nursery.record(
                        nursery.hand,
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(tray, cells, lot.id().number()))
                .andExpect(status().isOk());
        String up = IntStream.rangeClosed(1, cells)
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                .collect(Collectors.joining(","));
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[%s],\"complete\":true".formatted(tray, up))
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"BY_DAY\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":\"%s\"".formatted(SmallNursery.TODAY))
                .andExpect(status().isOk());
        nursery.release(UUID.randomUUID(), order, 8).andExpect(status().isOk());
        take(UUID.randomUUID(), order, "IN_PLACE", "").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].inPlace.plants").value(12))
                .andExpect(jsonPath("$.order.lines[0].supplies[0].plants").value(8))
                .andExpect(jsonPath("$.order.lines[0].promised").value(20));
        handOver(order).andExpect(status().isOk());
        edit(order, "\"kind\":\"PLANTS\",\"line\":1,\"plants\":23").andExpect(status().isOk());
        refused(nursery.release(UUID.randomUUID(), order, 4), "plants", "3");
        nursery.release(UUID.randomUUID(), order, 3).andExpect(status().isOk());
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases[*].plants", contains(8, 12, 3)));
    }

    @Test
    void whatCannotBeIsRefusedAndChangesNothing() throws Exception {
        int order = order(25);
        int batch = nursery.batchOf(order);
        take(UUID.randomUUID(), order, "FLOWN_IN", "").andExpect(status().is4xxClientError());
        nursery.post(
                        nursery.propagator,
                        "/api/orders/" + order + "/lines/9/route",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\",\"route\":\"RAISED\"}")
                .andExpect(status().is4xxClientError());
        nursery.post(
                        nursery.hand,
                        "/api/orders/" + order + "/lines/1/route",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\",\"route\":\"IN_PLACE\"}")
                .andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/routes/" + order + "/1").andExpect(status().isForbidden());
        nursery.get(nursery.propagator, "/api/routes/99999/1").andExpect(status().isNotFound());
        refused(handOver(order), "seedOf", "No seed of line 1 waits");
        int much = order(900);
        refused(take(UUID.randomUUID(), much, "IN_PLACE", ""), "route", "seeds; ");
        assertThat(nursery.batchOf(order)).isEqualTo(batch);
        assertThat(batches.file(nursery.batchOf(much)).promises()).hasSize(1);
    }

    private int order(int plants) throws Exception {
        String answer = nursery.post(
                        nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), plants, WANTED))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return Integer.parseInt(answer.replaceAll("\\D", ""));
    }

    private ResultActions take(UUID request, int order, String route, String more) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/orders/" + order + "/lines/1/route",
                "{\"requestId\":\"%s\",\"route\":\"%s\"%s}".formatted(request, route, more));
    }

    private ResultActions handOver(int order) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/releases",
                "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[],\"seedOf\":[1]}".formatted(UUID.randomUUID(), order));
    }

    private ResultActions edit(int order, String edit) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/orders/" + order + "/changes",
                "{\"requestId\":\"%s\",\"edit\":{%s}}".formatted(UUID.randomUUID(), edit));
    }

    private static void refused(ResultActions answer, String field, String message) throws Exception {
        answer.andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(content().string(containsString(message)));
    }
}
