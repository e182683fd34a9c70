package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.empty;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.lessThan;
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

/** Trays are lifted, looked at, weighed and watered, and the round says which want some; plants are looked at closely. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class CaredForTest {

    private static final LocalDate TODAY = SmallNursery.TODAY;
    private static final String OWN = "$.stops[*].trays[?(@.tray == %d)].%s";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private int batch;
    private int tray;

    /** Twenty days old and up. */
    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
        }
        batch = batches.files().get(0).batch().number();
        CellRun run = batches.file(batch).runs().get(0);
        tray = trays.tray(run.tray()).number();
        if (batches.file(batch).state().sownOn().isEmpty()) {
            nursery.growUp(batch, tray, run.last(), TODAY.minusDays(20));
        }
    }

    private ResultActions note(Person person, String trays, String rest) throws Exception {
        return nursery.post(
                person,
                "/api/water",
                "{\"requestId\":\"%s\",\"trays\":[%s],%s}".formatted(UUID.randomUUID(), trays, rest));
    }

    private ResultActions weighed(Object grams) throws Exception {
        return note(nursery.hand, "" + tray, "\"kind\":\"WEIGHED\",\"grams\":" + grams);
    }

    private ResultActions own(String what, Object value) throws Exception {
        return nursery.get(nursery.hand, "/api/water")
                .andExpect(jsonPath(OWN.formatted(tray, what)).value(value));
    }

    @Test
    @Order(1)
    void aTrayOfWhichNobodyKnowsAnythingIsLookedAt() throws Exception {
        own("advice", "LOOK");
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath("$.stops[*].water.look[*]", contains(tray)));
        nursery.get(nursery.grower, "/api/water").andExpect(status().isForbidden());
    }

    @Test
    @Order(2)
    void whatCannotBeIsRefusedAndNothingIsNoted() throws Exception {
        String light = "\"kind\":\"LIFTED\",\"word\":\"LIGHT\"";
        note(nursery.hand, "4711", light).andExpect(jsonPath("$.errors[0].message", containsString("no tray T4711")));
        note(nursery.hand, tray + "," + tray, light).andExpect(status().isUnprocessableContent());
        note(nursery.hand, "", light).andExpect(status().isUnprocessableContent());
        note(nursery.hand, "" + tray, "\"kind\":\"LIFTED\",\"word\":\"DARK\"")
                .andExpect(status().isUnprocessableContent());
        note(nursery.hand, "" + tray, "\"kind\":\"LIFTED\"").andExpect(status().isUnprocessableContent());
        note(nursery.hand, "" + tray, "\"kind\":\"WEIGHED\"").andExpect(status().isUnprocessableContent());
        note(nursery.hand, "" + tray, light + ",\"grams\":900").andExpect(status().isUnprocessableContent());
        note(nursery.hand, "" + tray, light + ",\"day\":\"%s\"".formatted(TODAY.plusDays(1)))
                .andExpect(status().isUnprocessableContent());
        note(nursery.grower, "" + tray, light).andExpect(status().isForbidden());
        weighed(300).andExpect(jsonPath("$.errors[0].message", containsString("dry")));
        weighed(9000).andExpect(jsonPath("$.errors[0].message", containsString("soaked")));
        weighed(3.5).andExpect(jsonPath("$.errors[0].message", containsString("pounds")));
        weighed(-5).andExpect(status().isUnprocessableContent());
        String weight = "/api/water/containers/module-60";
        nursery.put(nursery.hand, weight, "{\"dry\":1900,\"soaked\":900}").andExpect(status().isUnprocessableContent());
        nursery.put(nursery.hand, "/api/water/containers/nonsense", "{\"dry\":900,\"soaked\":1900}")
                .andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/scale/trays/4711").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/scale/trays/" + tray).andExpect(status().isForbidden());
        own("advice", "LOOK");
    }

    @Test
    @Order(30)
    void theWorkedTrayHoldsTwoFifthsAndWantsWaterUntilItIsGiven() throws Exception {
        nursery.put(nursery.hand, "/api/water/containers/module-60", "{\"dry\":900,\"soaked\":1900}")
                .andExpect(status().isOk());
        weighed(1300).andExpect(status().isOk());
        own("advice", "WATER").andExpect(jsonPath(OWN.formatted(tray, "share")).value(contains(closeTo(0.4, 0.001))));
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath("$.stops[*].water.below[*]", contains(tray)));
        String once = "{\"requestId\":\"%s\",\"trays\":[%d],\"kind\":\"WATERED\",\"word\":\"BELOW\"}"
                .formatted(UUID.randomUUID(), tray);
        for (int time = 0; time < 2; time++) {
            nursery.post(nursery.hand, "/api/water", once).andExpect(status().isOk());
        }
        nursery.post(nursery.hand, "/api/water", once.replace("BELOW", "ABOVE")).andExpect(status().is4xxClientError());
        own("advice", "LEAVE").andExpect(jsonPath(OWN.formatted(tray, "share")).value(contains(closeTo(1, 0.001))));
    }

    /** What a scale sends counts as what a hand enters; the same twice counts once, and a bad row stops no other. */
    @Test
    @Order(40)
    void aScaleSendsWeightsByTheWayOfReadings() throws Exception {
        String added = nursery.post(
                        nursery.propagator, "/api/devices", "{\"name\":\"Scale\",\"feeds\":\"PLACE\",\"placeId\":1}")
                .andReturn()
                .getResponse()
                .getContentAsString();
        String token = JsonPath.read(added, "$.token");
        String rows = "at,tray,grams\n%1$sT07:30,T%2$d,1450\n%1$sT07:31,%2$d,3.2\n%1$sT07:32,4711,1400\nsoon,%2$d,1400"
                .formatted(TODAY, tray);
        nursery.send(token, "text/csv", rows)
                .andExpect(jsonPath("$.taken").value(1))
                .andExpect(jsonPath("$.refused", hasSize(3)))
                .andExpect(jsonPath("$.refused[0].why", containsString("pounds")));
        nursery.send(token, "text/csv", rows).andExpect(jsonPath("$.known").value(1));
        nursery.send(
                        token,
                        "application/json",
                        "{\"at\":\"%sT07:40\",\"tray\":%d,\"grams\":1440}".formatted(TODAY, tray))
                .andExpect(jsonPath("$.taken").value(1));
        nursery.send(token, "text/csv", "at,grams\n").andExpect(status().isUnprocessableContent());
    }

    @Test
    @Order(3)
    void wateredTimeAfterTimeWithoutNeedItNeverDries() throws Exception {
        for (int day = 3; day > 0; day--) {
            note(
                            nursery.hand,
                            "" + tray,
                            "\"kind\":\"WATERED\",\"word\":\"BELOW\",\"day\":\"%s\"".formatted(TODAY.minusDays(day)))
                    .andExpect(status().isOk());
        }
        note(nursery.hand, "" + tray, "\"kind\":\"WATERED\",\"word\":\"BELOW\"").andExpect(status().isOk());
        own("neverDries", true);
        nursery.get(nursery.hand, "/api/round").andExpect(jsonPath("$.stops[*].water.below[*]", empty()));
        nursery.get(nursery.hand, "/api/water")
                .andExpect(jsonPath(OWN.formatted(tray, "low")).value(contains(lessThan(1.0))));
        nursery.get(nursery.hand, "/api/batches/" + batch + "/failing?sign=YELLOW")
                .andExpect(jsonPath("$.clear").value(true))
                .andExpect(jsonPath("$.suspects[0].cause").value("TOO_WET"))
                .andExpect(jsonPath("$.suspects[0].noted", containsString("three times")));
    }

    private ResultActions look(Person person, String leaves, String rest) throws Exception {
        return nursery.record(person, batch, "looks", "\"leaves\":[%s]%s".formatted(leaves, rest));
    }

    private String read(String path) throws Exception {
        return JsonPath.read(
                nursery.get(nursery.hand, "/api/batches/" + batch)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                path);
    }

    @Test
    @Order(45)
    void theLightOfEachPlaceIsToldWithWhatStretchesInIt() throws Exception {
        nursery.get(nursery.hand, "/api/warmth")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.places[*].light.light", everyItem(greaterThan(0.0))));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.stops[*].light.light", everyItem(greaterThan(0.0))));
    }

    /** Fewer leaves than expected: the day moves, the leaves said are nearer to those seen; taken back, all is as before. */
    @Test
    @Order(50)
    void leavesCountedOnFivePlantsMoveTheForecast() throws Exception {
        look(nursery.hand, "", "").andExpect(status().isUnprocessableContent());
        look(nursery.hand, "3,-1", "").andExpect(status().isUnprocessableContent());
        look(nursery.hand, "3,400", "").andExpect(status().isUnprocessableContent());
        look(nursery.hand, "3", ",\"roots\":\"SQUARE\"").andExpect(status().is4xxClientError());
        look(nursery.hand, "", ",\"roots\":\"CIRCLING\",\"day\":\"%s\"".formatted(TODAY.minusDays(17)))
                .andExpect(status().isUnprocessableContent());
        look(nursery.grower, "3", "").andExpect(status().isForbidden());
        String before = read("$.summary.dates.ready.middle");
        look(nursery.hand, "1,1,0,1,1", "").andExpect(status().isOk());
        String after = read("$.summary.dates.ready.middle");
        assertThat(LocalDate.parse(after)).isAfter(LocalDate.parse(before));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.growth.leavesNow", lessThan(2.2)))
                .andExpect(jsonPath(
                        "$.changes[*].words", hasItem(containsString("0.8 true leaves on average of 5 plants"))));
        look(nursery.hand, "", ",\"roots\":\"CIRCLING\"").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$..tasks[*].why.kind", hasItem("RootsHaveOutgrown")));
    }

    /** What was noted above speaks: roots that circle; nobody who looked for slugs. */
    @Test
    @Order(60)
    void fromASignToWhatTheRecordSaysOfEachCause() throws Exception {
        String failing = "/api/batches/" + batch + "/failing?sign=";
        nursery.get(nursery.hand, failing + "YELLOW")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.suspects[?(@.cause == 'CROWDED_ROOTS')].evidence")
                        .value("FOR"));
        nursery.get(nursery.hand, failing + "SNAPPED_OFF")
                .andExpect(jsonPath("$.clear").value(false))
                .andExpect(jsonPath("$.suspects[0].noted", containsString("Nobody has looked")));
        for (String sign : new String[] {"PINCHED_AT_BASE", "STRETCHED", "PURPLE", "STUNTED", "DROOPING"}) {
            nursery.get(nursery.hand, failing + sign).andExpect(status().isOk());
        }
        nursery.get(nursery.hand, failing + "GREEN").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/batches/" + batch + "/failing")
                .andExpect(jsonPath("$.errors[0].message", containsString("Say what you see")));
        nursery.get(nursery.hand, "/api/batches/4711/failing?sign=YELLOW").andExpect(status().isNotFound());
        nursery.get(nursery.grower, failing + "YELLOW").andExpect(status().isForbidden());
    }

    @Test
    @Order(90)
    void howItFaredIsOnOnePicture() throws Exception {
        nursery.get(nursery.hand, "/api/batches/" + batch + "/health")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.days", hasSize(20)))
                .andExpect(jsonPath("$.days[19].leaves").value(greaterThan(0.5)))
                .andExpect(jsonPath("$.care.done[0].doing").value("SOWN"))
                .andExpect(jsonPath("$.care.done[1].doing").value("COUNTED"))
                .andExpect(jsonPath("$.care.water[*].share", everyItem(lessThan(1.01))))
                .andExpect(jsonPath("$.cold.bolts").value(false))
                .andExpect(jsonPath("$.cold.daysLost").isNumber());
        nursery.get(nursery.grower, "/api/batches/" + batch + "/health").andExpect(status().isForbidden());
        nursery.get(nursery.hand, "/api/batches/4711/health").andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/batches/x/health").andExpect(status().is4xxClientError());
    }
}
