package kiver.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.server.account.AccountMapper;
import kiver.server.account.Person;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The demonstration on its opening day: what two pages say of the same thing is the same. */
@SpringBootTest
@AutoConfigureMockMvc
@ContextConfiguration(initializers = Winter.class)
class OneSourceOfEachFigureTest {

    @Autowired
    MockMvc http;

    @Autowired
    AccountMapper accounts;

    private Person propagator;

    @BeforeEach
    void signIn() {
        var account = accounts.byEmail("propagator@quillmere.example").orElseThrow();
        propagator = new Person(account.id(), account.email(), account.name(), "", account.role(), null);
    }

    @Test
    void theRoundAndTheSpacePageCountTheSameTrays() throws Exception {
        Map<Integer, Double> taken = byId(get("/api/round"), "$.stops[*]", "placeId", "slotsTaken");
        Map<Integer, Double> used = new HashMap<>();
        JsonPath.<List<Map<String, Object>>>read(get("/api/space"), "$.places[*]")
                .forEach(place -> used.put(
                        (Integer) place.get("id"), ((Number) ((List<?>) place.get("used")).get(0)).doubleValue()));
        assertThat(taken).hasSizeGreaterThan(10);
        taken.forEach(
                (place, slots) -> assertThat(slots).as("place " + place).isCloseTo(used.get(place), within(0.01)));
    }

    @Test
    void theRoundAndTheWeekSheetAskForTheSameWorkToday() throws Exception {
        String round = get("/api/round");
        String today = JsonPath.read(round, "$.today");
        List<Integer> onTheRound = JsonPath.<List<Map<String, Object>>>read(round, "$.stops[*].work[*]").stream()
                .flatMap(work -> ((List<?>) work.get("tasks")).stream().map(task ->
                        (Integer) ((Map<?, ?>) work.get("batch")).get("number")))
                .sorted()
                .toList();
        List<Integer> onTheSheet =
                JsonPath.<List<Integer>>read(get("/api/work?from=" + today + "&to=" + today), "$[*].batch").stream()
                        .sorted()
                        .toList();
        assertThat(onTheRound).isNotEmpty().isEqualTo(onTheSheet);
    }

    /** A tray is called by the number that stands on it, wherever it is named. */
    @Test
    void traysAreCalledByTheirNumbersOnEverySheet() throws Exception {
        String today = JsonPath.read(get("/api/round"), "$.today");
        Map<Integer, Object> listed = new HashMap<>();
        JsonPath.<List<Map<String, Object>>>read(get("/api/batches"), "$[*]")
                .forEach(batch -> listed.put((Integer) batch.get("number"), batch.get("trays")));
        List<Map<String, Object>> works = JsonPath.read(get("/api/work?from=" + today + "&to=" + today), "$[*]");
        assertThat(works).isNotEmpty().allSatisfy(work -> {
            assertThat(work.get("trays")).isEqualTo(listed.get((Integer) work.get("batch")));
            assertThat((String) work.get("lot")).isNotBlank();
        });
    }

    @Test
    void aBatchHasOneChanceOnEveryPage() throws Exception {
        Map<Integer, Double> listed = byId(get("/api/batches"), "$[*]", "number", "chance");
        Map<Integer, Double> onBoard = byId(get("/api/board"), "$.batches[*]", "number", "chance");
        assertThat(onBoard).hasSizeGreaterThan(50);
        onBoard.forEach(
                (batch, chance) -> assertThat(chance).as("batch " + batch).isEqualTo(listed.get(batch)));
    }

