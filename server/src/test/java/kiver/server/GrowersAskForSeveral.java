package kiver.server;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.UUID;
import kiver.core.crop.CropCode;
import kiver.core.order.PlantShares;
import kiver.core.seed.LotId;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.order.OrderBook;
import kiver.server.seed.SeedLot;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

/** A nursery in which growers ask for several kinds at once. */
@ServerTest
abstract class GrowersAskForSeveral {

    static final LocalDate TODAY = SmallNursery.TODAY;
    static final LocalDate TARGET = TODAY.plusDays(70);

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    OrderBook orders;

    @Autowired
    JdbcTemplate database;

    long kale;

    /** Each test has a variety of its own, so that none is given what another left free. */
    @BeforeEach
    void found() {
        nursery.found();
        kale = nursery.crops.add(new CropCode("curly-kale"), "Kale " + UUID.randomUUID());
        nursery.seeds.add(new SeedLot(
                new LotId(0), "K" + UUID.randomUUID(), kale, "Seed house", 0.9, 100, TODAY.minusDays(40), 3000, 3000));
    }

    PlantShares shares(int batch) {
        return batches.file(batch).shares(TODAY);
    }

    int take(String... lines) throws Exception {
        return JsonPath.read(
                ok(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), lines)), "$.number");
    }

    ResultActions edit(int order, String edit, boolean withdraw) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/orders/" + order + "/changes",
                "{\"requestId\":\"" + UUID.randomUUID() + "\",\"edit\":{" + edit + ",\"withdraw\":" + withdraw + "}}");
    }

    String ok(Person person, String path, String body) throws Exception {
        return nursery.post(person, path, body)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    static void refused(ResultActions answer, String field) throws Exception {
        answer.andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field));
    }

    static String request() {
        return "{\"requestId\":\"" + UUID.randomUUID() + "\"}";
    }

    String line(int plants, LocalDate target) {
        return "{\"wish\":" + wish(plants, target) + "}";
    }

    String line(int plants, LocalDate target, int batch) {
        return "{\"wish\":" + wish(plants, target) + ",\"fromBatch\":" + batch + "}";
    }

    String wish(int plants, LocalDate target) {
        return "{\"varietyId\":%d,\"container\":\"module-60\",\"plants\":%d,\"leavesFrom\":4,\"leavesTo\":6,\"target\":\"%s\"}"
                .formatted(kale, plants, target);
    }
}
