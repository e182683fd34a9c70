package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchStage;
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

/** Plants that somebody else raised, from the telephone to the delivery note. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class BoughtInTest {

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
        nursery.found();
    }

    @Test
    @Order(1)
    void theyArePlannedForNobodyTakenInAndHardened() throws Exception {
        LocalDate arrives = clock.today().plusDays(3);
        int lots = seeds.lots().size();
        UUID request = UUID.randomUUID();
        String body = entry(request, 20, 22, arrives, "");
        int batch = JsonPath.<Integer>read(
                buy(body).andExpect(status().isOk()).andReturn().getResponse().getContentAsString(), "$.number");
        buy(body).andExpect(jsonPath("$.number").value(batch));
        assertThat(seeds.lots()).as("plants are no seed").hasSize(lots);
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.boughtIn").value(true))
                .andExpect(jsonPath("$.from.boughtIn.leaves").value(2.0))
                .andExpect(jsonPath("$.from.boughtIn.price").value(0.35))
                .andExpect(jsonPath("$.from.supplier").value("Marl Plants"))
                .andExpect(jsonPath("$.summary.chance").value(greaterThan(0.3)))
                .andExpect(jsonPath("$.summary.shares.free").value(20));
        nursery.get(nursery.propagator, "/api/seed-needs")
                .andExpect(jsonPath("$.sowings[?(@.batch == " + batch + ")]").value(empty()));
        assertThat(tasks(batch)).isEmpty();
        String more = body.substring(body.indexOf("{\"varietyId\""), body.indexOf("},") + 1)
                .replace("\"plants\":20", "\"plants\":90");
        nursery.post(nursery.propagator, "/api/plans", more)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.promise.sources[?(@.batch == " + batch + ")]")
                        .value(empty()));
        nursery.post(nursery.propagator, "/api/plans", more.replace("\"plants\":90", "\"plants\":10"))
                .andExpect(jsonPath("$.promise.sources[?(@.batch == " + batch + ")].kind")
                        .value(hasItem("FREE")));

        clock.showDay(arrives);
        assertThat(tasks(batch)).containsExactly("TAKE_IN");
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                batches.file(batch).runs().get(0).tray().number());
        record(
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":5,\"seedsPerCell\":1,\"lotId\":1,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(tray))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail").value(containsString("is bought in")));
        record(batch, "arrivals", "\"tray\":%d,\"firstCell\":1,\"lastCell\":22,\"placeId\":2".formatted(tray))
                .andExpect(status().isOk());
        assertThat(batches.file(batch).state().stage()).isEqualTo(BatchStage.GROWING_ON);
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.growth.leavesNow").value(closeTo(2, 0.3)))
                .andExpect(jsonPath("$.changes[0].words")
                        .value("Taken in 22 plants in T" + tray + ", M-77; put in " + place(2)))
                .andExpect(jsonPath("$.summary.chance").value(greaterThan(0.3)));
        nursery.get(nursery.hand, "/api/batches/" + batch + "/labels.pdf").andExpect(status().isOk());

        record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        record(batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
        assertThat(batches.file(batch).state().stage()).isEqualTo(BatchStage.READY);
    }

    @Test
    @Order(2)
    void aLineThatLacksPlantsIsMetByThemToTheNote() throws Exception {
        int order = nursery.order(12);
        int grown = nursery.batchOf(order);
        assertThat(database.update(
                        "delete from promise where batch_id = (select id from batch where number = ?)", grown))
                .isEqualTo(1);
        int batch = JsonPath.<Integer>read(
                buy(entry(UUID.randomUUID(), 12, 13, clock.today(), ",\"order\":%d,\"line\":1".formatted(order))
                                .replace("M-77", "M-78"))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        assertThat(batches.file(batch).promises())
                .singleElement()
                .satisfies(promise -> assertThat(promise.plants()).isEqualTo(12));
        int tray = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                batches.file(batch).runs().get(0).tray().number());
        record(
                        batch,
                        "arrivals",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":13,\"placeId\":2,\"leaves\":4".formatted(tray))
                .andExpect(status().isOk());
        record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        record(batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].ready").value(12));
        nursery.post(
                        nursery.propagator,
                        "/api/releases",
                        "{\"requestId\":\"%s\",\"order\":%d,\"lines\":[{\"line\":1,\"plants\":12}]}"
                                .formatted(UUID.randomUUID(), order))
                .andExpect(status().isOk());
        String view = nursery.get(nursery.propagator, "/api/orders/" + order)
                .andReturn()
                .getResponse()
                .getContentAsString();
        int release = JsonPath.<Integer>read(view, "$.order.releases[0].number");
        nursery.get(nursery.propagator, "/api/releases/" + release + "/note.pdf")
                .andExpect(status().isOk());
        assertThat(batches.file(batch).state().balance().released()).isEqualTo(12);
        buy(entry(UUID.randomUUID(), 12, 13, clock.today(), ",\"order\":%d,\"line\":1".formatted(order))
                        .replace("M-77", "M-79"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("line"));
    }

    @Test
    @Order(3)
    void nonsenseIsRefusedWhereItStands() throws Exception {
        LocalDate today = clock.today();
        refused(entry(UUID.randomUUID(), 20, 19, today, ""), "consignment.plants");
        refused(entry(UUID.randomUUID(), 20, 25, today.minusDays(1), ""), "consignment.arrives");
        refused(entry(UUID.randomUUID(), 20, 25, today.plusDays(90), ""), "consignment.arrives");
        refused(
                entry(UUID.randomUUID(), 20, 25, today, "").replace("\"leaves\":2", "\"leaves\":9"),
                "consignment.leaves");
        refused(
                entry(UUID.randomUUID(), 20, 25, today, "").replace("\"leaves\":2", "\"leaves\":-1"),
                "consignment.leaves");
        refused(
                entry(UUID.randomUUID(), 20, 25, today, "").replace("\"price\":0.35", "\"price\":-1"),
                "consignment.price");
        refused(entry(UUID.randomUUID(), 20, 25, today, ""), "code");
        buy("{}").andExpect(status().isUnprocessableContent());
        nursery.post(nursery.hand, "/api/batches/bought-in", entry(UUID.randomUUID(), 20, 25, today, ""))
                .andExpect(status().isForbidden());
        int sown = nursery.batchOf(nursery.order(12));
        record(sown, "arrivals", "\"tray\":1001,\"firstCell\":1,\"lastCell\":2,\"placeId\":2")
                .andExpect(status().isUnprocessableContent());
    }

    private String place(int id) throws Exception {
        return JsonPath.<List<String>>read(
                        nursery.get(nursery.hand, "/api/choices")
                                .andReturn()
                                .getResponse()
                                .getContentAsString(),
                        "$.places[?(@.id == " + id + ")].name")
                .get(0);
    }

    private List<String> tasks(int batch) throws Exception {
        return JsonPath.read(
                nursery.get(nursery.hand, "/api/round")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.stops[*].work[?(@.batch.number == " + batch + ")].tasks[*].kind");
    }

    private void refused(String body, String field) throws Exception {
        buy(body)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[*].field").value(hasItem(field)));
    }

    private ResultActions buy(String body) throws Exception {
        return nursery.post(nursery.propagator, "/api/batches/bought-in", body);
    }

    private ResultActions record(int batch, String what, String entry) throws Exception {
        return nursery.post(
                nursery.hand,
                "/api/batches/" + batch + "/" + what,
                "{\"requestId\":\"" + UUID.randomUUID() + "\"," + entry + "}");
    }

    private String entry(UUID request, int wanted, int bought, LocalDate arrives, String more) {
        return """
                {"requestId":"%s","wish":{"varietyId":%d,"container":"module-60","plants":%d,"leavesFrom":4,"leavesTo":5,"target":"%s","siteId":%d},
                 "consignment":{"supplier":"Marl Plants","code":"M-77","plants":%d,"container":"module-60","leaves":2,"arrives":"%s","price":0.35}%s}""".formatted(
                request, nursery.varietyId, wanted, clock.today().plusDays(25), nursery.siteId, bought, arrives, more);
    }
}
