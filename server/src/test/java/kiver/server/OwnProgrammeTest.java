package kiver.server;

import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A nursery writes down how it hardens; a batch keeps the programme it began with. */
@ServerTest
class OwnProgrammeTest {

    private static final String PROGRAMMES = "/api/hardening/programmes";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    private static String programme(String name, String... days) {
        return "{\"name\":\"%s\",\"days\":[%s]}".formatted(name, String.join(",", days));
    }

    private static String day(int hours, String night) {
        return "{\"hours\":%d,\"inSun\":true,\"inWind\":false,\"night\":\"%s\"}".formatted(hours, night);
    }

    @Test
    void itIsWrittenDownChosenAndChangedWithoutChangingWhatBegan() throws Exception {
        nursery.found();
        nursery.order(20);
        int batch = batches.files().get(0).batch().number();
        CellRun run = batches.file(batch).runs().get(0);
        nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(40));

        String code = JsonPath.read(
                nursery.post(
                                nursery.propagator,
                                PROGRAMMES,
                                programme("Under the pear tree", day(4, "IN"), day(8, "COVERED")))
                        .andExpect(status().isOk())
                        .andExpect(jsonPath("$.days[1].hours").value(24))
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.code");
        nursery.get(nursery.hand, PROGRAMMES)
                .andExpect(jsonPath("$[?(@.own == false)]", hasSize(4)))
                .andExpect(jsonPath("$[?(@.own)].name", hasItem("Under the pear tree")));
        nursery.get(nursery.hand, "/api/choices").andExpect(jsonPath("$.programmes[*].programme", hasItem(code)));

        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"%s\"".formatted(code))
                .andExpect(status().isOk());
        nursery.put(nursery.propagator, PROGRAMMES + "/" + code, programme("Pear", day(2, "IN")))
                .andExpect(status().isOk());

        nursery.get(nursery.hand, "/api/hardening")
                .andExpect(jsonPath("$.batches[0].programmeName").value("Under the pear tree"))
                .andExpect(jsonPath("$.batches[0].ofDays").value(2))
                .andExpect(jsonPath("$.batches[0].days[0].hours").value(4))
                .andExpect(jsonPath("$.batches[0].days[1].night").value("COVERED"));

        nursery.post(nursery.propagator, PROGRAMMES + "/" + code + "/retirements", "{}")
                .andExpect(status().isOk());
        nursery.get(nursery.hand, PROGRAMMES).andExpect(jsonPath("$[*].code", not(hasItem(code))));
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"%s\"".formatted(code))
                .andExpect(jsonPath("$.errors[0].field").value("programme"));
    }

    @Test
    void nonsenseIsRefusedInWords() throws Exception {
        nursery.found();
        String tooLong = programme(
                "Too long", Stream.generate(() -> day(2, "IN")).limit(31).collect(Collectors.joining(",")));
        Map<String, String> refused = Map.of(
                "name", programme(" ", day(2, "IN")),
                "days", programme("No day"),
                "days[0].hours", programme("Too long a day", day(25, "IN")));
        for (Map.Entry<String, String> each : refused.entrySet()) {
            nursery.post(nursery.propagator, PROGRAMMES, each.getValue())
                    .andExpect(status().is4xxClientError())
                    .andExpect(jsonPath("$.errors[0].field").value(each.getKey()));
        }
        nursery.post(nursery.propagator, PROGRAMMES, tooLong)
                .andExpect(jsonPath("$.errors[0].field").value("days"));
        nursery.put(nursery.propagator, PROGRAMMES + "/BY_DAY", programme("Mine", day(2, "IN")))
                .andExpect(jsonPath("$.errors[0].field").value("code"));
        nursery.put(nursery.propagator, PROGRAMMES + "/OWN-999", programme("Mine", day(2, "IN")))
                .andExpect(jsonPath("$.errors[0].field").value("code"));
        nursery.post(nursery.propagator, PROGRAMMES, programme("Twice", day(2, "IN")))
                .andExpect(status().isOk());
        nursery.post(nursery.propagator, PROGRAMMES, programme("TWICE", day(2, "IN")))
                .andExpect(jsonPath("$.errors[0].field").value("name"));
        nursery.post(nursery.hand, PROGRAMMES, programme("Hand's", day(2, "IN")))
                .andExpect(status().isForbidden());
    }
}
