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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.crop.CropCode;
import kiver.server.account.Person;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Questions on the telephone, successions, calendars and what can be looked up. */
class QuestionsAtTheDeskTest extends DeskOfTheSeason {

    /** A day for which the small nursery can say yes without an if. */
    private static final LocalDate WANTED = TARGET.plusDays(4);

    @Test
    void aQuestionInPlainWordsIsAnsweredAndBecomesAnOrder() throws Exception {
        String answer = ask("12 test kale, " + WANTED + ", Near, module 60, 4-6 leaves")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lines[0].reading.wish.plants").value(12))
                .andExpect(jsonPath("$.lines[0].reading.site").value("Near"))
                .andExpect(jsonPath("$.lines[0].plan.promise.answer").value("YES"))
                .andExpect(jsonPath("$.lines[0].plan.outdoors.because").value("FROST"))
                .andExpect(jsonPath("$.lines[0].plan.places.stays[0].place").value("Place 1"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String wish = new tools.jackson.databind.json.JsonMapper()
                .writeValueAsString(JsonPath.read(answer, "$.lines[0].reading.wish"));
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish + "}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.number", greaterThan(100)));
    }

    @Test
    void whatWasNotSaidOrUnderstoodIsTold() throws Exception {
        ask("zorbs for " + WANTED)
                .andExpect(jsonPath("$.lines[0].missing", hasSize(2)))
                .andExpect(jsonPath("$.notUnderstood[0].word").value("zorbs"));
    }

    /** What cannot be asked for is told at its place; the other kinds have their answers. */
    @Test
    void oneKindThatCannotBeAskedForLeavesTheOthersTheirAnswers() throws Exception {
        ask("12 test kale and 99999999999 test kale, " + WANTED + ", Near, module 60")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lines[0].plan.promise.answer").value("YES"))
                .andExpect(jsonPath("$.lines[0].refused").doesNotExist())
                .andExpect(jsonPath("$.lines[1].plan").doesNotExist())
                .andExpect(jsonPath("$.lines[1].refused").value(containsString("Ask for 1 to 100,000 plants of Test")));
    }

