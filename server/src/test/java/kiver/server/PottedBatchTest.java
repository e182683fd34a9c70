package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.Balance;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.seed.SeedStore;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

/** A batch that is sown into plugs and potted on: planned, called for on its day, potted late where room is short. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PottedBatchTest {

    private static final LocalDate TARGET = SmallNursery.TODAY.plusDays(90);

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    SeedStore seeds;

    @Autowired
    NurseryClock clock;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.foundWithSeed(60_000);
    }

    @Test
    @Order(1)
    void itsPottingIsPlannedAndDrawn() throws Exception {
        nursery.post(nursery.propagator, "/api/plans", wish(80))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.dates.pottings", hasSize(1)))
                .andExpect(jsonPath("$.path").value("POTTED_ONCE"))
                .andExpect(jsonPath("$.containers[1].code").value("pot-9"))
                .andExpect(jsonPath("$.outdoors.sowUntil").isNotEmpty());
        int batch = take(80);
        onBoard(batch)
                .andExpect(jsonPath(path(batch, "dates.pottings[0].middle")).isNotEmpty())
                .andExpect(jsonPath(path(batch, "plan.pottedLate")).value(false));
        nursery.get(nursery.hand, "/api/work?from=" + TARGET.minusDays(55) + "&to=" + TARGET)
                .andExpect(jsonPath("$[?(@.batch == " + batch + ")].kind", hasItem("POT_ON")));
    }

    @Test
    @Order(2)
    void itCanBePottedAsLateAsItsRootsAllowAndThatCanBeUndone() throws Exception {
        int batch = take(60);
        LocalDate usual = potting(batch);
        nursery.post(nursery.propagator, "/api/board/trials", edit(batch, "\"pottedLate\":true"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.batch.plan.pottedLate").value(true));
        assertThat(batches.file(batch).batch().plan().pottedLate())
                .as("a trial changes nothing")
                .isFalse();
        nursery.post(nursery.propagator, "/api/board/changes", edit(batch, "\"pottedLate\":true"))
                .andExpect(status().isOk());
        assertThat(batches.file(batch).batch().plan().pottedLate()).isTrue();
        assertThat(potting(batch)).isAfter(usual);
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        edit(batch, "\"sowDay\":\"" + clock.today().plusDays(3) + "\""))
                .andExpect(status().isOk());
        assertThat(batches.file(batch).batch().plan().pottedLate())
                .as("another change leaves it")
                .isTrue();
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/board/undo", "").andExpect(status().isOk());
        assertThat(batches.file(batch).batch().plan().pottedLate()).isFalse();
        assertThat(potting(batch)).isEqualTo(usual);
    }

    @Test
    @Order(3)
    void laterPottingIsOfferedWhereRoomLacks() throws Exception {
        int crowd = take(700);
        String space = nursery.get(nursery.hand, "/api/space")
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<String> kinds = JsonPath.<List<Object>>read(space, "$.overflows").stream()
                .flatMap(overflow -> suggestions(overflow).stream())
                .toList();
        assertThat(kinds).contains("PotLater", "SowLater", "TellGrower");
        assertThat(batches.file(crowd).batch().plan().pottedLate()).isFalse();
    }

    @Test
    @Order(4)
    void theRoundCallsForItOnItsDay() throws Exception {
        int batch = take(20);
        nursery.post(nursery.propagator, "/api/board/changes", edit(batch, "\"sowDay\":\"" + clock.today() + "\""))
                .andExpect(status().isOk());
        BatchFile file = batches.file(batch);
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                file.runs().get(0).tray().number());
        int cells = file.batch().cells();
        record(batch, "sowings", """
                "tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":1,"lotId":%d,"medium":"Sowing mix","placeId":1""".formatted(tray, cells, file.batch().lot().number()));
        clock.showDay(clock.today().plusDays(12));
        record(batch, "counts", """
                "tray":%d,"cells":[%s],"complete":true""".formatted(
                        tray,
                        IntStream.rangeClosed(1, cells)
                                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                                .collect(Collectors.joining(","))));
        assertThat(tasks(batch)).doesNotContain("POT_ON");
        clock.showDay(clock.today().plusDays(25));
        assertThat(tasks(batch)).contains("POT_ON");
        nursery.get(nursery.hand, "/api/potting-day?hands=2&batches=" + batch)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.pottable[?(@.batch == " + batch + ")].due", hasItem(true)))
                .andExpect(jsonPath("$.steps", hasSize(1)))
                .andExpect(jsonPath("$.steps[0].plants").value(cells))
                .andExpect(jsonPath("$.steps[0].carriers").value((cells + 17) / 18))
                .andExpect(jsonPath("$.pots[0].pieces").value(cells))
                .andExpect(jsonPath("$.rooms", hasSize(1)));
        record(batch, "pottings", """
                "tray":%d,"container":"pot-9","plants":%d""".formatted(tray, cells));
        assertThat(tasks(batch)).doesNotContain("POT_ON");
        assertThat(batches.file(batch).state().balance()).isEqualTo(new Balance(cells, 0, 0, cells, 0, 0));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.layout.living[0].container").value("pot-9"));
    }

    /** A batch of which a part was potted: what still stands in plugs was not asked for in plugs. */
    @Test
    @Order(5)
    void onlyWhatWasPottedGoesWhereAPartWas() throws Exception {
        String answer = nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(
                                UUID.randomUUID(),
                                "{\"wish\":"
                                        + wish(20).replace(
                                                        TARGET.toString(),
                                                        clock.today()
                                                                .plusDays(75)
                                                                .toString()) + "}"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        int order = JsonPath.<Integer>read(answer, "$.number");
        int batch = nursery.batchOf(order);
        nursery.post(nursery.propagator, "/api/board/changes", edit(batch, "\"sowDay\":\"" + clock.today() + "\""))
                .andExpect(status().isOk());
        BatchFile file = batches.file(batch);
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                file.runs().get(0).tray().number());
        int cells = file.batch().cells();
        record(batch, "sowings", """
                "tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":1,"lotId":%d,"medium":"Sowing mix","placeId":1""".formatted(tray, cells, file.batch().lot().number()));
        clock.showDay(clock.today().plusDays(12));
        record(batch, "counts", """
                "tray":%d,"cells":[%s],"complete":true""".formatted(
                        tray,
                        IntStream.rangeClosed(1, cells)
                                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                                .collect(Collectors.joining(","))));
        clock.showDay(clock.today().plusDays(25));
        record(batch, "pottings", """
                "tray":%d,"container":"pot-9","plants":%d""".formatted(tray, 15));
        record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"");
        nursery.post(
                        nursery.hand,
                        "/api/batches/" + batch + "/hardening-ends",
                        "{\"requestId\":\"" + UUID.randomUUID() + "\"}")
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].ready").value(15))
                .andExpect(jsonPath("$.picks[0].picks[*].plants").value(15));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.promises[0].outstanding").value(20));
    }

    private List<String> suggestions(Object overflow) {
        try {
            return JsonPath.read(
                    nursery.get(
                                    nursery.propagator,
                                    "/api/space/suggestions?place=" + JsonPath.read(overflow, "$.placeId") + "&from="
                                            + JsonPath.read(overflow, "$.from") + "&to="
                                            + JsonPath.read(overflow, "$.to"))
                            .andReturn()
                            .getResponse()
                            .getContentAsString(),
                    "$[*].help.kind");
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }

    private List<String> tasks(int batch) throws Exception {
        return JsonPath.read(
                nursery.get(nursery.hand, "/api/round")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.stops[*].work[?(@.batch.number == " + batch + ")].tasks[*].kind");
    }

    private void record(int batch, String what, String entry) throws Exception {
        nursery.post(
                        nursery.hand,
                        "/api/batches/" + batch + "/" + what,
                        "{\"requestId\":\"" + UUID.randomUUID() + "\"," + entry + "}")
                .andExpect(status().isOk());
    }

    private int take(int plants) throws Exception {
        String answer = nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish(plants) + "}"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return nursery.batchOf(JsonPath.<Integer>read(answer, "$.number"));
    }

    private String wish(int plants) {
        return """
                {"varietyId":%d,"container":"pot-9","plants":%d,"leavesFrom":5,"leavesTo":8,"target":"%s","siteId":%d,"containerPath":"POTTED_ONCE"}""".formatted(nursery.varietyId, plants, TARGET, nursery.siteId);
    }

    private LocalDate potting(int batch) throws Exception {
        String season = onBoard(batch).andReturn().getResponse().getContentAsString();
        return LocalDate.parse(JsonPath.<List<String>>read(season, path(batch, "dates.pottings[0].middle"))
                .get(0));
    }

    private ResultActions onBoard(int batch) throws Exception {
        return nursery.get(nursery.propagator, "/api/board")
                .andExpect(jsonPath(path(batch, "number")).value(batch));
    }

    private static String path(int batch, String field) {
        return "$.batches[?(@.number == " + batch + ")]." + field;
    }

    private static String edit(int batch, String change) {
        return "{\"edit\":{\"batch\":" + batch + "," + change + "}}";
    }
}
