package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.batch.BatchStage;
import kiver.core.batch.CellCondition;
import kiver.core.outlook.BatchFile;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is over is put away when the next growing year begins; what lives on is not, and everything can still be read. */
@ServerTest
class PutAwayTest {

    private static final LocalDate NEXT_YEAR = LocalDate.of(2027, 10, 2);

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    NurseryClock clock;

    @Autowired
    SeedStore seeds;

    @Autowired
    TrayBook trays;

    @Autowired
    LotKnowledge lots;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
        clock.showDay(SmallNursery.TODAY);
    }

    @Test
    void anOrderThatIsOverIsReadInItsYearWithItsNoteAndWhatItsCountsTaught() throws Exception {
        int order = nursery.order(20);
        int batch = grown(order);
        nursery.release(UUID.randomUUID(), order, 20).andExpect(status().isOk());
        nursery.record(
                nursery.hand,
                batch,
                "losses",
                "\"tray\":%d,\"cells\":%s,\"reason\":\"SLUGS\"".formatted(tray(batch), alive(batch)));
        int note = database.queryForObject("select max(number) from release", Integer.class);
        double known = germination();
        String printed = nursery.note(nursery.grower, note);

        clock.showDay(NEXT_YEAR);
        assertThat(batches.files()).extracting(file -> file.batch().number()).doesNotContain(batch);
        nursery.get(nursery.propagator, "/api/batches?withGone=true")
                .andExpect(jsonPath("$[*].number", not(hasItem(batch))));
        nursery.get(nursery.propagator, "/api/orders?withDone=true")
                .andExpect(jsonPath("$[*].number", not(hasItem(order))));
        nursery.get(nursery.propagator, "/api/growing-years")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.present").value(2028))
                .andExpect(jsonPath("$.earlier", contains(2027)));
        nursery.get(nursery.propagator, "/api/batches?year=2027").andExpect(jsonPath("$[*].number", hasItem(batch)));
        nursery.get(nursery.propagator, "/api/orders?year=2027").andExpect(jsonPath("$[*].number", hasItem(order)));
        nursery.get(nursery.propagator, "/api/orders?year=2026").andExpect(jsonPath("$", hasSize(0)));
        nursery.get(nursery.propagator, "/api/batches/" + batch)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.summary.balance.released").value(20));
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].released").value(20))
                .andExpect(jsonPath("$.order.standing").value("RELEASED"));
        nursery.get(nursery.grower, "/api/orders").andExpect(jsonPath("$[*].number", hasItem(order)));
        assertThat(nursery.note(nursery.grower, note)).isEqualTo(printed).contains("seed lot L1");
        assertThat(lots.ofAll(batches.files()).byLot().get(new LotId(nursery.lotId)))
                .extracting(LotKnowledge.Lesson::batch)
                .contains(batch);
        clock.showDay(SmallNursery.TODAY);
        assertThat(germination()).isEqualTo(known);
    }

    @Test
    void aReleaseThatIsTakenBackAYearLaterBringsItsBatchBack() throws Exception {
        int order = nursery.order(12);
        int batch = grown(order);
        nursery.release(UUID.randomUUID(), order, 12).andExpect(status().isOk());
        nursery.record(
                nursery.hand,
                batch,
                "losses",
                "\"tray\":%d,\"cells\":%s,\"reason\":\"SLUGS\"".formatted(tray(batch), alive(batch)));
        clock.showDay(NEXT_YEAR);
        assertThat(batches.files()).extracting(file -> file.batch().number()).doesNotContain(batch);
        BatchFile file = batches.file(batch);
        int release = file.state().changes().size() - 1;
        nursery.record(
                        nursery.propagator,
                        batch,
                        "corrections",
                        "\"sequence\":%d,\"reason\":\"came back\"".formatted(release))
                .andExpect(status().isOk());
        assertThat(batches.files())
                .filteredOn(each -> each.batch().number() == batch)
                .singleElement()
                .satisfies(back -> assertThat(back.state().balance().alive()).isEqualTo(12));
    }

    @Test
    void plantsThatOverwinterStayInHandUntilNothingIsHeardOfThemForAYear() throws Exception {
        int batch = grown(nursery.order(15));
        clock.showDay(NEXT_YEAR);
        assertThat(batches.file(batch).state().stage()).isEqualTo(BatchStage.READY);
        assertThat(batches.files()).extracting(file -> file.batch().number()).contains(batch);
        clock.showDay(SmallNursery.TODAY.plusDays(70).plusYears(1).plusDays(1));
        assertThat(batches.files()).extracting(file -> file.batch().number()).doesNotContain(batch);
        nursery.get(nursery.propagator, "/api/batches?year=2027")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$[*].number", hasItem(batch)));
        nursery.get(nursery.propagator, "/api/batches/" + batch).andExpect(status().isOk());
    }

    @Test
    void aYearThatIsNoneIsRefused() throws Exception {
        nursery.get(nursery.propagator, "/api/batches?year=99999")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("1901 to 2199")));
        nursery.get(nursery.propagator, "/api/orders?year=x").andExpect(status().isBadRequest());
        nursery.get(nursery.grower, "/api/growing-years").andExpect(status().isForbidden());
    }

    @Test
    void theDatabaseLetsNoCellHoldPlantsOfTwoBatches() throws Exception {
        int batch = grown(nursery.order(10));
        long other = batches.file(grown(nursery.order(10))).batch().id().number();
        assertThatThrownBy(() -> database.update(
                        """
                insert into batch_cells (batch_id, tray_id, first_cell, last_cell, condition, seeds, came_up, only_seen, seedlings, origin, lot_id)
                select ?, tray_id, first_cell, first_cell, condition, seeds, came_up, only_seen, seedlings, origin, lot_id
                from batch_cells where batch_id = ? limit 1""", other, batches.file(batch).batch().id().number()))
                .isInstanceOf(DataAccessException.class)
                .hasMessageContaining("exclusion constraint");
    }

    /** Sown, counted and hardened. */
    private int grown(int order) throws Exception {
        int batch = nursery.batchOf(order);
        int cells = batches.file(batch).batch().cells();
        nursery.record(nursery.hand, batch, "sowings", """
                "tray":%d,"firstCell":1,"lastCell":%d,"seedsPerCell":2,"lotId":%d,"medium":"sieved mix","placeId":1""".formatted(tray(batch), cells, nursery.lotId))
                .andExpect(status().isOk());
        String all = IntStream.rangeClosed(1, cells)
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                .collect(Collectors.joining(","));
        nursery.record(
                        nursery.hand,
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[%s],\"complete\":true".formatted(tray(batch), all))
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-starts", "\"placeId\":3,\"programme\":\"BY_DAY\"")
                .andExpect(status().isOk());
        nursery.record(nursery.hand, batch, "hardening-ends", "\"day\":\"%s\"".formatted(SmallNursery.TODAY))
                .andExpect(status().isOk());
        return batch;
    }

    private int tray(int batch) {
        return trays.tray(batches.file(batch).runs().get(0).tray()).number();
    }

    private List<Integer> alive(int batch) {
        BatchFile file = batches.file(batch);
        return file.state().cellsIn(file.runs().get(0).tray(), CellCondition.ALIVE);
    }

    private double germination() {
        return lots.germination(seeds.lot(new LotId(nursery.lotId)), SmallNursery.TODAY, batches.files(), 0)
                .mean();
    }
}
