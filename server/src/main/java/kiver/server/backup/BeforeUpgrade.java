package kiver.server.backup;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.flywaydb.core.Flyway;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A newer program makes a whole copy before it changes the tables; without one it does not begin. */
@Configuration(proxyBeanMethods = false)
class BeforeUpgrade {

    private static final Logger LOG = LoggerFactory.getLogger(BeforeUpgrade.class);

    @Bean
    FlywayMigrationStrategy copyThenMigrate(
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password,
            @Value("${kiver.backups:}") String folder,
            Clock calendar) {
        return flyway -> {
            if (!folder.isBlank() && changesTables(flyway)) {
                copy(new DatabaseAddress(url, user, password), new Copies(Path.of(folder)), calendar);
            }
            flyway.migrate();
        };
    }

    private static boolean changesTables(Flyway flyway) {
        return flyway.info().applied().length > 0 && flyway.info().pending().length > 0;
    }

    private static void copy(DatabaseAddress database, Copies copies, Clock calendar) {
        Instant now = calendar.instant();
        try {
            Path file = copies.file(Copies.Reason.UPGRADE, now.atZone(ZoneOffset.UTC));
            BackupFile.write(database, file, now);
            copies.tidy();
            LOG.info("Copied to {} before the tables are changed", file);
        } catch (IOException | SQLException failed) {
            throw new IllegalStateException(
                    "No copy could be made before the upgrade, so nothing was changed: " + failed.getMessage(), failed);
        }
    }
}
