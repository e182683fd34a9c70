package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import kiver.server.account.Person;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Questions on the telephone, successions, calendars and what can be looked up. */
@TestPropertySource(properties = "kiver.test=a nursery that is asked on the telephone")
class QuestionsAtTheDeskTest extends DeskOfTheSeason {

    @Test
    void aQuestionInPlainWordsIsAnsweredAndBecomesAnOrder() throws Exception {
        String answer = ask("12 test kale, " + TARGET + ", Near, module 60, 4-6 leaves")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.words.plants").value(12))
                .andExpect(jsonPath("$.words.site").value("Near"))
                .andExpect(jsonPath("$.plan.promise.answer").value("YES"))
                .andExpect(jsonPath("$.plan.outdoors.because").value("FROST"))
                .andExpect(jsonPath("$.plan.places.stays[0].place").value("Place 1"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String wish = new tools.jackson.databind.json.JsonMapper().writeValueAsString(JsonPath.read(answer, "$.wish"));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish + "}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.number", greaterThan(100)));
    }

    @Test
    void whatWasNotSaidOrUnderstoodIsTold() throws Exception {
        ask("zorbs for " + TARGET)
                .andExpect(jsonPath("$.missing", hasSize(2)))
                .andExpect(jsonPath("$.notUnderstood[0]").value("zorbs"));
    }

    @ParameterizedTest
    @CsvSource({
        "0 test kale 10 may, 1 to 100000",
        "10000000 test kale 10 may, '10,000,000'",
        "5 test kale 2027-02-01, has passed"
    })
    void impossibleQuestionsGetAClearAnswer(String text, String words) throws Exception {
        ask(text)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString(words)));
    }

    @Test
    void pathsThroughContainersAreCompared() throws Exception {
        nursery.post(nursery.propagator, "/api/paths", wish(60, "pot-9", TARGET.plusDays(20)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].kind", hasItem("STRAIGHT")))
                .andExpect(jsonPath("$[*].kind", hasItem("POTTED_TWICE")))
                .andExpect(jsonPath("$[0].plan.outlay.cost", greaterThan(1.0)));
    }

    @Test
    void aSuccessionBecomesOrdersReadyEvenly() throws Exception {
        String succession = """
                {"wish":%s,"until":"%s","count":3}""".formatted(wish(31, "module-60", TARGET), TARGET.plusDays(28));
        nursery.post(nursery.propagator, "/api/successions/plan", succession)
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[1].ready").value(TARGET.plusDays(14).toString()));
        String order = """
                {"requestId":"%s","growerId":%d,"siteId":%d,"succession":%s}""".formatted(UUID.randomUUID(), nursery.growerId, nursery.siteId, succession);
        nursery.post(nursery.propagator, "/api/successions", order)
                .andExpect(jsonPath("$.orders").value(3));
        nursery.post(nursery.propagator, "/api/successions", order)
                .andExpect(jsonPath("$.orders").value(3));
        assertThat(database.queryForList(
                        "select plants from order_line line join grower_order o on o.id = line.order_id where succession = 1 order by o.target",
                        Integer.class))
                .containsExactly(10, 10, 11);
        nursery.post(nursery.propagator, "/api/successions/plan", """
                {"wish":%s,"until":"%s"}""".formatted(wish(31, "module-60", TARGET), TARGET))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("count"));
    }

    /** The parser refuses what RFC 5545 does not allow, and validate looks at every component again. */
    @Test
    void calendarsAreValidAndShowEachOnlyTheirOwn() throws Exception {
        batch(20);
        Calendar mine = calendar(address(nursery.propagator, "mine"));
        assertThat(mine.getComponents()).isNotEmpty();
        assertThat(mine.toString()).contains("Sow ").contains("Release 20");
        assertThat(calendar(address(nursery.otherGrower, "mine")).getComponents())
                .isEmpty();
        Calendar place = calendar(address(nursery.hand, "places/1"));
        assertThat(place.toString()).contains("Sow ").doesNotContain("Release");
        assertThat(address(nursery.propagator, "mine")).isEqualTo(address(nursery.propagator, "mine"));
        http.perform(MockMvcRequestBuilders.get("/calendar/0000.ics")).andExpect(status().isNotFound());
        nursery.post(nursery.grower, "/api/calendar-feeds/places/1", "").andExpect(status().isForbidden());
    }

    @Test
    void sitesCropsAndForecastsCanBeLookedAt() throws Exception {
        nursery.get(nursery.hand, "/api/sites/" + nursery.otherSiteId)
                .andExpect(jsonPath("$.offset").value(-1.95))
                .andExpect(jsonPath("$.lightFrost.seasons", greaterThan(20)))
                .andExpect(jsonPath("$.crops[0].from").exists());
        nursery.get(nursery.hand, "/api/crops/tomato?place=1")
                .andExpect(jsonPath("$.observed", hasSize(greaterThan(3))))
                .andExpect(jsonPath("$.stages", hasSize(7)));
        nursery.get(nursery.hand, "/api/forecast-changes").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/work?from=2027-03-01&to=2027-03-07").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/work?from=2027-03-07&to=2027-03-01")
                .andExpect(status().isUnprocessableContent());
    }

    private ResultActions ask(String text) throws Exception {
        return nursery.post(nursery.propagator, "/api/promises", "{\"text\":\"" + text + "\"}");
    }

    private String wish(int plants, String container, LocalDate target) {
        return """
                {"varietyId":%d,"container":"%s","plants":%d,"leavesFrom":4,"leavesTo":6,"target":"%s","siteId":%d}""".formatted(nursery.varietyId, container, plants, target, nursery.siteId);
    }

    private String address(Person person, String which) throws Exception {
        return JsonPath.read(
                nursery.post(person, "/api/calendar-feeds/" + which, "")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.path");
    }

    private Calendar calendar(String path) throws Exception {
        String text = http.perform(MockMvcRequestBuilders.get(path))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        calendar.validate(true);
        return calendar;
    }
}
