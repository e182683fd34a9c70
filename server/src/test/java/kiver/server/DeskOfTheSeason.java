package kiver.server;

import java.time.LocalDate;
import kiver.server.batch.BatchBook;
import kiver.server.seed.SeedStore;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** A small nursery with more seed than the others, and what is done at its desk. */
@ServerTest
abstract class DeskOfTheSeason {

    static final LocalDate TARGET = SmallNursery.TODAY.plusDays(70);

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    MockMvc http;

    @Autowired
    SeedStore seeds;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.foundWithSeed(60_000);
    }

    int batch(int plants) throws Exception {
        return nursery.batchOf(nursery.order(plants));
    }
}
