package kiver.server.backup;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import kiver.server.OwnDatabase;
import org.flywaydb.core.Flyway;

/** Databases of a test's own, gone afterwards. */
final class ScratchDatabases extends OwnDatabase implements AutoCloseable {

    private final List<String> made = new ArrayList<>();

    /** An address at which nothing is yet. */
    DatabaseAddress free(String name) {
        String own = "server_test_" + ProcessHandle.current().pid() + "_" + name;
        made.add(own);
        return new DatabaseAddress(server() + own, "kiver", password());
    }

    /** A database with all its tables, still empty. */
    DatabaseAddress current(String name) throws SQLException {
        DatabaseAddress address = free(name);
        try (Connection connection = DriverManager.getConnection(server() + "postgres", "kiver", password());
                Statement statement = connection.createStatement()) {
            create(statement, address.database());
        }
        return address;
    }

    /** A database without tables. */
    DatabaseAddress empty(String name) throws SQLException {
        DatabaseAddress address = free(name);
        onServer("create database " + address.database());
        return address;
    }

    /** A database whose tables stand where a version of the program left them. */
    DatabaseAddress migrated(String name, String version) throws SQLException {
        DatabaseAddress address = empty(name);
        Flyway.configure()
                .dataSource(address.url(), address.user(), address.password())
                .target(version)
                .load()
                .migrate();
        return address;
    }

    static void execute(DatabaseAddress address, String... statements) throws SQLException {
        try (Connection connection = address.connect();
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }

    private static void onServer(String command) throws SQLException {
        try (Connection connection = DriverManager.getConnection(server() + "postgres", "kiver", password());
                Statement statement = connection.createStatement()) {
            statement.execute(command);
        }
    }

    @Override
    public void close() throws SQLException {
        for (String name : made) {
            onServer("drop database if exists " + name + " with (force)");
        }
    }
}
