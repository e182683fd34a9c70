package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.CropCode;
import kiver.core.crop.CropSheet;
import kiver.core.place.PlaceId;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.crop.LibraryBook;
import kiver.server.crop.PaceTellings;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Batches that came up late teach; what they teach is proposed, and moves plans only once somebody takes it. */
@ServerTest
class LessonsTest {

    private static final String OF_THE_PLACE = "$.proposals[?(@.matter=='EMERGENCE' && @.beside=='PLACE')]";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    CropBook crops;

    @Autowired
    LibraryBook library;

    @Autowired
    PaceTellings tellings;

    private CropCode kind;

    private double longer() {
        return crops.crop(kind).emergence().taught().longerAt(new PlaceId(1));
    }

    private String ready(int batch) throws Exception {
        String view = nursery.get(nursery.hand, "/api/batches/" + batch)
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(view, "$.summary.dates.ready.middle");
    }

    /** Sown long ago, and only now half up. */
    private void comesUpLate(int batch) throws Exception {
        CellRun run = batches.file(batch).runs().get(0);
        int tray = trays.tray(run.tray()).number();
        nursery.sow(batch, tray, run.last(), SmallNursery.TODAY.minusDays(7));
        count(batch, tray, run, 6, 1);
        count(batch, tray, run, 2, 0);
    }

