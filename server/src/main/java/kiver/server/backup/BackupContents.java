package kiver.server.backup;

import jakarta.annotation.Nullable;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.SortedMap;

/**
 * What a copy says of itself.
 *
 * @param nursery whose it is; null before one is founded
 * @param madeAt when the snapshot was taken
 * @param migration the last that its tables have gone through, for example "52"
 * @param tables what each table held, by name
 */
record BackupContents(@Nullable String nursery, Instant madeAt, String migration, SortedMap<String, Tally> tables) {

    /** Reads the tables as the connection's transaction sees them. */
    static BackupContents of(Connection connection, Instant now) throws SQLException {
        return new BackupContents(
                first(connection, "select name from nursery"),
                now,
                first(
                        connection,
                        "select version from flyway_schema_history where success order by installed_rank desc limit 1"),
                Tally.ofAllTables(connection));
    }

    /** Rows of all tables. */
    long rows() {
        return tables.values().stream().mapToLong(Tally::rows).sum();
    }

    private static @Nullable String first(Connection connection, String query) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery(query)) {
            return found.next() ? found.getString(1) : null;
        }
    }
}
