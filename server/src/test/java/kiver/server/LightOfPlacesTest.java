package kiver.server;

import static org.hamcrest.Matchers.closeTo;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.place.PlaceBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What makes the light of a place is tried and kept; what stretches there is told where it would be better off. */
@ServerTest
class LightOfPlacesTest {

    private static final String BRIGHT = made("0.8", "OVERHEAD", "0,\"sunUntil\":24", "0", "150", "16");
    private static final String DARK = made("0", "OVERHEAD", "0,\"sunUntil\":24", "0", "20", "14");

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    PlaceBook places;

    private long here;

    private static String made(String share, String aspect, String sun, String cloth, String flux, String hours) {
        return """
                {"daylightShare":%s,"aspect":"%s","sunFrom":%s,"clothTakes":%s,"lampFlux":%s,"lampHours":%s,
                 "lampDistance":300}""".formatted(share, aspect, sun, cloth, flux, hours);
    }

    /** Twenty days old and up. */
    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
            int batch = batches.files().get(0).batch().number();
            CellRun run = batches.file(batch).runs().get(0);
            nursery.growUp(batch, trays.tray(run.tray()).number(), run.last(), SmallNursery.TODAY.minusDays(20));
        }
        here = batches.files().get(0).state().place().orElseThrow().number();
    }

    private String of() {
        return "/api/places/" + here + "/light";
    }

    @Test
    void whatIsTriedIsToldAndNotKept() throws Exception {
        nursery.put(nursery.propagator, of(), BRIGHT).andExpect(status().isOk());
        nursery.post(nursery.hand, of() + "/trials", DARK)
                .andExpect(jsonPath("$.lampLight").value(closeTo(20 * 14 * 0.0036, 1e-9)))
                .andExpect(jsonPath("$.state.dark.batches", hasSize(1)))
                .andExpect(jsonPath("$.lampsCould.hours").doesNotExist())
                .andExpect(jsonPath("$.weeks", hasSize(52)));
        nursery.get(nursery.hand, of())
                .andExpect(jsonPath("$.lampLight").value(closeTo(8.64, 1e-9)))
                .andExpect(jsonPath("$.state.dark").doesNotExist())
                .andExpect(jsonPath("$.growing[0].moves", hasSize(0)))
                .andExpect(jsonPath("$.growing[0].plenty").value(greaterThan(1.0)));
        nursery.post(nursery.hand, of() + "/trials", BRIGHT.replace("300", "150"))
                .andExpect(jsonPath("$.lampFluxThere").value(closeTo(300, 1e-9)));
    }

    @Test
    void whatStretchesIsOfferedAPlaceWithLight() throws Exception {
        nursery.put(nursery.propagator, of(), DARK).andExpect(status().isOk());
        nursery.get(nursery.hand, of())
                .andExpect(jsonPath("$.growing[0].moves[*].placeId", not(hasItem((int) here))))
                .andExpect(jsonPath("$.growing[0].moves[*].fits", everyItem(org.hamcrest.Matchers.is(true))))
                .andExpect(jsonPath("$.growing[0].moves.length()").value(greaterThan(0)));
        nursery.get(nursery.hand, "/api/round")
                .andExpect(jsonPath("$.stops[?(@.placeId == " + here + ")].light.dark.batches[*]", hasSize(1)));
    }

    @Test
    void nonsenseIsRefusedAndNothingChanges() throws Exception {
        nursery.put(nursery.propagator, of(), BRIGHT).andExpect(status().isOk());
        String[][] wrong = {
            {made("1.2", "OVERHEAD", "0,\"sunUntil\":24", "0", "150", "16"), "0 to 100"},
            {made("0.8", "SOUTH", "15,\"sunUntil\":9", "0", "150", "16"), "after it has come"},
            {made("0.8", "OVERHEAD", "0,\"sunUntil\":24", "0.5", "150", "16"), "cloth is drawn"},
            {made("0.8", "OVERHEAD", "0,\"sunUntil\":24", "0", "9000", "16"), "2,000"},
            {made("0.8", "OVERHEAD", "0,\"sunUntil\":24", "0", "150", "25"), "24 hours"},
            {made("0.8", "OVERHEAD", "-1,\"sunUntil\":24", "0", "150", "16"), "24 hours"},
            {BRIGHT.replace("300", "0"), "10 to 5,000"},
        };
        for (String[] each : wrong) {
            for (String path : new String[] {of(), of() + "/trials"}) {
                (path.equals(of())
                                ? nursery.put(nursery.propagator, path, each[0])
                                : nursery.post(nursery.propagator, path, each[0]))
                        .andExpect(status().isUnprocessableContent())
                        .andExpect(jsonPath("$.errors[0].message", containsString(each[1])));
            }
        }
        nursery.put(nursery.propagator, of(), BRIGHT.replace("OVERHEAD", "SIDEWAYS"))
                .andExpect(status().is4xxClientError());
        nursery.put(nursery.hand, of(), DARK).andExpect(status().isForbidden());
        nursery.get(nursery.grower, of()).andExpect(status().isForbidden());
        nursery.get(nursery.hand, "/api/places/4711/light").andExpect(status().isNotFound());
        nursery.put(nursery.propagator, "/api/places/4711/light", BRIGHT).andExpect(status().isNotFound());
        nursery.get(nursery.hand, of()).andExpect(jsonPath("$.lampLight").value(closeTo(8.64, 1e-9)));
    }

    @Test
    void itGoesOutAndComesInAsARowOfTheSheet() throws Exception {
        nursery.put(
                        nursery.propagator,
                        of(),
                        made("0.6", "SOUTH", "7.5,\"sunUntil\":15", "0.4,\"clothAbove\":22", "150", "16"))
                .andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/sheets/places")
                .andExpect(jsonPath("$.rows[*][*]", hasItem("south")))
                .andExpect(jsonPath("$.rows[*][*]", hasItem("22")));
        String earlier = """
                {"entries":{"name":"Old shelf","walking_order":"77","slots":"4","day_set_point":"20","night_set_point":"16",
                 "gain_by_day":"","gain_by_night":"","floor":"","daylight_share":"0.1","lamp_light":"8.64",
                 "for_emergence":"no","for_growing_on":"yes","for_hardening_off":"no","caution":""}}""";
        nursery.put(nursery.propagator, "/api/sheets/places/rows", earlier).andExpect(status().isOk());
        long shelf = places.places().stream()
                .filter(place -> place.name().equals("Old shelf"))
                .findFirst()
                .orElseThrow()
                .id()
                .number();
        nursery.get(nursery.hand, "/api/places/" + shelf + "/light")
                .andExpect(jsonPath("$.madeBy.lampFlux").value(closeTo(150, 1e-6)))
                .andExpect(jsonPath("$.madeBy.lampHours").value(16.0));
    }
}
