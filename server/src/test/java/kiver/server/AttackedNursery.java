package kiver.server;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedStore;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** A small nursery with seed enough to be attacked, and what attacks have in common. */
@ServerTest
abstract class AttackedNursery {

    static final LocalDate TARGET = SmallNursery.TODAY.plusDays(70);

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @Autowired
    BatchBook batches;

    @Autowired
    SeedStore seeds;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.foundWithSeed(90_000);
    }

    int batch(int plants) throws Exception {
        return batchOf(nursery.order(plants));
    }

    int batchOf(int order) {
        return nursery.batchOf(order);
    }

    void sow(int batch) throws Exception {
        BatchFile file = batches.file(batch);
        nursery.record(
                        nursery.hand,
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1"
                                .formatted(
                                        trayOf(batch),
                                        file.runs().get(0).length(),
                                        file.batch().lot().number()))
                .andExpect(status().isOk());
    }

    int trayOf(int batch) {
        return database.queryForObject(
                "select number from tray where id = ?",
                Integer.class,
                batches.file(batch).runs().get(0).tray().number());
    }
}