    @Test
    void aChangeChangesWhatWasAskedBefore() throws Exception {
        String first = json(ask("12 test kale, " + WANTED + ", Near, module 60").andExpect(status().isOk()));
        String wish = written(JsonPath.read(first, "$.lines[0].reading.wish"));
        nursery.post(
                        nursery.propagator,
                        "/api/promises",
                        "{\"text\":\"a week later, make it 20 in the tunnel\",\"before\":[" + wish + "]}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lines", hasSize(1)))
                .andExpect(jsonPath("$.lines[0].reading.wish.plants").value(20))
                .andExpect(jsonPath("$.lines[0].reading.wish.target")
                        .value(WANTED.plusWeeks(1).toString()))
                .andExpect(jsonPath("$.lines[0].reading.wish.protection").value("UNHEATED_TUNNEL"))
                .andExpect(jsonPath("$.lines[0].reading.site").value("Near"));
        nursery.post(
                        nursery.propagator,
                        "/api/promises",
                        "{\"text\":\"and 30 test kale in 9 cm pots\",\"before\":[" + wish + "]}")
                .andExpect(jsonPath("$.lines", hasSize(2)))
                .andExpect(jsonPath("$.lines[1].reading.wish.container").value("pot-9"))
                .andExpect(jsonPath("$.lines[1].reading.wish.target").value(WANTED.toString()));
    }

    /** Of days that span months the middle is looked at, where the first is too soon. */
    @Test
    void theFirstOfManyDaysThatIsAYesIsAnswered() throws Exception {
        LocalDate first = SmallNursery.TODAY.plusDays(14);
        LocalDate last = SmallNursery.TODAY.plusDays(134);
        ask("12 test kale between " + first + " and " + last)
                .andExpect(jsonPath("$.lines[0].reading.firstDay").value(first.toString()))
                .andExpect(jsonPath("$.lines[0].reading.lastDay").value(last.toString()))
                .andExpect(jsonPath("$.lines[0].reading.wish.target")
                        .value(first.plusDays(60).toString()))
                .andExpect(jsonPath("$.lines[0].plan.promise.answer").value("YES"));
    }

    /** What is said of the cover counts for frost, stands on the order's line and is looked at again with every edit. */
    @Test
    void whatPlantsWillStandUnderIsHonouredAndKept() throws Exception {
        LocalDate early = SmallNursery.TODAY.plusDays(50);
        String open = json(ask("12 test kale, " + early + ", Near, module 60"));
        String covered = json(ask("12 test kale, " + early + ", Near, module 60, in a tunnel"));
        assertThat(LocalDate.parse(JsonPath.<String>read(covered, "$.lines[0].plan.outdoors.from")))
                .isBefore(LocalDate.parse(JsonPath.<String>read(open, "$.lines[0].plan.outdoors.from")));
        String wish = written(JsonPath.read(covered, "$.lines[0].reading.wish"));
        String taken = json(nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish + ",\"seen\":\"NO\"}"))
                .andExpect(status().isOk()));
        int number = JsonPath.read(taken, "$.number");
        nursery.get(nursery.propagator, "/api/orders/" + number)
                .andExpect(jsonPath("$.order.lines[0].asked.protection").value("UNHEATED_TUNNEL"));
    }

    @Test
    void anOfferThatIsPressedIsAYes() throws Exception {
        String answer = json(ask("12 test kale, " + SmallNursery.TODAY.plusDays(12) + ", Near, module 60"));
        List<Map<String, Object>> offers = JsonPath.read(answer, "$.lines[0].plan.promise.offers");
        assertThat(offers).isNotEmpty();
        Map<String, Object> wish = JsonPath.read(answer, "$.lines[0].reading.wish");
        for (Map<String, Object> offer : offers) {
            Map<String, Object> changed = new HashMap<>(wish);
            changed.put("target", offer.get("target"));
            changed.put("plants", offer.get("plants"));
            changed.put("container", offer.get("container"));
            changed.put("siteId", offer.get("siteId"));
            changed.put("protection", offer.get("protection"));
            nursery.post(
                            nursery.propagator,
                            "/api/promises",
                            "{\"text\":\"12 test kale\",\"settled\":[{\"line\":0,\"wish\":" + written(changed) + "}]}")
                    .andExpect(status().isOk())
                    .andExpect(jsonPath("$.lines[0].plan.promise.answer").value("YES"));
        }
    }

    @Test
    void twoThatFitAreOfferedAndNeverGuessed() throws Exception {
        nursery.crops.add(new CropCode("curly-kale"), "Second Leaf");
        ask("12 kale " + WANTED)
                .andExpect(jsonPath("$.lines[0].plan").doesNotExist())
                .andExpect(jsonPath("$.lines[0].choices", hasSize(2)))
                .andExpect(jsonPath("$.lines[0].choices[0].kind").value("VARIETY"))
                .andExpect(jsonPath("$.lines[0].choices[0].answer").value("YES"))
                .andExpect(jsonPath("$.lines[0].choices[1].name").value("Second Leaf"))
                .andExpect(jsonPath("$.lines[0].choices[1].answer").value("NO"));
        ask("12 second leaf " + WANTED)
                .andExpect(jsonPath("$.lines[0].reading.variety").value("Second Leaf"));
    }

    @Test
    void theQuestionCanBeTurnedRound() throws Exception {
        String answer = json(ask("what can I still sow for Near?").andExpect(status().isOk()));
        List<Map<String, Object>> lots = JsonPath.read(answer, "$.stillToSow.lots");
        assertThat(lots).isNotEmpty();
        assertThat(lots.get(0).get("code")).isIn("L1", "L3");
        assertThat((int) lots.get(0).get("plants")).isPositive();
        assertThat(JsonPath.<String>read(answer, "$.stillToSow.site")).isEqualTo("Near");
        ask("what can be sown on 5 January?").andExpect(status().isOk());
    }

    private static String json(ResultActions answer) throws Exception {
        return answer.andReturn().getResponse().getContentAsString();
    }

    private static String written(Object wish) {
        return new tools.jackson.databind.json.JsonMapper().writeValueAsString(wish);
    }

    @ParameterizedTest
    @CsvSource({
        "0 test kale 10 may, '1 to 100,000'",
        "10000000 test kale 10 may, '1 to 100,000'",
        "5 test kale 2027-02-01, has passed"
    })
    void impossibleQuestionsGetAClearAnswer(String text, String words) throws Exception {
        ask(text)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lines[0].plan").doesNotExist())
                .andExpect(jsonPath("$.lines[0].refused", containsString(words)));
    }

    @Test
    void pathsThroughContainersAreCompared() throws Exception {
        nursery.post(nursery.propagator, "/api/paths", wish(60, "pot-9", WANTED.plusDays(20)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].kind", hasItem("STRAIGHT")))
                .andExpect(jsonPath("$[*].kind", hasItem("POTTED_TWICE")))
                .andExpect(jsonPath("$[0].plan.outlay.cost", greaterThan(1.0)));
    }

    @Test
    void aSuccessionBecomesOrdersReadyEvenly() throws Exception {
        String succession = """
                {"wish":%s,"until":"%s","count":3}""".formatted(wish(31, "module-60", WANTED), WANTED.plusDays(28));
        nursery.post(nursery.propagator, "/api/successions/plan", succession)
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[1].ready").value(WANTED.plusDays(14).toString()));
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
                {"wish":%s,"until":"%s"}""".formatted(wish(31, "module-60", WANTED), WANTED))
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
