package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import kiver.core.crop.CropCode;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.seed.SeedLot;
import kiver.server.wording.Wording;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

/** Several at once: nothing is promised twice, no cell is filled twice, nobody overwrites what another did. */
class RacingTest extends AttackedNursery {

    @Test
    void aRequestNumberIsBoundToWhoSentItAndToWhatWasInIt() throws Exception {
        UUID id = UUID.randomUUID();
        String order = nursery.orderBody(id, 12, TARGET);
        int first = JsonPath.read(
                nursery.post(nursery.propagator, "/api/orders", order)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        int again = JsonPath.read(
                nursery.post(nursery.propagator, "/api/orders", order)
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.number");
        assertThat(again).isEqualTo(first);
        nursery.post(nursery.propagator, "/api/orders", nursery.orderBody(id, 13, TARGET))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("requestId"));
        int batch = sown(20);
        String loss = "{\"requestId\":\"%s\",\"tray\":%d,\"cells\":[1],\"reason\":\"SLUGS\"}"
                .formatted(UUID.randomUUID(), trayOf(batch));
        nursery.post(nursery.hand, "/api/batches/" + batch + "/losses", loss).andExpect(status().isOk());
        nursery.post(nursery.hand, "/api/batches/" + batch + "/losses", loss).andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/batches/" + batch + "/losses", loss)
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void twoPlanEditsAtOnceAreBothKeptAndASecondOfTheSamePlanIsToldOfTheFirst() throws Exception {
        int batch = batch(10);
        LocalDate day = SmallNursery.TODAY.plusDays(4);
        List<Integer> answers = atOnce(List.of(
                () -> code(nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day + "\"}}")),
                () -> code(nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"pottedLate\":true}}"))));
        assertThat(answers).containsOnly(200);
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(day);
        assertThat(batches.file(batch).batch().plan().pottedLate()).isTrue();
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + day.plusDays(2) + "\"},\"planVersion\":0}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("to be sown on " + Wording.day(day))))
                .andExpect(jsonPath("$.errors[0].message")
                        .value(containsString("you wanted " + Wording.day(day.plusDays(2)))));
    }

