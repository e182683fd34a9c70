package kiver.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SortedMap;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What goes out comes back on another machine, in every row, or not at all. */
class RestoredTest {

    private static final Instant NOW = Instant.parse("2027-04-15T10:00:00Z");
    private static final String[] NURSERY = {
        "insert into nursery (name, latitude, station_altitude, demo, telephone, time_zone) values ('Grünthal \"Q\"', 46, 600, false, '', 'UTC')",
        "insert into grower (name) values ('=cmd()'), ('  '), (E'two\\nlines, \"quoted\"'), ('שתילים'), ('O''Dunne; drop')",
        "insert into site (grower_id, name, altitude) select id, 'Näher', 480 from grower",
        "insert into account (email, name, password_hash, role, grower_id) values ('a@b.example', 'Ä', 'x', 'PROPAGATOR', null)",
        "insert into account (email, name, password_hash, role, grower_id) select 'g@b.example', '', 'x', 'GROWER', min(id) from grower",
    };

    @TempDir
    Path folder;

    private ScratchDatabases databases;
    private DatabaseAddress here;

    @BeforeEach
    void aNursery() throws SQLException {
        databases = new ScratchDatabases();
        here = databases.current("here");
        ScratchDatabases.execute(here, NURSERY);
    }

    @AfterEach
    void gone() throws SQLException {
        databases.close();
    }

    @Test
    void aBackupComesBackInEveryRow() throws Exception {
        Path file = folder.resolve("copy.zip");
        BackupContents written = BackupFile.write(here, file, NOW);
        assertThat(written.nursery()).isEqualTo("Grünthal \"Q\"");
        assertThat(written.tables().get("grower").rows()).isEqualTo(5);
        assertThat(files()).containsExactly("copy.zip");
        assertThat(Files.getPosixFilePermissions(file))
                .as("nobody else on the machine may read it")
                .containsOnly(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);

        DatabaseAddress there = databases.free("there");
        BackupContents back = new Restore(there).from(file);
        assertThat(back).isEqualTo(written);
        assertThat(rows(there, "grower")).isEqualTo(rows(here, "grower"));
        assertThat(tallies(there)).isEqualTo(tallies(here));
        assertThat(nextGrower(there)).isEqualTo(6);
    }

    @Test
    void thePackageComesBackInEveryRow() throws Exception {
        Path file = everything();
        DatabaseAddress there = databases.free("there");
        new Restore(there).from(file);
        SortedMap<String, Tally> held = tallies(there);
        SortedMap<String, Tally> before = tallies(here);
        held.remove("flyway_schema_history");
        before.remove("flyway_schema_history");
        assertThat(held).isEqualTo(before);
        assertThat(rows(there, "grower")).isEqualTo(rows(here, "grower"));
        assertThat(nextGrower(there)).isEqualTo(6);
        assertThatThrownBy(() -> ScratchDatabases.execute(
                        there, "insert into site (grower_id, name, altitude) values (99, '', 1)"))
                .as("what one table says of another is watched as before")
                .hasMessageContaining("foreign key");
    }

    @Test
    void thePackageIsReadByAnythingThatReadsCsv() throws Exception {
        EverythingPackage.Descriptor descriptor = EverythingPackage.descriptor(everything());
        assertThat(descriptor.profile()).isEqualTo("tabular-data-package");
        EverythingPackage.Resource growers = descriptor.resources().stream()
                .filter(resource -> resource.name().equals("grower"))
                .findFirst()
                .orElseThrow();
        assertThat(growers.schema().primaryKey()).containsExactly("id");
        assertThat(growers.schema().fields()).contains(new TableSchema.Field("name", "string"));
        assertThat(descriptor.resources().stream()
                        .filter(resource -> resource.name().equals("site"))
                        .findFirst()
                        .orElseThrow()
                        .schema()
                        .foreignKeys())
                .extracting(key -> key.reference().resource())
                .contains("grower");
        try (java.util.zip.ZipFile zip =
                new java.util.zip.ZipFile(folder.resolve("all.zip").toFile())) {
            List<CSVRecord> read = CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(new java.io.InputStreamReader(
                            zip.getInputStream(zip.getEntry(growers.path())), java.nio.charset.StandardCharsets.UTF_8))
                    .getRecords();
            assertThat(read)
                    .extracting(record -> record.get("name"))
                    .containsExactly("=cmd()", "  ", "two\nlines, \"quoted\"", "שתילים", "O'Dunne; drop");
        }
    }

