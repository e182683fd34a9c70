package kiver.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.postgresql.PGConnection;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything a nursery has in an open form: a zip of one CSV file a table and {@code datapackage.json}, which describes them
 * as a tabular data package (Frictionless, version 1). Photographs stand in their column as hexadecimal digits. It comes in
 * again into an empty database, and nothing is lost: an empty cell is nothing, a cell of two quotes is an empty text.
 */
final class EverythingPackage {

    static final String DESCRIPTOR = "datapackage.json";

    private static final String PROFILE = "tabular-data-package";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private EverythingPackage() {}

    /**
     * The descriptor.
     *
     * @param name lower case, as the specification wants it
     * @param profile that this is a tabular data package
     * @param title the nursery's name
     * @param created when the snapshot was taken
     * @param kiver what is needed to take it in again, beyond what the specification knows
     * @param resources a table each
     */
    record Descriptor(
            String name, String profile, String title, Instant created, Kiver kiver, List<Resource> resources) {}

    /**
     * What the specification has no word for.
     *
     * @param contents what each table held
     * @param sequences the last number given out by each, by name
     */
    record Kiver(BackupContents contents, Map<String, Long> sequences) {}

    /** A table as a file. */
    record Resource(String name, String path, String profile, String encoding, TableSchema schema) {}

    /** Writes everything while people go on working. */
    static BackupContents write(DatabaseAddress database, OutputStream out, Instant now)
            throws IOException, SQLException {
        try (Connection connection = database.connect();
                ZipOutputStream zip = new ZipOutputStream(out)) {
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            BackupContents contents = BackupContents.of(connection, now);
            List<TableSchema.Table> tables = TableSchema.tables(connection);
            zip.putNextEntry(new ZipEntry(DESCRIPTOR));
            zip.write(JSON.writerWithDefaultPrettyPrinter()
                    .writeValueAsBytes(new Descriptor(
                            "kiver-nursery",
                            PROFILE,
                            contents.nursery() == null ? "Kiver" : contents.nursery(),
                            now,
                            new Kiver(contents, TableSchema.sequences(connection)),
                            tables.stream().map(EverythingPackage::resource).toList())));
            zip.closeEntry();
            for (TableSchema.Table table : tables) {
                zip.putNextEntry(new ZipEntry(path(table)));
                connection
                        .unwrap(PGConnection.class)
                        .getCopyAPI()
                        .copyOut(
                                "copy public." + table.quoted() + " (" + table.quotedColumns()
                                        + ") to stdout (format csv, header)",
                                zip);
                zip.closeEntry();
            }
            connection.rollback();
            return contents;
        }
    }

    /** What a package says of itself. */
    static Descriptor descriptor(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = entry(zip, DESCRIPTOR)) {
            Descriptor descriptor = JSON.readValue(in, Descriptor.class);
            if (!PROFILE.equals(descriptor.profile()) || descriptor.kiver() == null) {
                throw new IOException("it is a data package, but not one of a whole nursery");
            }
            return descriptor;
        } catch (JacksonException unreadable) {
            throw new IOException("its datapackage.json cannot be read", unreadable);
        }
    }

    /** Puts what a package holds into a database whose tables have gone through the same migrations and no others. */
    static void pour(Path file, Descriptor descriptor, DatabaseAddress database) throws IOException, SQLException {
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement();
                ZipFile zip = new ZipFile(file.toFile())) {
            connection.setAutoCommit(false);
            List<TableSchema.Table> tables = TableSchema.tables(connection);
            List<String> names = new ArrayList<>();
            for (TableSchema.Table table : tables) {
                // What the tables themselves write down of a change is in the package already.
                statement.execute("alter table public." + table.quoted() + " disable trigger user");
                names.add("public." + table.quoted());
            }
            statement.execute("truncate " + String.join(", ", names));
            for (TableSchema.Table table : tables) {
                try (InputStream in = entry(zip, path(table))) {
                    connection
                            .unwrap(PGConnection.class)
                            .getCopyAPI()
                            .copyIn(
                                    "copy public." + table.quoted() + " (" + table.quotedColumns()
                                            + ") from stdin (format csv, header match)",
                                    in);
                }
            }
            for (TableSchema.Table table : tables) {
                statement.execute("alter table public." + table.quoted() + " enable trigger user");
            }
            TableSchema.set(connection, descriptor.kiver().sequences());
            connection.commit();
        }
    }

    private static Resource resource(TableSchema.Table table) {
        return new Resource(table.name(), path(table), "tabular-data-resource", "utf-8", table.schema());
    }

    private static String path(TableSchema.Table table) {
        return "data/" + table.name() + ".csv";
    }

    private static InputStream entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new IOException("there is no " + name + " in it");
        }
        return zip.getInputStream(entry);
    }
}
