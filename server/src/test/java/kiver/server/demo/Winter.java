package kiver.server.demo;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import kiver.server.KiverApplication;
import kiver.server.OwnDatabase;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The demonstration's winter, lived through once for all tests of a build and copied for each. */
public class Winter extends OwnDatabase {

    /** Browser tests copy it, too. */
    static final String LIVED = "kiver_winter";

    private static final String LIVING = "kiver_winter_living";

    @Override
    protected void create(Statement statement, String name) throws SQLException {
        // Whoever comes second waits for the first to have lived through it.
        statement.execute("select pg_advisory_lock(4799)");
        if (!exists(statement, LIVED)) {
            live(statement);
        }
        statement.execute("create database " + name + " template " + LIVED);
        statement.execute("select pg_advisory_unlock(4799)");
    }

    private static void live(Statement statement) throws SQLException {
        statement.execute("drop database if exists " + LIVING);
        statement.execute("create database " + LIVING);
        try (ConfigurableApplicationContext lived = SpringApplication.run(
                KiverApplication.class,
                "--kiver.demo=true",
                "--kiver.library=" + Path.of("..", "library").toAbsolutePath().normalize(),
                "--server.port=0",
                "--spring.datasource.url=" + server() + LIVING,
                "--spring.datasource.username=kiver",
                "--spring.datasource.password=" + password())) {
            if (!lived.isActive()) {
                throw new IllegalStateException("The winter was not lived through to its end.");
            }
        }
        statement.execute("alter database " + LIVING + " rename to " + LIVED);
    }

    private static boolean exists(Statement statement, String name) throws SQLException {
        try (ResultSet found = statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
            return found.next();
        }
    }

    /** Lives through the winter when nobody has; for those who only need it to be there. */
    public static void main(String[] arguments) throws SQLException {
        try (Connection connection = DriverManager.getConnection(server() + "postgres", "kiver", password());
                Statement statement = connection.createStatement()) {
            new Winter().create(statement, "kiver_winter_copy");
            statement.execute("drop database kiver_winter_copy");
        }
    }
}
