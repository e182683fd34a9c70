package kiver.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicInteger;
import org.flywaydb.core.Flyway;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;

/** Makes an empty database for a test, on the PostgreSQL that {@code ./kiver test} has started. */
public class OwnDatabase implements ApplicationContextInitializer<ConfigurableApplicationContext> {

    private static final AtomicInteger NUMBER = new AtomicInteger();

    @Override
    public void initialize(ConfigurableApplicationContext context) {
        String name = "server_test_" + ProcessHandle.current().pid() + "_" + NUMBER.incrementAndGet();
        try (Connection connection = DriverManager.getConnection(server() + "postgres", "kiver", password());
                Statement statement = connection.createStatement()) {
            create(statement, name);
        } catch (SQLException unreachable) {
            throw new IllegalStateException("The tests' PostgreSQL cannot be reached at " + server(), unreachable);
        }
        TestPropertyValues.of(
                        "spring.datasource.url=" + server() + name,
                        "spring.datasource.username=kiver",
                        "spring.datasource.password=" + password(),
                        // Of many nurseries at once most rest; those that do hold one connection.
                        "spring.datasource.hikari.minimum-idle=1",
                        "spring.datasource.hikari.idle-timeout=10000",
                        "spring.datasource.hikari.maximum-pool-size=8")
                .applyTo(context);
    }

    /** Makes the database: one with all its tables, unless a test wants another. */
    protected void create(Statement statement, String name) throws SQLException {
        statement.execute("create database " + name + " template " + Template.NAME);
    }

    /** The tables are made once and copied, which is quicker than making them for each test. */
    private static final class Template {
        private static final String NAME = made();

        private static String made() {
            String name = "server_test_" + ProcessHandle.current().pid() + "_template";
            try (Connection connection = DriverManager.getConnection(server() + "postgres", "kiver", password());
                    Statement statement = connection.createStatement()) {
                statement.execute("create database " + name);
            } catch (SQLException unreachable) {
                throw new IllegalStateException("No database can be made at " + server(), unreachable);
            }
            Flyway.configure()
                    .dataSource(server() + name, "kiver", password())
                    .load()
                    .migrate();
            return name;
        }
    }

    protected static String server() {
        String server = System.getenv("KIVER_TEST_DATABASE_URL");
        if (server == null) {
            throw new IllegalStateException("Start the tests with ./kiver test: it starts the PostgreSQL they need.");
        }
        return server;
    }

    protected static String password() {
        return System.getenv("KIVER_TEST_DATABASE_PASSWORD");
    }
}
