package kiver.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Copies of the whole nursery in databases of their own on the same server, to be thrown away after use. */
@Component
public class CopiesBeside {

    private static final Logger LOG = LoggerFactory.getLogger(CopiesBeside.class);

    /** PostgreSQL cuts longer names. */
    private static final int LONGEST_NAME = 40;

    private final DatabaseAddress nursery;
    private final DatabaseServer server;

    CopiesBeside(
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.nursery = new DatabaseAddress(url, user, password);
        this.server = new DatabaseServer(nursery);
    }

    /**
     * A copy.
     *
     * @param database its name
     * @param environment by which an application of its own finds it
     */
    public record CopyBeside(String database, Map<String, String> environment) {}

    /**
     * Copies the nursery while people go on working.
     *
     * @throws IOException when it cannot be copied, for example because the disk is full; nothing is left behind then
     */
    public CopyBeside make() throws IOException, SQLException {
        String name = prefix() + UUID.randomUUID().toString().substring(0, 8).toLowerCase(Locale.ROOT);
        Path file = Files.createTempFile("kiver", ".zip");
        try {
            BackupFile.write(nursery, file, Instant.now());
            server.make(name);
            DatabaseAddress there = nursery.another(name);
            BackupFile.pour(file, there);
            return new CopyBeside(
                    name,
                    Map.of(
                            "KIVER_DATABASE_URL", there.url(),
                            "KIVER_DATABASE_USER", there.user(),
                            "KIVER_DATABASE_PASSWORD", there.password()));
        } catch (IOException | SQLException failed) {
            server.drop(name);
            throw failed;
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** Throws a copy away. */
    public void drop(CopyBeside copy) throws SQLException {
        server.drop(copy.database());
    }

    /** Throws away what a machine left behind that went off while there was a copy. */
    public void dropLeftBehind() {
        try {
            for (String left : server.unusedBeginning(prefix())) {
                server.drop(left);
            }
        } catch (SQLException unreachable) {
            LOG.warn("Copies left behind could not be thrown away", unreachable);
        }
    }

    private String prefix() {
        String name = nursery.database();
        return name.substring(0, Math.min(name.length(), LONGEST_NAME)) + "_play_";
    }
}
