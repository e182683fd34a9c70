package kiver.server.backup;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;

/** The demonstration's winter as it ships, as a file and as a database. */
public final class ShippedWinter {

    public static final Path FILE = Path.of("..", "library", "demo-winter.zip");

    private ShippedWinter() {}

    /** Makes a database of it. */
    public static void bringTo(String url, String user, String password) throws SQLException {
        try {
            new Restore(new DatabaseAddress(url, user, password)).from(FILE);
        } catch (RestoreRefused refused) {
            throw new IllegalStateException("The winter that ships cannot be brought back: ./kiver winter", refused);
        }
    }

    /** Writes the file anew from a database in which the winter was lived through. */
    public static void takeFrom(String url, String user, String password) throws IOException, SQLException {
        try (OutputStream out = Files.newOutputStream(FILE)) {
            EverythingPackage.write(
                    new DatabaseAddress(url, user, password),
                    out,
                    Clock.systemUTC().instant());
        }
    }
}
