package kiver.server;

import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.UUID;
import kiver.core.tray.CellRun;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** A nursery says how it feeds; the round calls for it when a mix has no more to give; what was given is kept. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class FeedingTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private int batch;

    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
        }
        batch = batches.files().get(0).batch().number();
    }

    private ResultActions way(Person person, String school, Object strength, Object can) throws Exception {
        return nursery.put(
                person,
                "/api/feeding/way",
                "{\"school\":\"%s\",\"strength\":%s,\"canLitres\":%s}".formatted(school, strength, can));
    }

    private ResultActions add(String name, String form, Object nitrogen, Object potassium) throws Exception {
        return nursery.post(
                nursery.propagator,
                "/api/feeding/feeds",
                "{\"name\":\"%s\",\"form\":\"%s\",\"nitrogen\":%s,\"phosphorus\":3,\"potassium\":%s,\"density\":1.1}"
                        .formatted(name, form, nitrogen, potassium));
    }

    private ResultActions give(Person person, String entries) throws Exception {
        return nursery.record(person, batch, "feedings", entries);
    }

    @Test
    @Order(1)
    void asLongAsNobodySaidHowNothingIsCalledFor() throws Exception {
        nursery.get(nursery.hand, "/api/feeding")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.way.school").value("NEVER"))
                .andExpect(jsonPath("$.batches", empty()));
        nursery.get(nursery.grower, "/api/feeding").andExpect(status().isForbidden());
    }

    @Test
    @Order(2)
    void labelsAndWaysThatCannotBeAreRefused() throws Exception {
        add("Too much", "POWDER", 200, 7)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("nitrogen"));
        add("All of it", "POWDER", 50, 50)
                .andExpect(jsonPath("$.errors[0].message", containsString("more than 100 %")));
        add("", "LIQUID", 5, 7).andExpect(status().isUnprocessableContent());
        add("Gas", "GAS", 5, 7).andExpect(status().is4xxClientError());
        way(nursery.propagator, "BY_RESERVE", 100, 0)
                .andExpect(jsonPath("$.errors[0].message", containsString("0.1 to 1,000 litres")));
        way(nursery.propagator, "BY_RESERVE", 5000, 10).andExpect(status().isUnprocessableContent());
        way(nursery.hand, "BY_RESERVE", 100, 10).andExpect(status().isForbidden());
    }

    @Test
    @Order(3)
    void theDoseIsForTheCanInHand() throws Exception {
        add("Draught", "LIQUID", 5, 7).andExpect(status().isOk());
        add("Draught", "LIQUID", 5, 7)
                .andExpect(jsonPath("$.errors[0].message", containsString("named \"Draught\" already")));
        add("Only potassium", "POWDER", 0, 30).andExpect(status().isOk());
        way(nursery.propagator, "BY_RESERVE", 100, 10).andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/feeding")
                .andExpect(jsonPath("$.feeds[0].dose.perLitre", closeTo(1.82, 0.005)))
                .andExpect(jsonPath("$.feeds[0].dose.forCan", closeTo(18.2, 0.05)))
                .andExpect(jsonPath("$.feeds[1].dose").doesNotExist());
    }

    @Test
    @Order(4)
    void theRoundCallsForFeedUntilItIsGiven() throws Exception {
        give(nursery.hand, "\"feedId\":1")
                .andExpect(jsonPath("$.errors[0].message", containsString("fed after it was sown")));
        CellRun run = batches.file(batch).runs().get(0);
        int tray = trays.tray(run.tray()).number();
        LocalDate sown = TODAY.minusDays(40);
        nursery.growUp(batch, tray, run.last(), sown);
        LocalDate ends = sown.plusDays(20);
        nursery.get(nursery.hand, "/api/feeding")
                .andExpect(jsonPath("$.batches[0].reserveEnds").value(ends.toString()))
                .andExpect(jsonPath("$.batches[0].due").value(ends.toString()));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$..tasks[?(@.kind == 'FEED')].urgency").value("LATE"));
        give(nursery.hand, "\"feedId\":99").andExpect(status().isNotFound());
        give(nursery.hand, "\"feedId\":1,\"strength\":0").andExpect(status().isUnprocessableContent());
        give(nursery.hand, "\"feedId\":1,\"conductivity\":-1").andExpect(status().isUnprocessableContent());
        give(nursery.hand, "\"feedId\":1,\"day\":\"%s\"".formatted(TODAY.plusDays(1)))
                .andExpect(status().isUnprocessableContent());
        give(nursery.grower, "\"feedId\":1").andExpect(status().isForbidden());
        String once = "{\"requestId\":\"%s\",\"feedId\":1,\"conductivity\":1.2}".formatted(UUID.randomUUID());
        for (int time = 0; time < 2; time++) {
            nursery.post(nursery.hand, "/api/batches/" + batch + "/feedings", once)
                    .andExpect(status().isOk());
        }
        nursery.get(nursery.hand, "/api/feeding")
                .andExpect(jsonPath("$.given", hasSize(1)))
                .andExpect(jsonPath("$.given[0].conductivity").value(1.2))
                .andExpect(jsonPath("$.given[0].strength").value(100.0))
                .andExpect(jsonPath("$.batches[0].due").value(TODAY.plusDays(7).toString()));
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath("$..tasks[?(@.kind == 'FEED')]", empty()));
    }

    @Test
    @Order(5)
    void plantsInARichMixAreFedOtherwise() throws Exception {
        nursery.post(nursery.propagator, "/api/media/recipes/living/taking", "").andExpect(status().isOk());
        String made = nursery.post(
                        nursery.hand,
                        "/api/stock/mixes",
                        "{\"requestId\":\"%s\",\"recipe\":\"living\",\"litres\":50}".formatted(UUID.randomUUID()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        nursery.record(
                        nursery.hand,
                        batch,
                        "pottings",
                        "\"container\":\"pot-9\",\"plants\":3,\"mix\":" + JsonPath.<Integer>read(made, "$.number"))
                .andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/feeding").andExpect(jsonPath("$.batches", hasSize(1)));
        byMix(nursery.hand, "\"living\"", "\"NEVER\"").andExpect(status().isForbidden());
        byMix(nursery.propagator, "\"nothing\"", "\"NEVER\"").andExpect(status().is4xxClientError());
        byMix(nursery.propagator, "\"living\"", "\"HOURLY\"").andExpect(status().is4xxClientError());
        byMix(nursery.propagator, "\"living\"", "\"NEVER\"").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/feeding")
                .andExpect(jsonPath("$.batches", empty()))
                .andExpect(jsonPath("$.recipes[?(@.recipe == 'living')].school").value("NEVER"));
        way(nursery.propagator, "NEVER", 100, 10).andExpect(status().isOk());
        byMix(nursery.propagator, "\"living\"", "\"FROM_EMERGENCE\"").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/feeding").andExpect(jsonPath("$.batches", hasSize(1)));
        byMix(nursery.propagator, "\"living\"", "null").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/feeding").andExpect(jsonPath("$.batches", empty()));
    }

    private ResultActions byMix(Person person, String recipe, String school) throws Exception {
        return nursery.put(person, "/api/feeding/recipes", "{\"recipe\":%s,\"school\":%s}".formatted(recipe, school));
    }
}