    /** Tender plants that stand out in a frost are named, and their order is not called as good as sure. */
    @Test
    void whatWillNotStandTheNightIsOnTheEveningListAndInTheChance() throws Exception {
        String round = get("/api/round");
        Map<Integer, Double> lost = byId(round, "$.evening[*]", "batch", "likelyLoss");
        Map<Integer, Double> plants = byId(round, "$.evening[*]", "batch", "plants");
        String batches = get("/api/batches");
        Map<Integer, Double> chances = byId(batches, "$[*]", "number", "chance");
        // Spares that nobody waits for may freeze without any order being the less sure for it.
        lost.keySet()
                .removeIf(batch ->
                        JsonPath.<List<Integer>>read(batches, "$[?(@.number == " + batch + ")].promises[*].outstanding")
                                .stream()
                                .allMatch(waiting -> waiting == 0));
        assertThat(lost).isNotEmpty();
        lost.forEach((batch, loss) -> assertThat(chances.get(batch))
                .as("batch " + batch)
                .isLessThanOrEqualTo(1 - loss / plants.get(batch) + 0.01));
    }

    /** A figure that opens shows parts that make it up. */
    @Test
    void whatStandsAtAPlaceAddsUpToHowFullItIs() throws Exception {
        String space = get("/api/space");
        String first = JsonPath.read(space, "$.firstDay");
        for (Map<String, Object> place : JsonPath.<List<Map<String, Object>>>read(space, "$.places[*]")) {
            String day = LocalDate.parse(first).plusDays(30).toString();
            String there = get("/api/space/standing?place=" + place.get("id") + "&day=" + day);
            double sum = JsonPath.<List<Number>>read(there, "$.standing[*].slots").stream()
                    .mapToDouble(Number::doubleValue)
                    .sum();
            assertThat(sum).isCloseTo(JsonPath.<Number>read(there, "$.used").doubleValue(), within(0.001));
            assertThat(sum).isCloseTo(((Number) ((List<?>) place.get("used")).get(30)).doubleValue(), within(0.01));
        }
    }

    @Test
    void theChanceOfALineIsMadeOfWhatItRestsOn() throws Exception {
        List<Map<String, Object>> lines =
                JsonPath.read(get("/api/orders"), "$[*].lines[?(@.released == 0 && @.chance > 0)]");
        assertThat(lines).hasSizeGreaterThan(20);
        for (Map<String, Object> line : lines) {
            String json = JsonPath.parse(line).jsonString();
            double product = JsonPath.<List<Number>>read(json, "$.supplies[?(@.counted == true)].chance").stream()
                    .mapToDouble(Number::doubleValue)
                    .reduce(1, (one, other) -> one * other);
            Map<?, ?> inPlace = (Map<?, ?>) line.get("inPlace");
            double seed = inPlace == null ? 1 : ((Number) inPlace.get("chance")).doubleValue();
            assertThat(product * seed).isCloseTo(((Number) line.get("chance")).doubleValue(), within(0.0001));
        }
    }

    @Test
    void whatIsKnownOfALotIsReachedByItsLessons() throws Exception {
        String needs = get("/api/seed-needs");
        int taught = 0;
        for (Map<String, Object> lot : JsonPath.<List<Map<String, Object>>>read(needs, "$.lots[*]")) {
            String known = get("/api/lots/" + lot.get("id") + "/knowledge");
            assertThat(JsonPath.<Number>read(known, "$.mean").doubleValue())
                    .isEqualTo(((Number) ((Map<?, ?>) lot.get("quality")).get("germination")).doubleValue());
            List<Number> means = JsonPath.read(known, "$.lessons[*].mean");
            if (!means.isEmpty()) {
                taught++;
                assertThat(means.get(means.size() - 1).doubleValue())
                        .isCloseTo(JsonPath.<Number>read(known, "$.mean").doubleValue(), within(1e-9));
            }
        }
        assertThat(taught).isGreaterThan(3);
    }

    private static Map<Integer, Double> byId(String json, String path, String id, String value) {
        Map<Integer, Double> values = new HashMap<>();
        JsonPath.<List<Map<String, Object>>>read(json, path)
                .forEach(each -> values.put((Integer) each.get(id), ((Number) each.get(value)).doubleValue()));
        return values;
    }

    private String get(String path) throws Exception {
        return http.perform(MockMvcRequestBuilders.get(path).with(user(propagator)))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }
}