    /** One cell in so many is up, so many days ago. */
    private void count(int batch, int tray, CellRun run, int oneIn, int daysAgo) throws Exception {
        String cells = IntStream.rangeClosed(1, run.last())
                .mapToObj(cell -> "{\"cell\":%d,\"seedlings\":%d}".formatted(cell, cell % oneIn == 0 ? 1 : 0))
                .collect(Collectors.joining(","));
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[%s],\"complete\":false,\"day\":\"%s\""
                                .formatted(tray, cells, SmallNursery.TODAY.minusDays(daysAgo)))
                .andExpect(status().isOk());
    }

    private static String entry(UUID request, String matter, CropCode crop, boolean taken) {
        return "{\"requestId\":\"%s\",\"matter\":\"%s\",\"crop\":\"%s\",\"beside\":\"PLACE\",\"number\":1,\"taken\":%s}"
                .formatted(request, matter, crop.written(), taken);
    }

    @Test
    void whatIsTakenMovesPlansAndIsUndone() throws Exception {
        nursery.found();
        nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath("$.proposals", hasSize(0)))
                .andExpect(jsonPath("$.decisions", hasSize(0)));
        for (int order = 0; order < 4; order++) {
            nursery.order(20);
        }
        List<Integer> numbers =
                batches.files().stream().map(file -> file.batch().number()).toList();
        kind = batches.file(numbers.get(0)).batch().crop();
        for (int index = 0; index < 3; index++) {
            comesUpLate(numbers.get(index));
        }
        assertThat(tellings.ofEmergence().told(kind)).hasSize(3).allMatch(each -> each.log() > 0.05);
        int next = numbers.get(3);
        String before = ready(next);
        nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath(OF_THE_PLACE, hasSize(1)))
                .andExpect(jsonPath(OF_THE_PLACE + ".batches").value(3))
                .andExpect(jsonPath(OF_THE_PLACE + ".value").value(everyItem(greaterThan(1.05))))
                .andExpect(jsonPath(OF_THE_PLACE + ".inUse").value(1.0))
                .andExpect(jsonPath(OF_THE_PLACE + ".told[*]", hasSize(3)));
        assertThat(longer()).as("nobody took it yet").isEqualTo(1);

        UUID request = UUID.randomUUID();
        String taken = entry(request, "EMERGENCE", kind, true);
        nursery.post(nursery.hand, "/api/lessons/decisions", taken).andExpect(status().isForbidden());
        nursery.post(nursery.propagator, "/api/lessons/decisions", taken).andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/lessons/decisions", taken).andExpect(status().isOk());
        assertThat(longer()).isGreaterThan(1.05);
        assertThat(ready(next)).isGreaterThan(before);
        String view = nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath("$.decisions", hasSize(1)))
                .andExpect(jsonPath("$.decisions[0].was").value(1.0))
                .andExpect(jsonPath(OF_THE_PLACE, hasSize(0)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        nursery.post(nursery.propagator, "/api/lessons/decisions", entry(UUID.randomUUID(), "EMERGENCE", kind, true))
                .andExpect(status().isUnprocessableContent());

        int id = JsonPath.read(view, "$.decisions[0].id");
        String undo = "{\"requestId\":\"%s\"}";
        nursery.post(nursery.propagator, "/api/lessons/decisions/" + id + "/undo", undo.formatted(UUID.randomUUID()))
                .andExpect(status().isOk());
        assertThat(longer()).isEqualTo(1);
        assertThat(ready(next)).isEqualTo(before);
        nursery.post(nursery.propagator, "/api/lessons/decisions/" + id + "/undo", undo.formatted(UUID.randomUUID()))
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.propagator, "/api/lessons/decisions/9999/undo", undo.formatted(UUID.randomUUID()))
                .andExpect(status().isNotFound());

        nursery.post(nursery.propagator, "/api/lessons/decisions", entry(UUID.randomUUID(), "EMERGENCE", kind, false))
                .andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath(OF_THE_PLACE, hasSize(0)))
                .andExpect(jsonPath("$.decisions[0].taken").value(false));
        assertThat(longer()).isEqualTo(1);

        nursery.post(nursery.propagator, "/api/lessons/decisions", entry(UUID.randomUUID(), "COLOUR", kind, true))
                .andExpect(status().is4xxClientError());
        nursery.get(nursery.grower, "/api/lessons").andExpect(status().isForbidden());

        // Beside figures that say it themselves the same counts teach nothing more.
        double days = library.library().crop(kind).orElseThrow().emergence().daysAtBest();
        double told = tellings.ofEmergence().told(kind).get(0).log();
        nursery.put(nursery.propagator, "/api/sheets/crops/rows", json(row(days * Math.exp(told))))
                .andExpect(status().isOk());
        assertThat(tellings.ofEmergence().told(kind)).hasSize(3).allMatch(each -> Math.abs(each.log()) < 0.05);
    }

    /** Tray after tray, one minute apart, as a phone says when each was entered. */
    @Test
    void theTimesOfEntriesTellHowLongSowingTakes() throws Exception {
        nursery.found();
        nursery.put(nursery.propagator, "/api/lessons/work/SOWING", "")
                .andExpect(jsonPath("$.errors[0].field").value("work"));
        int order = nursery.order(20);
        CellRun run = batches.file(nursery.batchOf(order)).runs().get(0);
        for (int entry = 0; entry < 6; entry++) {
            nursery.recordAt(
                            "08:0" + entry,
                            nursery.hand,
                            nursery.batchOf(order),
                            "sowings",
                            "\"tray\":%d,\"firstCell\":%d,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                    .formatted(
                                            trays.tray(run.tray()).number(),
                                            run.first() + 2 * entry,
                                            run.first() + 2 * entry + 1,
                                            nursery.lotId))
                    .andExpect(status().isOk());
        }
        nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath("$.work[0].work").value("SOWING"))
                .andExpect(jsonPath("$.work[0].seen.seconds").value(30.0));
        nursery.put(nursery.hand, "/api/lessons/work/SOWING", "").andExpect(status().isForbidden());
        nursery.put(nursery.propagator, "/api/lessons/work/SOWING", "").andExpect(status().isOk());
        nursery.get(nursery.hand, "/api/lessons")
                .andExpect(jsonPath("$.work[0].inUse").value(30.0));
        nursery.put(nursery.propagator, "/api/lessons/work/SLEEPING", "").andExpect(status().is4xxClientError());
    }

    private Map<String, String> row(double days) {
        Map<String, String> row = new java.util.LinkedHashMap<>(
                CropSheet.write(library.library().crop(kind).orElseThrow()).entries());
        row.put("emergence_days_at_best", String.valueOf(days));
        return row;
    }

    private static String json(Map<String, String> row) {
        return LeavesTeachTest.json(row);
    }
}
