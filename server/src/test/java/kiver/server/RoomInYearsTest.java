package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Room over all past years, and a season tried in one of them, as the screens ask for it. */
class RoomInYearsTest extends DeskOfTheSeason {

    private String asked(String path) throws Exception {
        return nursery.get(nursery.hand, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void yearsToChooseFromSayWhatTheyAreRememberedFor() throws Exception {
        List<Map<String, Object>> years = JsonPath.read(asked("/api/space/years"), "$.years");
        assertThat(years).hasSizeGreaterThan(5);
        Map<String, Object> coldest = years.stream()
                .min(Comparator.comparingDouble(year -> ((Number) year.get("spring")).doubleValue()))
                .orElseThrow();
        assertThat((List<?>) coldest.get("rememberedFor")).asString().contains("COLDEST_SPRING");
        assertThat(years.stream()
                        .filter(year -> year.get("rememberedFor").toString().contains("HOTTEST_EARLY_SUMMER")))
                .hasSize(1);
    }

    @Test
    void whatLacksRoomAsMostLikelyLacksItInManyYears() throws Exception {
        batch(2200);
        List<Map<String, Object>> likely = JsonPath.read(asked("/api/space"), "$.overflows");
        assertThat(likely).isNotEmpty();
        List<Map<String, Object>> risks = JsonPath.read(asked("/api/space/spread"), "$.risks");
        Map<String, Object> worst = likely.get(0);
        assertThat(risks).anySatisfy(risk -> {
            assertThat(risk.get("placeId")).isEqualTo(worst.get("placeId"));
            assertThat((Double) risk.get("share")).isGreaterThan(0.4);
            assertThat((Double) risk.get("overInNineOfTen")).isGreaterThanOrEqualTo((Double) risk.get("overInHalf"));
        });
    }

    @Test
    void aSeasonInOnePastYearNamesWhatIsLate() throws Exception {
        int batch = batch(20);
        List<Map<String, Object>> years = JsonPath.read(asked("/api/space/years"), "$.years");
        int late = 0;
        for (Map<String, Object> year : years) {
            String course = asked("/api/space/in-year?year=" + year.get("year"));
            List<Map<String, Object>> broken =
                    JsonPath.read(course, "$.broken[?(@.batch == " + batch + " && @.goesWrong == 'LATE')]");
            for (Map<String, Object> each : broken) {
                late++;
                assertThat(LocalDate.parse(each.get("day").toString()))
                        .isAfter(LocalDate.parse(each.get("target").toString()));
            }
        }
        String chance = asked("/api/batches/" + batch);
        // Counted year by year at the middling pace, it is late as often as its chance of being in time lets one
        // expect.
        double inTime = JsonPath.read(chance, "$.chances.inTime");
        assertThat(late / (double) years.size()).isLessThanOrEqualTo(1 - inTime + 0.25);
    }

    @Test
    void aYearThatIsNotKnownIsRefusedWithThoseThatAre() throws Exception {
        nursery.get(nursery.hand, "/api/space/in-year?year=1066")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("year"))
                .andExpect(jsonPath("$.errors[0].message", containsString("The weather of 1066 is not known whole")));
        nursery.get(nursery.hand, "/api/space/in-year?year=spring").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/space/in-year").andExpect(status().is4xxClientError());
    }
}