    @Test
    void aNurseryThatIsThereIsLeftAsItIs() throws Exception {
        Path file = folder.resolve("copy.zip");
        BackupFile.write(here, file, NOW);
        ScratchDatabases.execute(here, "update nursery set name = 'Changed since'");
        assertThatThrownBy(() -> new Restore(here).from(file))
                .isInstanceOf(RestoreRefused.class)
                .hasMessageContaining("a nursery here already");
        assertThat(rows(here, "nursery")).singleElement().asString().contains("Changed since");
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 40, 300, 2_000, 20_000})
    void aTornFileChangesNothing(int bytes) throws Exception {
        Path file = folder.resolve("copy.zip");
        BackupFile.write(here, file, NOW);
        byte[] whole = Files.readAllBytes(file);
        assertThat(whole.length).isGreaterThan(20_000);
        Files.write(file, Arrays.copyOf(whole, bytes));
        requireRefused(file, "is not whole, or not of Kiver");
    }

    @Test
    void aByteThatRottedIsFound() throws Exception {
        Path file = folder.resolve("copy.zip");
        BackupFile.write(here, file, NOW);
        byte[] whole = Files.readAllBytes(file);
        whole[whole.length / 2] ^= 0x10;
        Files.write(file, whole);
        requireRefused(file, "is not whole, or not of Kiver");
    }

    @Test
    void anotherTableThanItSaysIsFound() throws Exception {
        Path file = everything();
        try (java.nio.file.FileSystem zip = java.nio.file.FileSystems.newFileSystem(file)) {
            Path growers = zip.getPath("data", "grower.csv");
            Files.writeString(growers, Files.readString(growers).replace("=cmd()", "=cme()"));
        }
        requireRefused(file, "these tables do not hold what it says: grower");
    }

    @Test
    void aRowThatDoesNotFitIsFound() throws Exception {
        Path file = everything();
        try (java.nio.file.FileSystem zip = java.nio.file.FileSystems.newFileSystem(file)) {
            Path sites = zip.getPath("data", "site.csv");
            Files.writeString(sites, Files.readString(sites).replace(",480", ",high"));
        }
        requireRefused(file, "high");
    }

    @Test
    void aCopyOfANewerProgramWaitsForIt() throws Exception {
        ScratchDatabases.execute(
                here,
                "update flyway_schema_history set version = '9999' where installed_rank = (select max(installed_rank) from flyway_schema_history)");
        Path file = folder.resolve("copy.zip");
        BackupFile.write(here, file, NOW);
        requireRefused(file, "made by a newer Kiver");
    }

    @Test
    void anOlderCopyComesBackAndIsBroughtUpToDateWhenTheProgramStarts() throws Exception {
        DatabaseAddress older = databases.migrated("older", "50");
        ScratchDatabases.execute(older, "insert into grower (name) values ('Of old')");
        Path file = folder.resolve("older.zip");
        BackupFile.write(older, file, NOW);
        DatabaseAddress there = databases.free("there");
        assertThat(new Restore(there).from(file).migration()).isEqualTo("50");
        org.flywaydb.core.Flyway.configure()
                .dataSource(there.url(), there.user(), there.password())
                .load()
                .migrate();
        assertThat(rows(there, "grower")).singleElement().asString().contains("Of old");
    }

    @Test
    void whatCannotBeWrittenLeavesNothingBehind() {
        Path nowhere = folder.resolve("no such folder").resolve("copy.zip");
        assertThatThrownBy(() -> BackupFile.write(here, nowhere, NOW)).isInstanceOf(IOException.class);
        DatabaseAddress away = new DatabaseAddress(here.another("not_there").url(), here.user(), here.password());
        assertThatThrownBy(() -> BackupFile.write(away, folder.resolve("copy.zip"), NOW))
                .isInstanceOf(SQLException.class);
        assertThat(files()).isEmpty();
    }

    /** Rows come in the whole time: the copy is of one moment, and holds what it says. */
    @Test
    void aCopyIsOfOneMomentWhilePeopleGoOn() throws Exception {
        AtomicBoolean over = new AtomicBoolean();
        Thread people = new Thread(() -> {
            for (int each = 0; !over.get(); each++) {
                try {
                    ScratchDatabases.execute(
                            here,
                            "with g as (insert into grower (name) values ('busy " + each + "') returning id)"
                                    + " insert into site (grower_id, name, altitude) select id, 'of it', 1 from g");
                } catch (SQLException failed) {
                    throw new IllegalStateException(failed);
                }
            }
        });
        people.start();
        Path file = folder.resolve("busy.zip");
        try {
            BackupFile.write(here, file, NOW);
        } finally {
            over.set(true);
            people.join();
        }
        DatabaseAddress there = databases.free("there");
        BackupContents back = new Restore(there).from(file);
        assertThat(tallies(there)).isEqualTo(back.tables());
        assertThat(rows(there, "site")).hasSameSizeAs(rows(there, "grower"));
        assertThat(rows(here, "grower").size())
                .isGreaterThan(rows(there, "grower").size());
    }

    private void requireRefused(Path file, String why) throws SQLException {
        DatabaseAddress there = databases.free("there");
        assertThatThrownBy(() -> new Restore(there).from(file))
                .isInstanceOf(RestoreRefused.class)
                .hasMessageContaining(why);
        assertThatThrownBy(there::connect).hasMessageContaining("does not exist");
        assertThatThrownBy(there.another(there.database() + "_restoring")::connect)
                .hasMessageContaining("does not exist");
    }

    private Path everything() throws IOException, SQLException {
        Path file = folder.resolve("all.zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            EverythingPackage.write(here, out, NOW);
        }
        return file;
    }

    private List<String> files() {
        String[] names = folder.toFile().list();
        return names == null ? List.of() : List.of(names);
    }

    private static SortedMap<String, Tally> tallies(DatabaseAddress database) throws SQLException {
        try (Connection connection = database.connect()) {
            return Tally.ofAllTables(connection);
        }
    }

    private static List<String> rows(DatabaseAddress database, String table) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select t::text from " + table + " t order by 1")) {
            while (found.next()) {
                rows.add(found.getString(1));
            }
        }
        return rows;
    }

    private static long nextGrower(DatabaseAddress database) throws SQLException {
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement();
                ResultSet added = statement.executeQuery("insert into grower (name) values ('Next') returning id")) {
            added.next();
            return added.getLong(1);
        }
    }
}
