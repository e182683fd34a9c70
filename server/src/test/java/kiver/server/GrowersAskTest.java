package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import jakarta.servlet.http.Cookie;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
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
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A grower opens their page by a code, asks for a change, tells of losses; the propagator answers and replaces. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class GrowersAskTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    MockMvc http;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    private static String ask(String entries) {
        return "{\"requestId\":\"%s\",%s}".formatted(UUID.randomUUID(), entries);
    }

    @Test
    @Order(1)
    void aRequestChangesNothingUntilItIsAnswered() throws Exception {
        int order = nursery.order(20);
        String path = "/api/orders/" + order + "/lines/1/requests";
        for (Map.Entry<String, String> wrong : Map.of(
                        "\"kind\":\"LATER\"", "target",
                        "\"kind\":\"LATER\",\"target\":\"2020-01-01\"", "target",
                        "\"kind\":\"FEWER\",\"plants\":20", "plants",
                        "\"kind\":\"FEWER\"", "plants",
                        "\"kind\":\"WANT\",\"plants\":3", "kind")
                .entrySet()) {
            nursery.post(nursery.grower, path, ask(wrong.getKey()))
                    .andExpect(jsonPath("$.errors[0].field").value(wrong.getValue()));
        }
        nursery.post(nursery.otherGrower, path, ask("\"kind\":\"CANCEL\"")).andExpect(status().isNotFound());
        String fewer = ask("\"kind\":\"FEWER\",\"plants\":12,\"words\":\"The bed is smaller.\"");
        nursery.post(nursery.grower, path, fewer).andExpect(status().isOk());
        nursery.post(nursery.grower, path, fewer).andExpect(status().isOk());
        nursery.post(nursery.grower, path, ask("\"kind\":\"CANCEL\""))
                .andExpect(jsonPath("$.errors[0].field").value("line"));
        nursery.get(nursery.otherGrower, "/api/requests").andExpect(jsonPath("$", hasSize(0)));
        String seen = nursery.get(nursery.propagator, "/api/requests")
                .andExpect(jsonPath("$", hasSize(1)))
                .andExpect(jsonPath("$[0].ordered").value(20))
                .andExpect(jsonPath("$[0].words").value("The bed is smaller."))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String answers = "/api/requests/" + JsonPath.<Integer>read(seen, "$[0].number") + "/answers";
        nursery.post(nursery.grower, answers, ask("\"granted\":true")).andExpect(status().isForbidden());
        nursery.post(nursery.hand, answers, ask("\"granted\":true")).andExpect(status().isForbidden());
        nursery.post(nursery.propagator, answers, ask("\"granted\":true,\"words\":\"Gladly.\""))
                .andExpect(status().isOk());
        nursery.post(nursery.propagator, answers, ask("\"granted\":false"))
                .andExpect(jsonPath("$.errors[0].field").value("number"));
        nursery.get(nursery.grower, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].asked.plants").value(12));
        nursery.get(nursery.grower, "/api/requests")
                .andExpect(jsonPath("$[0].state").value("GRANTED"));
        nursery.get(nursery.propagator, "/api/messages")
                .andExpect(jsonPath("$[0].address").value("one@test.example"))
                .andExpect(jsonPath("$[0].state").value("SENT"))
                .andExpect(jsonPath("$[0].body").value("Gladly."));
        nursery.get(nursery.grower, "/api/messages").andExpect(status().isForbidden());
    }

    @Test
    @Order(2)
    void lossesAreToldReplacedAndInvoiced() throws Exception {
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        makeReady(batch);
        int note = JsonPath.read(
                nursery.release(UUID.randomUUID(), order, 20)
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        String losses = "/api/releases/" + note + "/losses";
        nursery.post(nursery.grower, losses, ask("\"line\":1,\"plants\":21,\"reason\":\"SLUGS\""))
                .andExpect(jsonPath("$.errors[0].field").value("plants"));
        nursery.post(
                        nursery.grower,
                        losses,
                        ask("\"line\":1,\"plants\":2,\"reason\":\"SLUGS\",\"photograph\":\"PHN2Zz4=\""))
                .andExpect(jsonPath("$.errors[0].field").value("photograph"));
        nursery.post(nursery.otherGrower, losses, ask("\"line\":1,\"plants\":2,\"reason\":\"SLUGS\""))
                .andExpect(status().isNotFound());
        nursery.post(nursery.grower, losses, ask("\"line\":1,\"plants\":3,\"reason\":\"SLUGS\""))
                .andExpect(status().isOk());
        nursery.post(nursery.grower, losses, ask("\"line\":1,\"plants\":18,\"reason\":\"FROST\""))
                .andExpect(jsonPath("$.errors[0].message", containsString("17 of them")));
        int loss = JsonPath.<Integer>read(
                nursery.get(nursery.propagator, "/api/losses")
                        .andExpect(jsonPath("$[0].pictured").value(false))
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$[0].number");
        picture(nursery.grower, loss, new byte[] {'<', 's', 'v', 'g', '>'})
                .andExpect(jsonPath("$.errors[0].field").value("photograph"));
        byte[] jpeg = {(byte) 0xff, (byte) 0xd8, (byte) 0xff, 0};
        picture(nursery.otherGrower, loss, jpeg).andExpect(status().isNotFound());
        picture(nursery.grower, loss, jpeg).andExpect(status().isOk());
        nursery.get(nursery.grower, "/api/losses/" + loss + "/photograph")
                .andExpect(content().bytes(jpeg));
        nursery.get(nursery.otherGrower, "/api/losses/" + loss + "/photograph").andExpect(status().isNotFound());

        String replacements = "/api/losses/" + loss + "/replacements";
        nursery.post(nursery.grower, replacements, ask("\"plants\":1")).andExpect(status().isForbidden());
        nursery.post(nursery.propagator, replacements, ask("\"plants\":4"))
                .andExpect(jsonPath("$.errors[0].field").value("plants"));
        nursery.post(nursery.propagator, replacements, ask("\"plants\":1")).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].asked.plants").value(21))
                .andExpect(jsonPath("$.order.lines[0].ready").value(1));

        nursery.put(
                        nursery.propagator,
                        "/api/prices",
                        "{\"crop\":\"curly-kale\",\"container\":\"module-60\",\"price\":0.35}")
                .andExpect(status().isOk());
        nursery.put(
                        nursery.propagator,
                        "/api/prices",
                        "{\"crop\":\"curly-kale\",\"container\":\"module-60\",\"price\":-1}")
                .andExpect(status().is4xxClientError());
        String sheet = nursery.get(
                        nursery.propagator,
                        "/api/invoicing?from=" + SmallNursery.TODAY + "&until=" + SmallNursery.TODAY)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(sheet.lines().toList())
                .contains("note,day,order,grower,site,line,crop,variety,container,plants,price,amount")
                .anyMatch(line -> line.startsWith(note + ",") && line.endsWith(",20,0.35,7"));
        nursery.get(nursery.propagator, "/api/invoicing?from=2027-05-01&until=2027-04-01")
                .andExpect(jsonPath("$.errors[0].field").value("until"));
        nursery.get(nursery.hand, "/api/invoicing?from=2027-05-01&until=2027-05-01")
                .andExpect(status().isForbidden());
    }

    @Test
    @Order(3)
    void freePlantsAreAskedForAndBecomeAnOrder() throws Exception {
        String free = nursery.get(nursery.grower, "/api/free")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        List<Integer> plants = JsonPath.read(free, "$[*].plants");
        assertThat(plants).isNotEmpty();
        String want = "/api/free/" + JsonPath.<Integer>read(free, "$[0].batch") + "/requests";
        nursery.post(nursery.otherGrower, want, ask("\"plants\":" + (plants.get(0) + 1)))
                .andExpect(jsonPath("$.errors[0].field").value("plants"));
        nursery.post(nursery.otherGrower, want, ask("\"plants\":1")).andExpect(status().isOk());
        int number = JsonPath.<Integer>read(
                nursery.get(nursery.propagator, "/api/requests")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$[0].number");
        nursery.post(nursery.propagator, "/api/requests/" + number + "/answers", ask("\"granted\":true"))
                .andExpect(status().isOk());
        nursery.get(nursery.otherGrower, "/api/orders").andExpect(jsonPath("$[*].lines[0].asked.plants", hasItem(1)));
    }

    @Test
    @Order(4)
    void aCodeOpensOneGrowersPageUntilItEnds() throws Exception {
        String path = "/api/growers/" + nursery.growerId + "/link";
        nursery.get(nursery.propagator, path).andExpect(jsonPath("$.code").doesNotExist());
        nursery.post(nursery.hand, path, "{}").andExpect(status().isForbidden());
        String code = JsonPath.read(
                nursery.post(nursery.propagator, path, "{}")
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.code");
        open("WRONG-CODE").andExpect(jsonPath("$.errors[0].field").value("code"));
        Cookie session = open(code.toLowerCase().replace("-", " "))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.role").value("GROWER"))
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
        http.perform(MockMvcRequestBuilders.get("/api/orders").cookie(session)).andExpect(status().isOk());
        String calendar = JsonPath.read(
                http.perform(MockMvcRequestBuilders.post("/api/calendar-feeds/mine")
                                .cookie(session)
                                .with(csrf()))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.path");
        http.perform(MockMvcRequestBuilders.get(calendar)).andExpect(status().isOk());
        http.perform(MockMvcRequestBuilders.get("/api/batches/201").cookie(session))
                .andExpect(status().isForbidden());
        nursery.get(nursery.propagator, "/api/people").andExpect(jsonPath("$[?(@.email =~ /.*invalid/)]", hasSize(0)));

        database.update("update account set ends_on = ? where link_code is not null", SmallNursery.TODAY.minusDays(1));
        http.perform(MockMvcRequestBuilders.get("/api/orders").cookie(session)).andExpect(status().isUnauthorized());
        http.perform(MockMvcRequestBuilders.get(calendar)).andExpect(status().isNotFound());
        open(code).andExpect(jsonPath("$.errors[0].field").value("code"));
        String second = JsonPath.read(
                nursery.post(nursery.propagator, path, "{}")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.code");
        assertThat(second).isNotEqualTo(code);
        open(second).andExpect(status().isOk());
        nursery.delete(nursery.propagator, path).andExpect(status().isOk());
        open(second).andExpect(jsonPath("$.errors[0].field").value("code"));
    }

    private ResultActions picture(Person person, int loss, byte[] picture) throws Exception {
        return http.perform(MockMvcRequestBuilders.put("/api/losses/" + loss + "/photograph")
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.IMAGE_JPEG)
                .content(picture));
    }

    private ResultActions open(String code) throws Exception {
        return http.perform(MockMvcRequestBuilders.post("/api/session/link")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"code\":\"" + code + "\"}"));
    }

    /** Nothing is taken unless each of the times can be had. */
    @Test
    @Order(9)
    void aStandingOrderIsTakenWholeOrNotAtAll() throws Exception {
        int order = nursery.order(20);
        String path = "/api/orders/" + order + "/lines/1/requests";
        LocalDate first = SmallNursery.TODAY.plusWeeks(10);
        String again = "\"kind\":\"AGAIN\",\"target\":\"%s\",\"plants\":12,\"times\":%d,\"weeksApart\":2";
        for (Map.Entry<String, String> wrong : Map.of(
                        "\"kind\":\"AGAIN\"",
                        "target",
                        again.formatted(SmallNursery.TODAY, 3),
                        "target",
                        again.formatted(first, 31),
                        "times",
                        again.formatted(first, 30),
                        "times",
                        again.formatted(first, 3).replace("12", "0"),
                        "plants",
                        again.formatted(first, 3).replace(":2", ":27"),
                        "weeksApart")
                .entrySet()) {
            nursery.post(nursery.grower, path, ask(wrong.getKey()))
                    .andExpect(jsonPath("$.errors[0].field").value(wrong.getValue()));
        }
        nursery.post(nursery.grower, path, ask(again.formatted(first, 3))).andExpect(status().isOk());
        String seen = nursery.get(nursery.propagator, "/api/requests")
                .andExpect(jsonPath("$[0].times").value(3))
                .andExpect(jsonPath("$[0].weeksApart").value(2))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String answers = "/api/requests/" + JsonPath.<Integer>read(seen, "$[0].number") + "/answers";
        int before = orders();
        nursery.post(nursery.propagator, answers, ask("\"granted\":true")).andExpect(status().isOk());
        assertThat(orders()).isEqualTo(before + 1);
        assertThat(database.queryForList(
                        "select coalesce(line.target, taken.target) from order_line line join grower_order taken"
                                + " on taken.id = line.order_id where taken.number = (select max(number) from grower_order)"
                                + " order by line.position",
                        LocalDate.class))
                .containsExactly(first, first.plusWeeks(2), first.plusWeeks(4));

        nursery.post(nursery.grower, path, ask(again.formatted(first, 3).replace(":12", ":90000")))
                .andExpect(status().isOk());
        String more = nursery.get(nursery.propagator, "/api/requests")
                .andReturn()
                .getResponse()
                .getContentAsString();
        nursery.post(
                        nursery.propagator,
                        "/api/requests/" + JsonPath.<Integer>read(more, "$[0].number") + "/answers",
                        ask("\"granted\":true"))
                .andExpect(status().isUnprocessableContent());
        assertThat(orders()).as("none of it").isEqualTo(before + 1);
    }

    /** What local rules want stands on the note as it was when the plants went, and each reader is told in their language. */
    @Test
    @Order(10)
    void theNoteKeepsThePlantHealthRecord() throws Exception {
        String entries = "{\"entries\":[{\"label\":\"A\",\"source\":\"BOTANICAL_NAME\",\"words\":\"\"},"
                + "{\"label\":\"B\",\"source\":\"TEXT\",\"words\":\"%s\"},"
                + "{\"label\":\"C\",\"source\":\"BATCH\",\"words\":\"\"}],"
                + "\"names\":[{\"crop\":\"curly-kale\",\"cropName\":\"\",\"name\":\"Brassica oleracea\"}]}";
        nursery.put(nursery.propagator, "/api/plant-health", entries.formatted("QM-0417"))
                .andExpect(status().isOk());
        nursery.put(nursery.hand, "/api/plant-health", entries.formatted("QM-0418"))
                .andExpect(status().isForbidden());
        nursery.put(
                        nursery.propagator,
                        "/api/plant-health",
                        entries.formatted("QM").replace("curly-kale", "moon-bean"))
                .andExpect(status().is4xxClientError());
        nursery.put(
                        nursery.propagator,
                        "/api/plant-health",
                        entries.formatted("QM").replace("TEXT", "COLOUR"))
                .andExpect(status().is4xxClientError());
        database.update("update account set language = 'AMERICAN' where email = 'one@test.example'");
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        makeReady(batch);
        int note = JsonPath.read(
                nursery.release(UUID.randomUUID(), order, 20)
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        nursery.put(nursery.propagator, "/api/plant-health", entries.formatted("QM-9999"))
                .andExpect(status().isOk());
        assertThat(nursery.note(nursery.grower, note))
                .contains("Plant-health record A: Brassica oleracea B: QM-0417 C: " + batch)
                .doesNotContain("QM-9999");
        String american = java.time.format.DateTimeFormatter.ofPattern("MMM d", java.util.Locale.US)
                .format(SmallNursery.TODAY);
        nursery.get(nursery.propagator, "/api/messages").andExpect(jsonPath("$[0].body", containsString(american)));
    }

    private void makeReady(int batch) throws Exception {
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
    }

    private int orders() {
        return database.queryForObject("select count(*) from grower_order", Integer.class);
    }
}
