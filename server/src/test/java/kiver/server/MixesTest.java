package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Recipes are taken and changed, mixes made, cells filled from them; the store is the sum of it. */
@ServerTest
class MixesTest {

    @Autowired
    SmallNursery nursery;

    @BeforeEach
    void found() throws Exception {
        nursery.foundWithSeed(100_000);
        nursery.post(nursery.propagator, "/api/media/recipes/living/taking", "").andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/media/recipes/clean-fine/taking", "")
                .andExpect(status().isOk());
    }

    private String read(String path) throws Exception {
        return nursery.get(nursery.hand, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    private void deliver(String ingredient, String lot, double litres) throws Exception {
        nursery.post(nursery.hand, "/api/stock/deliveries", """
                {"requestId":"%s","ingredient":"%s","lot":"%s","supplier":"Mill yard","litres":%s}""".formatted(UUID.randomUUID(), ingredient, lot, litres))
                .andExpect(status().isOk());
    }

    private int mix(UUID request, String recipe, double litres) throws Exception {
        String made = nursery.post(nursery.hand, "/api/stock/mixes", """
                {"requestId":"%s","recipe":"%s","litres":%s}""".formatted(request, recipe, litres))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(made, "$.number");
    }

    private double inStore(String ingredient) throws Exception {
        return JsonPath.<List<Number>>read(
                        read("/api/stock"), "$.ingredients[?(@.code == '" + ingredient + "')].litres")
                .get(0)
                .doubleValue();
    }

    private double left(int mix) throws Exception {
        return JsonPath.<List<Number>>read(read("/api/stock"), "$.mixes[?(@.number == " + mix + ")].litres")
                .get(0)
                .doubleValue();
    }

    /** The worked recipe: 75 to 25, 10 % and 10 % of the base, 10 % of the running total shared by three. */
    @Test
    void theBarrowSheetIsMadeByTheRecipe() throws Exception {
        // 132 L of ingredients shrink by 15 %.
        String sheet = nursery.post(nursery.hand, "/api/barrow-sheets", "{\"recipe\":\"living\",\"litres\":112.2}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.lines", hasSize(7)))
                .andExpect(jsonPath("$.dusty").value(true))
                .andExpect(jsonPath("$.alive").value(true))
                .andExpect(jsonPath("$.worth.kind").value("NothingToCompare"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(JsonPath.<List<Number>>read(sheet, "$.lines[?(@.ingredient == 'Coir')].litres")
                        .get(0)
                        .doubleValue())
                .isCloseTo(75, within(1e-9));
        assertThat(JsonPath.<List<Number>>read(sheet, "$.lines[?(@.ingredient == 'Seaweed meal')].litres")
                        .get(0)
                        .doubleValue())
                .isCloseTo(4, within(1e-9));
        nursery.post(
                        nursery.hand,
                        "/api/barrow-sheets",
                        "{\"recipe\":\"living\",\"fills\":[{\"container\":\"pot-9\",\"count\":1}]}")
                .andExpect(jsonPath("$.worth.kind").value("BuyForSoFew"))
                .andExpect(jsonPath("$.fills[0].count").value(1));
    }

    @Test
    void aMixTakesOfTheOldestBagsAndIsMadeOnce() throws Exception {
        deliver("coir", "old", 30);
        deliver("coir", "new", 200);
        double before = inStore("coir");
        UUID request = UUID.randomUUID();
        int mix = mix(request, "clean-fine", 50);
        assertThat(mix(request, "clean-fine", 50)).isEqualTo(mix);
        // 50 L shrunk by 12 % of 130 parts to 100 of coir.
        double coir = 50 / 0.88 / 1.3;
        assertThat(before - inStore("coir")).isCloseTo(coir, within(0.001));
        assertThat(left(mix)).isEqualTo(50);
        String parts = read("/api/stock");
        assertThat(JsonPath.<List<String>>read(
                        parts, "$.mixes[?(@.number == " + mix + ")].parts[?(@.ingredient == 'Coir')].lot"))
                .containsExactly("old", "new");
        assertThat(JsonPath.<List<String>>read(
                        parts, "$.mixes[?(@.number == " + mix + ")].parts[?(@.ingredient == 'Perlite')].lot"))
                .containsExactly("?");
    }

    @Test
    void cellsAreFilledFromItOnceAndTheTraceFollowsIt() throws Exception {
        int mix = mix(UUID.randomUUID(), "clean-fine", 20);
        int batch = nursery.batchOf(nursery.order(30));
        int tray = JsonPath.read(read("/api/batches/" + batch), "$.layout.toSow[0].tray");
        int last = JsonPath.read(read("/api/batches/" + batch), "$.layout.toSow[0].lastCell");
        String entry = """
                {"requestId":"%s","tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":1,"lotId":%d,"mix":%d,"placeId":1}""".formatted(UUID.randomUUID(), tray, last, nursery.lotId, mix);
        nursery.post(nursery.hand, "/api/batches/" + batch + "/sowings", entry).andExpect(status().isOk());
        double left = left(mix);
        assertThat(left).isLessThan(20);
        nursery.post(nursery.hand, "/api/batches/" + batch + "/sowings", entry).andExpect(status().isOk());
        assertThat(left(mix)).isEqualTo(left);
        nursery.get(nursery.hand, "/api/traces/mix?medium=Clean fine mix, mix " + mix)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.promised[*].batch", hasItem(batch)));
        nursery.post(
                        nursery.hand,
                        "/api/stock/counts",
                        "{\"requestId\":\"%s\",\"mix\":%d,\"litres\":3.5}".formatted(UUID.randomUUID(), mix))
                .andExpect(status().isOk());
        assertThat(left(mix)).isCloseTo(3.5, within(1e-9));
    }

    @Test
    void thePlanSaysWhatMixItNeedsAndWhatMustBeBought() throws Exception {
        deliver("coir", "a little", 1);
        int batch = nursery.batchOf(nursery.order(60));
        String needs = read("/api/mix-needs");
        assertThat(JsonPath.<List<Integer>>read(needs, "$.needs[*].batch")).contains(batch);
        assertThat(JsonPath.<List<String>>read(needs, "$.toBuy[*].ingredient")).contains("Perlite");
        nursery.post(nursery.propagator, "/api/promises", "{\"text\":\"60 test kale, 25 April, Near\"}")
                .andExpect(jsonPath("$.lines[0].plan.promise.conditions[?(@.kind == 'MixToBuy')]", hasSize(0)));
        nursery.post(nursery.propagator, "/api/promises", "{\"text\":\"60 test kale, 15 April, Near\"}")
                .andExpect(jsonPath(
                        "$.lines[0].plan.promise.conditions[?(@.kind == 'MixToBuy')].ingredient", hasItem("Perlite")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[]|[]|0.1|A recipe begins with a base",
                "[{\"ingredient\":\"coir\",\"parts\":0}]|[]|0.1|parts of coir cannot be measured",
                "[{\"ingredient\":\"coir\",\"parts\":1}]|[{\"ingredients\":[\"perlite\"],\"share\":1.4,\"of\":\"BASE\"}]|0.1|Addition 1 is 140 %",
                "[{\"ingredient\":\"coir\",\"parts\":1},{\"ingredient\":\"coir\",\"parts\":2}]|[]|0.1|coir stands twice",
                "[{\"ingredient\":\"moon-dust\",\"parts\":1}]|[]|0.1|There is no ingredient moon-dust",
                "[{\"ingredient\":\"coir\",\"parts\":1}]|[]|0.9|Enter 0 to 50 %"
            })
    void aRecipeThatIsNoneIsRefusedWithWhatIsWrong(String base, String additions, double shrinkage, String words)
            throws Exception {
        nursery.put(nursery.propagator, "/api/media/recipes/odd", """
                {"version":0,"name":"Odd","use":"SOWING","base":%s,"additions":%s,"water":0.3,"wetness":"HOLDS_TOGETHER",
                 "shrinkage":%s,"packing":1,"life":"CLEAN","reserveDays":14}""".formatted(base, additions, shrinkage))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString(words)));
    }

    /** What is sown on a day stands together by mix, container and depth, with what the hand must know. */
    @Test
    void theListOfTheDayGroupsWhatIsSownInOneGo() throws Exception {
        int batch = nursery.batchOf(nursery.order(30));
        int other = nursery.batchOf(nursery.order(40));
        String day = JsonPath.read(read("/api/batches/" + batch), "$.plan.sowDay");
        String list = read("/api/sowing-list?day=" + day);
        assertThat(JsonPath.<List<Integer>>read(list, "$.groups[0].sowings[*].batch"))
                .contains(batch, other);
        assertThat(JsonPath.<String>read(list, "$.groups[0].container")).isEqualTo("module-60");
        String own = "$.groups[0].sowings[?(@.batch == " + batch + ")]";
        int cells = JsonPath.<List<Integer>>read(list, own + ".runs[*].lastCell")
                        .get(0)
                - JsonPath.<List<Integer>>read(list, own + ".runs[*].firstCell").get(0)
                + 1;
        assertThat(JsonPath.<List<Integer>>read(list, own + ".seeds").get(0))
                .isEqualTo(cells
                        * JsonPath.<List<Integer>>read(list, own + ".seedsPerCell")
                                .get(0));
        for (String format : List.of("ROLL", "STAKE", "SHEET_24", "SHEET_65", "LETTER_30")) {
            byte[] pdf = nursery.get(
                            nursery.hand, "/api/labels.pdf?batches=" + batch + "," + other + "&format=" + format)
                    .andExpect(status().isOk())
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray();
            try (PDDocument paper = Loader.loadPDF(pdf)) {
                String text = new PDFTextStripper().getText(paper);
                assertThat(text).contains("Test kale", ", cells " + 1 + " to ");
                assertThat(paper.getNumberOfPages()).isEqualTo(format.equals("ROLL") || format.equals("STAKE") ? 2 : 1);
            }
        }
        nursery.get(nursery.hand, "/api/labels.pdf?batches=" + batch + "&format=POSTER")
                .andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/labels.pdf?batches=4711").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/labels.pdf?batches=" + batch).andExpect(status().isForbidden());
        nursery.get(nursery.hand, "/api/sowing-list?day=1999-01-01").andExpect(status().isUnprocessableContent());
        nursery.get(nursery.grower, "/api/sowing-list").andExpect(status().isForbidden());
    }

    @Test
    void theStoreIsWalkedAsTheNurserySaysAndWhatHasNoSpotComesLast() throws Exception {
        int batch = nursery.batchOf(nursery.order(30));
        String day = JsonPath.read(read("/api/batches/" + batch), "$.plan.sowDay");
        String lot = JsonPath.read(read("/api/sowing-list?day=" + day), "$.groups[0].sowings[0].lot");
        String kept = "{\"kind\":\"%s\",\"code\":\"%s\",\"spot\":\"%s\"}";
        nursery.put(nursery.hand, "/api/store/kept-at", kept.formatted("PACKET", lot, " Tin 3 "))
                .andExpect(status().isOk());
        nursery.put(nursery.hand, "/api/store/kept-at", kept.formatted("CONTAINER", "module-60", "Rack"))
                .andExpect(jsonPath("$.spots", contains("Tin 3", "Rack")));
        assertThat(JsonPath.<List<String>>read(read("/api/sowing-list?day=" + day), "$.store[*].spot"))
                .startsWith("Tin 3", "Rack");
        nursery.put(nursery.hand, "/api/store/spots", "{\"spots\":[\"Rack\",\"Tin 3\"]}")
                .andExpect(status().isOk());
        String list = read("/api/sowing-list?day=" + day);
        assertThat(JsonPath.<List<String>>read(list, "$.store[*].spot")).startsWith("Rack", "Tin 3");
        assertThat(JsonPath.<List<Double>>read(list, "$.store[0].things[?(@.kind == 'CONTAINER')].amount"))
                .containsExactly(JsonPath.<List<Integer>>read(list, "$.groups[*].sowings[*].runs[*].tray").stream()
                                .distinct()
                                .count()
                        * 1.0);
        nursery.put(nursery.hand, "/api/store/spots", "{\"spots\":[\"Rack\",\"Rack\"]}")
                .andExpect(jsonPath("$.errors[0].message", containsString("changed meanwhile")));
        nursery.put(nursery.hand, "/api/store/kept-at", kept.formatted("PACKET", "nonsense", "Rack"))
                .andExpect(jsonPath("$.errors[0].message", containsString("nonsense")));
        nursery.put(nursery.hand, "/api/store/kept-at", kept.formatted("BARROW", lot, "Rack"))
                .andExpect(status().is4xxClientError());
        nursery.put(nursery.grower, "/api/store/kept-at", kept.formatted("PACKET", lot, "Rack"))
                .andExpect(status().isForbidden());
        nursery.put(nursery.hand, "/api/store/kept-at", kept.formatted("PACKET", lot, ""))
                .andExpect(jsonPath("$.spots", contains("Rack")));
    }

    @Test
    void recipesAreChangedByTheirVersionAndOnlyByThePropagator() throws Exception {
        String body = """
                {"version":%d,"name":"Own mix","use":"SOWING","base":[{"ingredient":"coir","parts":1}],"additions":[],"water":0.3,
                 "wetness":"HOLDS_TOGETHER","shrinkage":0.1,"packing":1,"life":"CLEAN","reserveDays":14}""";
        nursery.put(nursery.hand, "/api/media/recipes/own", body.formatted(0)).andExpect(status().isForbidden());
        nursery.put(nursery.propagator, "/api/media/recipes/own", body.formatted(0))
                .andExpect(status().isOk());
        nursery.put(nursery.propagator, "/api/media/recipes/own", body.formatted(0))
                .andExpect(jsonPath("$.errors[0].message", containsString("already")));
        nursery.put(nursery.propagator, "/api/media/recipes/own", body.formatted(1))
                .andExpect(status().isOk());
        nursery.put(nursery.propagator, "/api/media/recipes/own", body.formatted(1))
                .andExpect(jsonPath("$.errors[0].message", containsString("Somebody changed this recipe")));
        nursery.post(nursery.propagator, "/api/media/recipes/own/usual", "").andExpect(status().isOk());
        assertThat(JsonPath.<List<String>>read(
                        read("/api/media"), "$.recipes[?(@.usual == true && @.use == 'SOWING')].code"))
                .containsExactly("own");
        nursery.post(nursery.propagator, "/api/media/recipes/own/retirement", "{\"retired\":true}")
                .andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/media/recipes/living/usual", "").andExpect(status().isOk());
        nursery.get(nursery.grower, "/api/media").andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/stock").andExpect(status().isForbidden());
        nursery.post(nursery.propagator, "/api/media/recipes/nothing/taking", "")
                .andExpect(status().isNotFound());
        nursery.post(
                        nursery.hand,
                        "/api/stock/mixes",
                        "{\"requestId\":\"%s\",\"recipe\":\"none\",\"litres\":1}".formatted(UUID.randomUUID()))
                .andExpect(status().isNotFound());
    }
}
