package kiver.server.backup;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Clock;
import java.util.Map;
import org.slf4j.LoggerFactory;

/**
 * {@code ./kiver backup}, {@code ./kiver takeout} and {@code ./kiver restore}: without the application, which may run or not.
 */
public final class BackupCommand {

    private BackupCommand() {}

    /** Asked for what and which file; ends with 1 and a line that says why when it cannot. */
    public static void main(String[] arguments) {
        // Whoever calls wants one line, not each step of the tables' history.
        ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).setLevel(Level.WARN);
        Map<String, String> environment = System.getenv();
        DatabaseAddress database = new DatabaseAddress(
                environment.get("KIVER_DATABASE_URL"),
                environment.get("KIVER_DATABASE_USER"),
                environment.get("KIVER_DATABASE_PASSWORD"));
        Path file = Path.of(arguments[1]).toAbsolutePath();
        Clock clock = Clock.systemUTC();
        try {
            switch (arguments[0]) {
                case "backup" -> tell("Backed up to", file, BackupFile.write(database, file, clock.instant()));
                case "takeout" -> tell("Taken out to", file, takeOut(database, file, clock));
                case "restore" -> tell("Brought back from", file, new Restore(database).from(file));
                default -> throw new IllegalArgumentException(arguments[0]);
            }
        } catch (RestoreRefused | IOException | SQLException refused) {
            System.err.println(refused.getMessage());
            System.exit(1);
        }
    }

    private static BackupContents takeOut(DatabaseAddress database, Path file, Clock clock)
            throws IOException, SQLException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            BackupContents contents;
            try (OutputStream out = BackupFile.forItsOwnerOnly(part)) {
                contents = EverythingPackage.write(database, out, clock.instant());
            }
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return contents;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void tell(String what, Path file, BackupContents contents) {
        System.out.printf(
                "%s %s: %,d rows of %d tables%s, as of %s.%n",
                what,
                file,
                contents.rows(),
                contents.tables().size(),
                contents.nursery() == null ? "" : " of " + contents.nursery(),
                contents.madeAt());
    }
}
