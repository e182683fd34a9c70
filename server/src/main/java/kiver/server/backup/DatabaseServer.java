package kiver.server.backup;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/**
 * The databases of a server.
 *
 * @param one of them
 */
record DatabaseServer(DatabaseAddress one) {

    /** Makes an empty database; one of that name is dropped. */
    void make(String database) throws SQLException {
        drop(database);
        tell("create database " + quoted(database));
    }

    /** Drops a database whoever is connected to it, if it is there. */
    void drop(String database) throws SQLException {
        tell("drop database if exists " + quoted(database) + " with (force)");
    }

    void rename(String database, String name) throws SQLException {
        tell("alter database " + quoted(database) + " rename to " + quoted(name));
    }

    boolean holds(String database) throws SQLException {
        return !named("select datname from pg_database where datname = ?", database)
                .isEmpty();
    }

    /** Databases whose names begin so and to which nobody is connected. */
    List<String> unusedBeginning(String prefix) throws SQLException {
        return named(
                "select datname from pg_database d where starts_with(datname, ?)"
                        + " and not exists (select from pg_stat_activity a where a.datname = d.datname)",
                prefix);
    }

    private List<String> named(String query, String argument) throws SQLException {
        try (Connection connection = one.another("postgres").connect();
                PreparedStatement statement = connection.prepareStatement(query)) {
            statement.setString(1, argument);
            List<String> names = new ArrayList<>();
            try (ResultSet found = statement.executeQuery()) {
                while (found.next()) {
                    names.add(found.getString(1));
                }
            }
            return names;
        }
    }

    private void tell(String command) throws SQLException {
        try (Connection connection = one.another("postgres").connect();
                Statement statement = connection.createStatement()) {
            statement.execute(command);
        }
    }

    private static String quoted(String database) {
        return '"' + database.replace("\"", "\"\"") + '"';
    }
}
