package kiver.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A whole copy of a database in one file: a zip of {@code contents.json}, which says what each table held, and
 * {@code database.dump} in PostgreSQL's custom form, which its own {@code pg_restore} reads as well.
 */
final class BackupFile {

    static final String CONTENTS = "contents.json";
    static final String DUMP = "database.dump";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private BackupFile() {}

    /**
     * Writes a copy while people go on working; a file of that name is replaced only when the new one is whole and was read
     * to its end.
     *
     * @return what it holds
     * @throws IOException when it cannot be written, for example because the disk is full; nothing is left behind then
     */
    static BackupContents write(DatabaseAddress database, Path file, Instant now) throws IOException, SQLException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            BackupContents contents;
            try (OutputStream out = forItsOwnerOnly(part)) {
                contents = write(database, out, now);
            }
            requireReadable(part);
            force(part);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return contents;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static BackupContents write(DatabaseAddress database, OutputStream out, Instant now)
            throws IOException, SQLException {
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement();
                ZipOutputStream zip = new ZipOutputStream(out)) {
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            String snapshot;
            try (ResultSet exported = statement.executeQuery("select pg_export_snapshot()")) {
                exported.next();
                snapshot = exported.getString(1);
            }
            BackupContents contents = BackupContents.of(connection, now);
            zip.setLevel(Deflater.NO_COMPRESSION);
            zip.putNextEntry(new ZipEntry(CONTENTS));
            zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(contents));
            zip.closeEntry();
            zip.putNextEntry(new ZipEntry(DUMP));
            new PostgresProgram("pg_dump", database.environment())
                    .writeTo(
                            zip,
                            "--format=custom",
                            "--no-owner",
                            "--no-privileges",
                            "--snapshot=" + snapshot,
                            "--exclude-table-data=" + Tally.SESSIONS + "*");
            zip.closeEntry();
            connection.rollback();
            return contents;
        }
    }

    /** What a copy says of itself. */
    static BackupContents contents(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, CONTENTS)) {
            return JSON.readValue(in, BackupContents.class);
        } catch (JacksonException unreadable) {
            throw new IOException(file + " does not say what it holds", unreadable);
        }
    }

    /** Puts what a copy holds into a database that has no tables yet. */
    static void pour(Path file, DatabaseAddress database) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, DUMP)) {
            new PostgresProgram("pg_restore", database.environment())
                    .readFrom(
                            in, "--exit-on-error", "--no-owner", "--no-privileges", "--dbname=" + database.database());
        }
    }

    /** Reads a copy to its end, as restoring it would. */
    private static void requireReadable(Path file) throws IOException {
        Soundness.require(file);
        contents(file);
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, DUMP)) {
            new PostgresProgram("pg_restore", Map.of()).readFrom(in, "--file=/dev/null");
        }
    }

    private static InputStream entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new IOException("there is no " + name + " in it");
        }
        return zip.getInputStream(entry);
    }

    /** It holds what passwords are known by, so nobody else on the machine may read it. */
    static OutputStream forItsOwnerOnly(Path file) throws IOException {
        Files.deleteIfExists(file);
        if (file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        return Files.newOutputStream(file);
    }

    private static void force(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }
}
