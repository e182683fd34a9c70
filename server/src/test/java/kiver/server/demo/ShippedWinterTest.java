package kiver.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.ZipFile;
import kiver.server.KiverApplication;
import kiver.server.OwnDatabase;
import kiver.server.backup.ShippedWinter;
import org.junit.jupiter.api.Test;
import org.postgresql.PGConnection;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The winter that ships is the one that this program lives through, row by row. It is lived through anew only when something has
 * changed from which it follows. {@code ./kiver winter} lives it in any case, and writes it down where it differs.
 */
class ShippedWinterTest extends OwnDatabase {

    private static final boolean ANEW = Boolean.getBoolean("kiver.winter");

    /** When it was written down, and what is drawn by lot so that nobody can guess it, differ each time. */
    private static final Set<String> OF_EACH_TIME = Set.of(
            "recorded_at",
            "request.at",
            "evening_done.done_at",
            "account.password_hash",
            "device.token_digest",
            // How many counted at once is chance.
            "change_count.slot",
            "change_count.changes");

    @Test
    void isWhatIsLivedThrough() throws SQLException, IOException {
        if (!ANEW && WinterGrounds.areThoseWritten()) {
            return;
        }
        String name = "server_test_winter_" + ProcessHandle.current().pid();
        try (Connection server = DriverManager.getConnection(server() + "postgres", "kiver", password());
                Statement statement = server.createStatement()) {
            statement.execute("create database " + name);
            live(name);
            try (Connection lived = DriverManager.getConnection(server() + name, "kiver", password())) {
                List<String> differences = differences(lived);
                if (ANEW && !differences.isEmpty()) {
                    ShippedWinter.takeFrom(server() + name, "kiver", password());
                } else {
                    assertThat(differences)
                            .as("./kiver winter writes the winter anew")
                            .isEmpty();
                }
                if (ANEW) {
                    WinterGrounds.write();
                }
            } finally {
                statement.execute("drop database " + name + " with (force)");
            }
        }
    }

    private static void live(String name) {
        try (ConfigurableApplicationContext lived = SpringApplication.run(
                KiverApplication.class,
                "--kiver.demo=true",
                "--kiver.library=" + Path.of("..", "library").toAbsolutePath().normalize(),
                "--server.port=0",
                "--spring.datasource.url=" + server() + name,
                "--spring.datasource.username=kiver",
                "--spring.datasource.password=" + password())) {
            assertThat(lived.isActive()).as("lived through to its end").isTrue();
        }
    }

    private static List<String> differences(Connection lived) throws SQLException, IOException {
        try (ZipFile shipped = new ZipFile(ShippedWinter.FILE.toFile())) {
            Set<String> tables = tables(lived);
            if (!tablesOf(shipped).equals(tables)) {
                return List.of("tables " + tablesOf(shipped) + " instead of " + tables);
            }
            List<String> differences = new ArrayList<>();
            for (String table : tables) {
                differences.addAll(differences(lived, shipped, table));
            }
            return differences;
        }
    }

    private static List<String> differences(Connection lived, ZipFile shipped, String table)
            throws SQLException, IOException {
        String columns = columns(lived, table);
        try (Statement statement = lived.createStatement();
                InputStream rows = shipped.getInputStream(shipped.getEntry(file(table)))) {
            statement.execute("create temp table shipped as select * from public." + table + " limit 0");
            lived.unwrap(PGConnection.class)
                    .getCopyAPI()
                    .copyIn(
                            "copy shipped (" + allColumns(lived, table) + ") from stdin (format csv, header match)",
                            rows);
            List<String> differences = new ArrayList<>();
            differences.addAll(rows(statement, "lived " + table, difference("public." + table, "shipped", columns)));
            differences.addAll(rows(statement, "shipped " + table, difference("shipped", "public." + table, columns)));
            statement.execute("drop table shipped");
            return differences;
        }
    }

    private static String difference(String here, String there, String columns) {
        return "select row(" + columns + ")::text from " + here + " except all select row(" + columns + ")::text from "
                + there + " limit 3";
    }

    private static String columns(Connection lived, String table) throws SQLException {
        return namesOfColumns(lived, table).stream()
                .filter(column -> !OF_EACH_TIME.contains(column) && !OF_EACH_TIME.contains(table + "." + column))
                .map(column -> '"' + column + '"')
                .collect(Collectors.joining(", "));
    }

    private static String allColumns(Connection lived, String table) throws SQLException {
        return namesOfColumns(lived, table).stream()
                .map(column -> '"' + column + '"')
                .collect(Collectors.joining(", "));
    }

    private static List<String> namesOfColumns(Connection lived, String table) throws SQLException {
        try (Statement statement = lived.createStatement()) {
            return rows(
                    statement,
                    "",
                    "select column_name from information_schema.columns where table_schema = 'public'"
                            + " and is_generated = 'NEVER' and table_name = '" + table + "' order by ordinal_position");
        }
    }

    private static Set<String> tables(Connection lived) throws SQLException {
        try (Statement statement = lived.createStatement()) {
            return new TreeSet<>(rows(
                    statement,
                    "",
                    "select tablename from pg_tables where schemaname = 'public'"
                            + " and tablename <> 'flyway_schema_history' and tablename not like 'spring_session%'"));
        }
    }

    private static Set<String> tablesOf(ZipFile shipped) {
        return shipped.stream()
                .map(entry -> entry.getName())
                .filter(name -> name.startsWith("data/"))
                .map(name -> name.substring("data/".length(), name.length() - ".csv".length()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static String file(String table) {
        return "data/" + table + ".csv";
    }

    private static List<String> rows(Statement statement, String prefix, String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (ResultSet found = statement.executeQuery(query)) {
            while (found.next()) {
                rows.add(prefix.isEmpty() ? found.getString(1) : prefix + ": " + found.getString(1));
            }
        }
        return rows;
    }
}