    @Test
    void aDraftDoesNotOverwriteWhatChangedMeanwhile() throws Exception {
        int batch = batch(10);
        long draft = JsonPath.<Integer>read(
                nursery.post(nursery.propagator, "/api/drafts", "{\"name\":\"" + UUID.randomUUID() + "\"}")
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.id");
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + SmallNursery.TODAY.plusDays(6)
                                + "\"},\"draft\":" + draft + "}")
                .andExpect(status().isOk());
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + SmallNursery.TODAY.plusDays(2) + "\"}}")
                .andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/drafts/" + draft + "/taking", "{}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("was changed since")));
        assertThat(batches.file(batch).batch().sowDay()).isEqualTo(SmallNursery.TODAY.plusDays(2));
        nursery.get(nursery.propagator, "/api/drafts/987654").andExpect(status().isNotFound());
        nursery.get(nursery.propagator, "/api/board?draft=987654").andExpect(status().isNotFound());
    }

    /** Thirty orders at once for one lot: what they are promised is there. */
    @Test
    void ordersThatRaceForOneLotArePromisedNoMoreThanItHolds() throws Exception {
        long variety = nursery.crops.add(new CropCode("curly-kale"), "Raced kale");
        seeds.add(new SeedLot(new LotId(0), "RACE", variety, "S", 0.9, 100, SmallNursery.TODAY.minusDays(9), 700, 700));
        long lot = seeds.lotsOf(variety).get(0).id().number();
        List<Callable<Integer>> orders = new ArrayList<>();
        for (int order = 0; order < 30; order++) {
            orders.add(() -> code(nursery.post(
                    nursery.propagator,
                    "/api/orders",
                    nursery.orderBody(UUID.randomUUID(), 50, SmallNursery.TODAY.plusDays(50))
                            .replace("\"varietyId\":" + nursery.varietyId, "\"varietyId\":" + variety)
                            .replaceFirst("\\}\\]\\}$", ",\"seen\":\"YES\"}]}"))));
        }
        List<Integer> answers = atOnce(orders);
        int promised = batches.files().stream()
                .filter(file -> file.batch().lot().number() == lot)
                .mapToInt(file -> file.batch().cells() * file.batch().seedsPerCell())
                .sum();
        assertThat(promised).isLessThanOrEqualTo(700);
        assertThat(answers).containsOnly(200, 422);
        long taken = answers.stream().filter(answer -> answer == 200).count();
        assertThat(taken).as("several are taken, and not all").isBetween(2L, 29L);
        assertThat(batches.files().stream()
                        .filter(file -> file.batch().lot().number() == lot)
                        .count())
                .isEqualTo(taken);
    }

    @Test
    void pottingsFromOneTrayWaitForEachOther() throws Exception {
        int batch = sown(30);
        int tray = trayOf(batch);
        BatchFile file = batches.file(batch);
        int cells = Math.min(24, file.runs().get(0).length());
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":" + tray + ",\"complete\":false,\"cells\":[],\"somethingUp\":["
                                + String.join(
                                        ",",
                                        IntStream.rangeClosed(1, cells)
                                                .mapToObj(String::valueOf)
                                                .toList()) + "]")
                .andExpect(status().isOk());
        List<Callable<Integer>> pottings = new ArrayList<>();
        for (int potting = 0; potting < cells / 2; potting++) {
            pottings.add(() -> code(nursery.record(
                    nursery.hand, batch, "pottings", "\"tray\":" + tray + ",\"container\":\"pot-7\",\"plants\":2")));
        }
        assertThat(atOnce(pottings)).containsOnly(200);
        assertThat(batches.file(batch).state().balance().alive()).isEqualTo(cells);
        assertThat(batches.file(batch).state().cellsIn(file.runs().get(0).tray(), kiver.core.batch.CellCondition.ALIVE))
                .hasSize(cells % 2);
    }

    @Test
    void ofManyUndosOfOneChangeOneIsDone() throws Exception {
        int batch = sown(10);
        List<Callable<Integer>> undos = new ArrayList<>();
        for (int undo = 0; undo < 20; undo++) {
            undos.add(() -> code(nursery.record(
                    nursery.propagator, batch, "corrections", "\"sequence\":1,\"reason\":\"never sown\"")));
        }
        List<Integer> answers = atOnce(undos);
        assertThat(answers).containsOnly(200, 422);
        assertThat(answers.stream().filter(answer -> answer == 200)).hasSize(1);
    }

    @Test
    void noTwoBatchesShareACellThatOneWasPottedInto() throws Exception {
        int batch = sown(10);
        int tray = trayOf(batch);
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":" + tray + ",\"complete\":false,\"cells\":[{\"cell\":1,\"seedlings\":1}]")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "pottings", "\"tray\":" + tray + ",\"container\":\"pot-7\",\"plants\":1")
                .andExpect(status().isOk());
        CellRun potted = new CellRun(
                batches.file(batch).state().trays().stream()
                        .reduce((one, two) -> two)
                        .orElseThrow(),
                1,
                1);
        int pots = database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                potted.tray().number());
        int other = batch(10);
        String sowing =
                "\"tray\":%d,\"firstCell\":1,\"lastCell\":2,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                        .formatted(pots, batches.file(other).batch().lot().number());
        nursery.record(nursery.hand, other, "sowings", sowing)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("holds batch " + batch)));
        // The potting is undone, the other is sown there, and the undoing cannot be undone: its plant has nowhere to go
        // back to.
        int potting = batches.file(batch).state().changes().size();
        nursery.record(nursery.hand, batch, "corrections", "\"sequence\":" + potting + ",\"reason\":\"not yet\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, other, "sowings", sowing).andExpect(status().isOk());
        nursery.record(
                        nursery.hand,
                        batch,
                        "corrections",
                        "\"sequence\":" + (potting + 1) + ",\"reason\":\"it was so\"")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("holds batch " + other)));
        assertThat(batches.file(batch).state().changes()).hasSize(potting + 1);
    }

    @Test
    void nobodySendsWhatAnotherRecorded() throws Exception {
        int batch = sown(10);
        http.perform(
                        post("/api/batches/" + batch + "/moves")
                                .with(csrf())
                                .with(org.springframework.security.test.web.servlet.request
                                        .SecurityMockMvcRequestPostProcessors.user(nursery.hand))
                                .header("X-Kiver-Made-By", nursery.propagator.id())
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{\"requestId\":\"" + UUID.randomUUID() + "\",\"placeId\":2}"))
                .andExpect(status().isConflict());
    }

    private int sown(int plants) throws Exception {
        int batch = batch(plants);
        sow(batch);
        return batch;
    }

    private static int code(ResultActions answer) {
        return answer.andReturn().getResponse().getStatus();
    }

    private static List<Integer> atOnce(List<Callable<Integer>> calls) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(8);
        try {
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> answer : people.invokeAll(calls)) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            people.shutdown();
        }
    }
}
