package kiver.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A newer program copies before it changes tables. */
class BeforeUpgradeTest {

    private static final Clock NOW = Clock.fixed(Instant.parse("2027-04-15T10:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    @Test
    void tablesAreChangedOnlyAfterACopyAndNotWithoutOne() throws Exception {
        try (ScratchDatabases databases = new ScratchDatabases()) {
            DatabaseAddress older = databases.migrated("older", "50");
            ScratchDatabases.execute(older, "insert into grower (name) values ('Of old')");
            Path blocked = folder.resolve("blocked");
            Files.writeString(blocked, "not a folder");
            assertThatThrownBy(() -> start(older, blocked)).hasMessageContaining("nothing was changed");
            assertThat(flyway(older).info().current().getVersion().getVersion()).isEqualTo("50");

            start(older, folder);
            assertThat(flyway(older).info().pending()).isEmpty();
            Path copy = folder.resolve("kiver-upgrade-2027-04-15-100000.zip");
            BackupContents contents = BackupFile.contents(copy);
            assertThat(contents.migration()).isEqualTo("50");
            assertThat(contents.tables().get("grower").rows()).isEqualTo(1);

            start(older, folder);
            assertThat(new Copies(folder).all()).hasSize(1);
        }
    }

    @Test
    void anEmptyDatabaseNeedsNone() throws SQLException, IOException {
        try (ScratchDatabases databases = new ScratchDatabases()) {
            start(databases.empty("empty"), folder);
            assertThat(new Copies(folder).all()).isEmpty();
        }
    }

    private static void start(DatabaseAddress database, Path folder) {
        new BeforeUpgrade()
                .copyThenMigrate(database.url(), database.user(), database.password(), folder.toString(), NOW)
                .migrate(flyway(database));
    }

    private static Flyway flyway(DatabaseAddress database) {
        return Flyway.configure()
                .dataSource(database.url(), database.user(), database.password())
                .load();
    }
}
