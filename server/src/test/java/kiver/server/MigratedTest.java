package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.Balance;
import kiver.core.crop.ContainerCode;
import kiver.core.outlook.BatchFile;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.BatchBook;
import kiver.server.batch.ProjectionBook;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.test.web.servlet.MockMvc;

/** A database from before orders had lines, brought up to date: nothing is lost and everything can be read. */
@SpringBootTest
@AutoConfigureMockMvc
@ContextConfiguration(initializers = MigratedTest.OldDatabase.class)
class MigratedTest {

    @Autowired
    BatchBook batches;

    @Autowired
    ProjectionBook projections;

    @Autowired
    OrderBook orders;

    @Autowired
    JdbcTemplate database;

    @Autowired
    MockMvc http;

    /** As it was left by version 5. */
    static class OldDatabase extends OwnDatabase {
        @Override
        protected void create(Statement statement, String name) throws SQLException {
            statement.execute("create database " + name);
            Flyway.configure()
                    .dataSource(server() + name, "kiver", password())
                    .target("5")
                    .load()
                    .migrate();
            try (Connection connection = DriverManager.getConnection(server() + name, "kiver", password());
                    Statement rows = connection.createStatement();
                    var sheet = MigratedTest.class.getResourceAsStream("/database/version-5.sql")) {
                rows.execute(new String(sheet.readAllBytes(), StandardCharsets.UTF_8));
            } catch (IOException unreadable) {
                throw new IllegalStateException(unreadable);
            }
        }
    }

    @Test
    void everyOrderIsOneLineWithItsBatch() {
        List<OrderedLine> lines = orders.linesTakenSince(LocalDate.of(2000, 1, 1));
        assertThat(lines).extracting(OrderedLine::orderNumber).containsExactly(107, 109, 113, 116, 138);
        assertThat(lines).extracting(OrderedLine::position).containsOnly(1);
        OrderedLine parsley = orders.order(109).line(1);
        assertThat(parsley)
                .returns(90, OrderedLine::plants)
                .returns(new ContainerCode("module-60"), OrderedLine::container)
                .returns("Curled Minster", OrderedLine::variety);
        for (BatchFile file : batches.files()) {
            assertThat(file.promises()).singleElement().satisfies(promise -> {
                assertThat(promise.plants()).isEqualTo(file.batch().plants());
                assertThat(promise.target()).isEqualTo(file.batch().target());
                assertThat(promise.orderNumber()).isEqualTo(file.batch().number() - 100);
            });
        }
    }

    @ParameterizedTest
    @CsvSource({
        "207, 102, 0, 79, 0, 0, 23",
        "209, 104, 0, 2, 7, 5, 90",
        "213, 114, 0, 5, 104, 5, 0",
        "216, 0, 0, 0, 0, 0, 0",
        "238, 106, 0, 15, 16, 5, 70"
    })
    void everyRecordGivesTheAccountItGave(
            int batch, int sown, int waiting, int empty, int alive, int lost, int released) {
        BatchFile file = batches.file(batch);
        assertThat(file.trouble()).isEmpty();
        assertThat(file.state().balance()).isEqualTo(new Balance(sown, waiting, empty, alive, lost, released));
        assertThat(database.queryForObject(
                        "select count(*) from batch_change change join batch on batch.id = change.batch_id where batch.number = ?",
                        Integer.class,
                        batch))
                .isEqualTo(file.state().changes().size());
    }

    @Test
    void whatFollowsFromTheRecordsIsWrittenDownAtTheStart() {
        assertThat(projections.differences()).isEmpty();
        assertThat(projections.written(batches.file(209).batch().id().number())).hasValueSatisfying(written -> {
            assertThat(written.sequence())
                    .isEqualTo(batches.file(209).state().changes().size());
            assertThat(written.departures())
                    .singleElement()
                    .satisfies(gone -> assertThat(gone.cells()).isEqualTo(90));
        });
        assertThat(database.queryForObject(
                        "select sum(last_cell - first_cell + 1) from batch_cells where condition = 'ALIVE'",
                        Integer.class))
                .isEqualTo(7 + 104 + 16);
    }

    @Test
    void whatWasReleasedBeforeThereWereLinesWentWithTheOnlyOneThereWas() throws Exception {
        Person propagator = new Person(1, "propagator@quillmere.example", "Maro Tindle", "", Role.PROPAGATOR, null);
        http.perform(get("/api/orders/109").with(user(propagator)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.order.standing").value("RELEASED"))
                .andExpect(jsonPath("$.order.lines[0].released").value(90))
                .andExpect(jsonPath("$.order.releases[*].plants", contains(90)));
        http.perform(get("/api/batches/213").with(user(propagator)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.summary.problem").doesNotExist())
                .andExpect(jsonPath("$.summary.promises[0].order").value(113))
                .andExpect(jsonPath("$.summary.plantsAlive").value(104));
        int note = database.queryForObject("select number from release where order_id = 9", Integer.class);
        http.perform(get("/api/releases/" + note + "/note.pdf").with(user(propagator)))
                .andExpect(status().isOk());
    }
}
