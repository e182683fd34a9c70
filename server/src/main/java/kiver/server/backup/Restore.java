package kiver.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.List;
import java.util.SortedMap;
import java.util.zip.ZipFile;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;

/**
 * Brings a copy back. It is put into a database of its own, held against what it says of itself, row by row, and only then
 * takes the place of the empty nursery.
 */
final class Restore {

    private static final String BESIDE = "_restoring";

    private final DatabaseAddress target;
    private final DatabaseServer server;

    Restore(DatabaseAddress target) {
        this.target = target;
        this.server = new DatabaseServer(target);
    }

    /**
     * Brings a backup or a data package back.
     *
     * @return what is there now
     * @throws RestoreRefused when there is a nursery already, the file is none, it is newer than this program, or it does not
     *     hold what it says
     */
    BackupContents from(Path file) throws RestoreRefused, SQLException {
        if (!Files.isReadable(file)) {
            throw new RestoreRefused("There is no file " + file + " that could be read.");
        }
        requireNoNursery();
        DatabaseAddress beside = target.another(target.database() + BESIDE);
        server.make(beside.database());
        try {
            BackupContents contents = pour(file, beside);
            requireHeld(contents, beside);
            take(beside.database());
            return contents;
        } catch (IOException broken) {
            throw new RestoreRefused("Nothing was brought back: " + file + " is not whole, or not of Kiver: "
                    + broken.getMessage() + ". Take another copy.");
        } finally {
            server.drop(beside.database());
        }
    }

    private BackupContents pour(Path file, DatabaseAddress beside) throws IOException, RestoreRefused, SQLException {
        Soundness.require(file);
        boolean whole;
        try (ZipFile zip = new ZipFile(file.toFile())) {
            whole = zip.getEntry(BackupFile.DUMP) != null;
        }
        if (whole) {
            BackupContents contents = BackupFile.contents(file);
            requireKnown(contents.migration());
            BackupFile.pour(file, beside);
            return contents;
        }
        EverythingPackage.Descriptor descriptor = EverythingPackage.descriptor(file);
        BackupContents contents = descriptor.kiver().contents();
        requireKnown(contents.migration());
        flyway(beside).target(contents.migration()).load().migrate();
        try {
            EverythingPackage.pour(file, descriptor, beside);
        } catch (SQLException faulty) {
            throw new IOException(faulty.getMessage(), faulty);
        }
        return contents;
    }

    private void requireNoNursery() throws RestoreRefused, SQLException {
        if (!server.holds(target.database())) {
            return;
        }
        try (Connection connection = target.connect();
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select to_regclass('public.account') is not null")) {
            found.next();
            if (!found.getBoolean(1)) {
                return;
            }
            try (ResultSet people = statement.executeQuery("select exists (select from account)")) {
                people.next();
                if (people.getBoolean(1)) {
                    throw new RestoreRefused(
                            "There is a nursery here already, and it is left as it is. Name an empty folder:"
                                    + "  KIVER_HOME=/another/folder ./kiver restore FILE");
                }
            }
        }
    }

    private void requireKnown(String migration) throws RestoreRefused {
        MigrationInfo[] known = flyway(target.another("postgres")).load().info().all();
        MigrationVersion newest = Arrays.stream(known)
                .map(MigrationInfo::getVersion)
                .filter(version -> version != null)
                .max(MigrationVersion::compareTo)
                .orElse(MigrationVersion.EMPTY);
        if (MigrationVersion.fromVersion(migration).isNewerThan(newest.getVersion())) {
            throw new RestoreRefused("This copy was made by a newer Kiver (its tables stand at " + migration
                    + ", this program knows " + newest.getVersion() + "). Install the newer one, then bring it back.");
        }
    }

    private static void requireHeld(BackupContents said, DatabaseAddress there) throws IOException, SQLException {
        try (Connection connection = there.connect()) {
            SortedMap<String, Tally> held = Tally.ofAllTables(connection);
            List<String> different = said.tables().keySet().stream()
                    // A package makes its tables anew, so the days on which they were made differ.
                    .filter(table -> !table.equals("flyway_schema_history"))
                    .filter(table -> !said.tables().get(table).equals(held.get(table)))
                    .toList();
            if (!different.isEmpty()) {
                throw new IOException("these tables do not hold what it says: " + String.join(", ", different));
            }
        }
    }

    /** The place of the empty nursery is taken at once or not at all. */
    private void take(String database) throws SQLException {
        server.drop(target.database());
        server.rename(database, target.database());
    }

    private static org.flywaydb.core.api.configuration.FluentConfiguration flyway(DatabaseAddress database) {
        return Flyway.configure().dataSource(database.url(), database.user(), database.password());
    }
}
