package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.mockito.ArgumentMatchers.any;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.CellCondition;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.weather.WeatherStation;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.mockito.Mockito;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** Whole journeys, from the order to what the delivery note says and back to the seed lot. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class JourneyTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    CropBook crops;

    @Autowired
    SeedStore seeds;

    @Autowired
    NurseryClock clock;

    @Autowired
    JdbcTemplate database;

    @MockitoSpyBean
    WeatherStation station;

    @BeforeEach
    void found() {
        nursery.found();
    }

    /** Two lots, two mixes, three plug trays, potted together into few carriers, a frosty night, two notes. */
    @Test
    @Order(9)
    void tomatoesFromTheOrderToTheNoteAndBackToTheirLots() throws Exception {
        long variety = crops.add(new CropCode("tomato"), "Test tomato");
        long first = lot("T1", variety, 0.9);
        long second = lot("T2", variety, 0.85);
        LocalDate target = clock.today().plusDays(85);
        int batch = order("""
                {"varietyId":%d,"container":"pot-9","plants":80,"leavesFrom":5,"leavesTo":8,"target":"%s","lotId":%d,
                 "seedsPerCell":2,"containerPath":"POTTED_ONCE"}""".formatted(variety, target, first));
        LocalDate sownOn = clock.today();
        plan(batch, sownOn);
        BatchFile file = batches.file(batch);
        int tray = tray(file.runs().get(0).tray().number());
        int cells = file.runs().get(0).length();
        int firstHalf = cells / 2;

        sow(batch, tray, 1, firstHalf, first, "Fine mix, heap one");
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.layout.toSow[0].firstCell").value(firstHalf + 1))
                .andExpect(jsonPath("$.summary.traysToSow").value(file.runs().size()));
        assertThat(reasons(batch)).contains("PartSown");
        sow(batch, tray, firstHalf + 1, cells, second, "Fine mix, heap two");
        for (int run = 1; run < file.runs().size(); run++) {
            record(
                    batch,
                    "left-unsown",
                    "\"tray\":" + tray(file.runs().get(run).tray().number()));
        }
        assertThat(batches.file(batch).toSow()).isEmpty();

        pass(14);
        String up = IntStream.rangeClosed(1, cells)
                .filter(cell -> cell % 12 != 0)
                .mapToObj(String::valueOf)
                .collect(Collectors.joining(","));
        record(batch, "counts", "\"tray\":" + tray + ",\"cells\":[],\"somethingUp\":[" + up + "],\"complete\":true");
        int alive = batches.file(batch).plantsAlive();
        assertThat(alive).isEqualTo(cells - cells / 12);
        nursery.get(nursery.hand, "/api/trays/" + tray)
                .andExpect(jsonPath("$.cells[0].onlySeen").value(true));
        // Two seeds a cell at nine in ten: 11 of 12 cells up is about 7 in 10, nothing like one seedling of two seeds.
        double known = JsonPath.<List<Double>>read(
                        nursery.get(nursery.hand, "/api/seed-needs")
                                .andReturn()
                                .getResponse()
                                .getContentAsString(),
                        "$.lots[?(@.code == 'T1')].quality.germination")
                .get(0);
        assertThat(known).isGreaterThan(0.75);

        pass(20);
        record(batch, "pottings", "\"container\":\"pot-9\",\"plants\":" + alive);
        int carriers = batches.file(batch).state().trays().stream()
                .filter(each -> !batches.file(batch)
                        .state()
                        .cellsIn(each, CellCondition.ALIVE)
                        .isEmpty())
                .toList()
                .size();
        assertThat(carriers).isEqualTo((int) Math.ceil(
                alive / (double) crops.container(new ContainerCode("pot-9")).cells()));
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.growth.pottingsDone").value(1));

        pass(30);
        record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"BY_DAY\"");
        record(batch, "hardening-days", "\"hours\":3");
        frostTonight();
        String round = round();
        assertThat(JsonPath.<List<Integer>>read(round, "$.evening[*].batch")).contains(batch);
        assertThat(JsonPath.<List<Double>>read(round, "$.evening[?(@.batch == " + batch + ")].likelyLoss")
                        .get(0))
                .isPositive();
        nursery.post(nursery.hand, "/api/round/evening", "{\"batch\":" + batch + ",\"done\":\"BROUGHT_IN\"}")
                .andExpect(status().isOk());
        assertThat(JsonPath.<List<Integer>>read(round(), "$.evening[*].batch")).doesNotContain(batch);
        record(batch, "hardening-ends", "\"day\":\"" + clock.today() + "\"");

        int part = release(orderOf(batch), 30);
        int rest = release(orderOf(batch), Math.min(80, alive) - 30);
        String both = nursery.note(nursery.propagator, part) + nursery.note(nursery.propagator, rest);
        assertThat(both)
                .contains(
                        "30 Test tomato",
                        "seed lot T1",
                        "seed lot T2",
                        "heap one",
                        "heap two",
                        "potted on",
                        "sown "
                                + new java.text.SimpleDateFormat("EEE d MMM yyyy", java.util.Locale.UK)
                                        .format(java.sql.Date.valueOf(sownOn)));
        assertThat(plantsOn(both)).isEqualTo(Math.min(80, alive));
        new Traced(nursery).agreeBothWays(batch, List.of(part, rest), List.of(first, second), alive);

        int sequence = JsonPath.<List<Integer>>read(
                        nursery.get(nursery.hand, "/api/batches/" + batch)
                                .andReturn()
                                .getResponse()
                                .getContentAsString(),
                        "$.changes[?(@.words =~ /Released.*" + rest + ".*/)].sequence")
                .get(0);
        nursery.record(nursery.hand, batch, "corrections", "\"sequence\":" + sequence + ",\"reason\":\"wrong grower\"")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("propagator only")));
        nursery.record(nursery.propagator, batch, "corrections", "\"sequence\":" + sequence + ",\"reason\":\" \"")
                .andExpect(status().isUnprocessableContent());
    }

    /** Sown in clumps and ordered in plants: seedlings count, cells do not. */
    @Test
    @Order(1)
    void clumpedOnionsAreCountedInSeedlings() throws Exception {
        long variety = crops.add(new CropCode("onion"), "Test onion");
        long lot = lot("O1", variety, 0.9);
        int batch = order("""
                {"varietyId":%d,"container":"module-104","plants":300,"leavesFrom":2,"leavesTo":4,"target":"%s","lotId":%d,
                 "containerPath":"CLUMPS"}""".formatted(variety, clock.today().plusDays(75), lot));
        plan(batch, clock.today());
        BatchFile file = batches.file(batch);
        int cells = file.batch().cells();
        assertThat(cells).isBetween(75, 130);
        int tray = tray(file.runs().get(0).tray().number());
        sow(batch, tray, 1, file.runs().get(0).length(), lot, "Clump mix", 4);
        for (int run = 1; run < file.runs().size(); run++) {
            sow(
                    batch,
                    tray(file.runs().get(run).tray().number()),
                    1,
                    file.runs().get(run).length(),
                    lot,
                    "Clump mix",
                    4);
        }
        pass(25);
        for (var run : file.runs()) {
            record(
                    batch,
                    "counts",
                    "\"tray\":" + tray(run.tray().number()) + ",\"cells\":["
                            + IntStream.rangeClosed(1, run.length())
                                    .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":" + (3 + cell % 2) + "}")
                                    .collect(Collectors.joining(","))
                            + "],\"complete\":true");
        }
        int seedlings = batches.file(batch).plantsAlive();
        assertThat(seedlings).isGreaterThanOrEqualTo(300).isGreaterThan(3 * cells);
        nursery.get(nursery.hand, "/api/batches/" + batch)
                .andExpect(jsonPath("$.summary.verdict").value("ON_COURSE"))
                .andExpect(jsonPath("$.chances.enough").value(org.hamcrest.Matchers.greaterThan(0.5)));
        record(batch, "hardening-starts", "\"placeId\":3,\"programme\":\"NONE\"");
        record(batch, "hardening-ends", "\"day\":\"" + clock.today() + "\"");
        int release = release(orderOf(batch), 300);
        assertThat(plantsOn(nursery.note(nursery.propagator, release))).isBetween(300, 303);
        nursery.get(nursery.propagator, "/api/orders/" + orderOf(batch))
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.releases[*].number", hasItem(release)));
        int sequence = batches.file(batch).state().changes().size();
        for (int part = sequence; batches.file(batch).plantsReleased() > 0; part--) {
            nursery.record(
                            nursery.propagator,
                            batch,
                            "corrections",
                            "\"sequence\":" + part + ",\"reason\":\"came back\"")
                    .andExpect(status().isOk());
        }
        nursery.get(nursery.propagator, "/api/orders/" + orderOf(batch))
                .andExpect(jsonPath("$.order.releases[0].plants").value(0));
        assertThat(nursery.note(nursery.propagator, release)).contains("taken back");
    }

    private long lot(String code, long variety, double label) {
        seeds.add(new SeedLot(
                new LotId(0),
                code,
                variety,
                "House of " + code,
                label,
                100,
                SmallNursery.TODAY.minusDays(60),
                4000,
                4000));
        return seeds.lotsOf(variety).stream()
                .filter(lot -> lot.code().equals(code))
                .findFirst()
                .orElseThrow()
                .id()
                .number();
    }

    private int order(String wish) throws Exception {
        String answer = nursery.post(
                        nursery.propagator,
                        "/api/orders",
                        nursery.orderBody(UUID.randomUUID(), "{\"wish\":" + wish + "}"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return nursery.batchOf(JsonPath.<Integer>read(answer, "$.number"));
    }

    private void plan(int batch, LocalDate sowDay) throws Exception {
        nursery.post(
                        nursery.propagator,
                        "/api/board/changes",
                        "{\"edit\":{\"batch\":" + batch + ",\"sowDay\":\"" + sowDay + "\"}}")
                .andExpect(status().isOk());
    }

    private int tray(long id) {
        return database.queryForObject("select number from tray where id = ?", Integer.class, id);
    }

    private int orderOf(int batch) {
        return nursery.orderOf(batch);
    }

    private void sow(int batch, int tray, int first, int last, long lot, String mix) throws Exception {
        sow(batch, tray, first, last, lot, mix, 2);
    }

    private void sow(int batch, int tray, int first, int last, long lot, String mix, int seedsPerCell)
            throws Exception {
        record(
                batch,
                "sowings",
                "\"tray\":%d,\"firstCell\":%d,\"lastCell\":%d,\"seedsPerCell\":%d,\"lotId\":%d,\"medium\":\"%s\",\"placeId\":1"
                        .formatted(tray, first, last, seedsPerCell, lot, mix));
    }

    private void record(int batch, String what, String entries) throws Exception {
        nursery.record(nursery.hand, batch, what, entries).andExpect(status().isOk());
    }

    private int release(int order, int plants) throws Exception {
        String made = nursery.release(UUID.randomUUID(), order, plants)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(made, "$.number");
    }

    private void pass(int days) {
        clock.showDay(clock.today().plusDays(days));
    }

    /** The forecast for tomorrow's dawn falls to −8 °C. */
    private void frostTonight() {
        Mockito.doReturn(Collections.nCopies(5, new DayAhead(new DailyRange(-8, 4))))
                .when(station)
                .forecast(any());
        nursery.seasons.forget();
    }

    private String round() throws Exception {
        return nursery.get(nursery.hand, "/api/round").andReturn().getResponse().getContentAsString();
    }

    private List<String> reasons(int batch) throws Exception {
        return JsonPath.read(round(), "$.stops[*].work[?(@.batch.number == " + batch + ")].tasks[*].why.kind");
    }

    /** All plants of the lines that say where they come from. */
    private static int plantsOn(String note) {
        var lines = java.util.regex.Pattern.compile("(\\d+) from tray T").matcher(note);
        int plants = 0;
        while (lines.find()) {
            plants += Integer.parseInt(lines.group(1));
        }
        return plants;
    }
}
