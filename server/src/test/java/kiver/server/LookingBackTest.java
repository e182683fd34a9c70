package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.greaterThanOrEqualTo;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.outlook.ToldBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What was sown, came up, lived, was hardened, went out and stood adds up from the record, however it is taken together. */
@ServerTest
class LookingBackTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    ToldBook told;

    @Test
    void theStepsOfASowingAreCountedToItsLosses() throws Exception {
        nursery.found();
        nursery.get(nursery.hand, "/api/looking-back")
                .andExpect(jsonPath("$.all.sown").value(0));
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":null").andExpect(status().isOk());
        int note = JsonPath.read(
                nursery.release(UUID.randomUUID(), order, 15)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        nursery.post(
                        nursery.grower,
                        "/api/releases/" + note + "/losses",
                        "{\"requestId\":\"%s\",\"line\":1,\"plants\":4,\"reason\":\"SLUGS\"}"
                                .formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        for (String by : List.of("CROP", "LOT", "PLACE", "MIX", "MONTH", "PERSON")) {
            nursery.get(nursery.hand, "/api/looking-back?by=" + by)
                    .andExpect(jsonPath("$.groups", hasSize(1)))
                    .andExpect(jsonPath("$.groups[0].fall.sown").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.emerged").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.hardened").value(run.last()))
                    .andExpect(jsonPath("$.groups[0].fall.released").value(15))
                    .andExpect(jsonPath("$.all.stood").value(11))
                    .andExpect(jsonPath("$.cost.all.seed").value(greaterThanOrEqualTo(0.0)));
        }
        nursery.get(nursery.hand, "/api/looking-back?by=PERSON")
                .andExpect(jsonPath("$.groups[0].name").value(nursery.hand.name()));
        nursery.get(nursery.hand, "/api/looking-back?by=COLOUR").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/looking-back?year=90000").andExpect(status().is4xxClientError());
        nursery.get(nursery.grower, "/api/looking-back").andExpect(status().isForbidden());
    }

    @Test
    void forecastsAreKeptOnceAWeekAndHeldAgainstWhatHappened() throws Exception {
        nursery.found();
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        nursery.get(nursery.hand, "/api/forecast-changes").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/forecast-changes").andExpect(status().isOk());
        LocalDate today = SmallNursery.TODAY;
        assertThat(told.bands(today, today))
                .extracting(ToldBook.BandRow::matter)
                .contains(Matter.EMERGENCE, Matter.LEAVES);
        assertThat(told.chances(today, today)).isNotEmpty().allMatch(row -> row.chance() >= 0 && row.chance() <= 1);
        nursery.get(nursery.hand, "/api/looking-back/honesty")
                .andExpect(jsonPath("$.bands", hasSize(0)))
                .andExpect(jsonPath("$.chances", hasSize(0)));
        nursery.get(nursery.hand, "/api/looking-back/honesty?year=90000").andExpect(status().is4xxClientError());
        nursery.get(nursery.grower, "/api/looking-back/honesty").andExpect(status().isForbidden());
        assertThat(batch).isPositive();
    }

    @Test
    void notesOfTheSameWeekInEarlierYearsAreFoundAgain() throws Exception {
        nursery.found();
        int order = nursery.order(20);
        int batch = nursery.batchOf(order);
        nursery.record(nursery.hand, batch, "notes", "\"text\":\"First swallows\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "notes", "\"text\":\"Wrong batch\"").andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "corrections", "\"sequence\":2,\"reason\":\"wrong batch\"")
                .andExpect(status().isOk());
        LocalDate inTwoYears = SmallNursery.TODAY.plusYears(2);
        nursery.get(nursery.hand, "/api/notes?around=" + inTwoYears.plusDays(3))
                .andExpect(jsonPath("$", hasSize(1)))
                .andExpect(jsonPath("$[0].text").value("First swallows"))
                .andExpect(jsonPath("$[0].day").value(SmallNursery.TODAY.toString()));
        nursery.get(nursery.hand, "/api/notes?around=" + inTwoYears.plusDays(4)).andExpect(jsonPath("$", hasSize(0)));
        nursery.get(nursery.hand, "/api/notes?around=" + SmallNursery.TODAY).andExpect(jsonPath("$", hasSize(0)));
        nursery.get(nursery.hand, "/api/notes?around=yesterday").andExpect(status().is4xxClientError());
        nursery.get(nursery.hand, "/api/notes?around=9999-01-01").andExpect(status().is4xxClientError());
    }
}
