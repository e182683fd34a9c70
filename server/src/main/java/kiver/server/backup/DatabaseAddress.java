package kiver.server.backup;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import org.postgresql.Driver;
import org.postgresql.PGProperty;

/**
 * Where a database is reached.
 *
 * @param url of JDBC, with the database's name
 * @param user who signs in
 * @param password of the user; empty where none is asked for
 */
record DatabaseAddress(String url, String user, String password) {

    /** How this connection writes values, so that the same row is written the same on every machine. */
    private static final List<String> AS_EVERYWHERE = List.of(
            "set time zone 'UTC'",
            "set datestyle = 'ISO, YMD'",
            "set intervalstyle = 'iso_8601'",
            "set extra_float_digits = 3",
            "set bytea_output = 'hex'");

    /** The same server's other database. */
    DatabaseAddress another(String database) {
        return new DatabaseAddress(
                "jdbc:postgresql://%s:%s/%s".formatted(part(PGProperty.PG_HOST), part(PGProperty.PG_PORT), database),
                user,
                password);
    }

    String database() {
        return part(PGProperty.PG_DBNAME);
    }

    /** A connection of its own, beside those of the application. */
    Connection connect() throws SQLException {
        Connection connection = DriverManager.getConnection(url, user, password);
        try (Statement statement = connection.createStatement()) {
            for (String setting : AS_EVERYWHERE) {
                statement.execute(setting);
            }
        }
        return connection;
    }

    /** What the programs of PostgreSQL read from their environment; a password never stands in a command line. */
    Map<String, String> environment() {
        return Map.of(
                "PGHOST", part(PGProperty.PG_HOST),
                "PGPORT", part(PGProperty.PG_PORT),
                "PGDATABASE", database(),
                "PGUSER", user,
                "PGPASSWORD", password);
    }

    private String part(PGProperty property) {
        Properties parts = Driver.parseURL(url, null);
        if (parts == null) {
            throw new IllegalArgumentException("not an address of PostgreSQL: " + url);
        }
        return property.getOrDefault(parts);
    }
}
