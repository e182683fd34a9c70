package kiver.server.backup;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import kiver.server.clock.NurseryClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Makes copies of the nursery, each night by rule and when somebody wants one, and says how things stand with them. */
@Component
public class Safekeeping {

    private static final Logger LOG = LoggerFactory.getLogger(Safekeeping.class);

    /** In these hours nobody sows. */
    private static final int NIGHT_BEGINS = 1;

    private static final int NIGHT_ENDS = 5;

    /** A machine that is off at night has its copy made by day. */
    private static final Duration AT_MOST = Duration.ofHours(30);

    private static final Duration OLD = Duration.ofDays(3);
    private static final long LOW_ON_DISK = 1L << 30;

    /** Held while a copy is written, so that two instances do not write the same one. */
    private static final long WRITING = 4720;

    private final DatabaseAddress database;
    private final @Nullable Copies copies;
    private final NurseryClock nursery;
    private final Clock calendar;
    private final Instant startedAt;
    private volatile @Nullable String trouble;

    Safekeeping(
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password,
            @Value("${kiver.backups:}") String folder,
            NurseryClock nursery,
            Clock calendar) {
        this.database = new DatabaseAddress(url, user, password);
        this.copies = folder.isBlank() ? null : new Copies(Path.of(folder));
        this.nursery = nursery;
        this.calendar = calendar;
        this.startedAt = calendar.instant();
    }

    /**
     * How things stand.
     *
     * @param folder where copies lie; null where no folder is named and none are made
     * @param copies the last one first
     * @param old whether the last copy is older than three days, or there is none that long after the start
     * @param freeBytes what is left on that disk; null where it cannot be told
     * @param lowOnDisk whether that is less than a gibibyte
     * @param trouble why the last attempt failed; null when it did not
     */
    record State(
            @Nullable Path folder,
            List<Copies.Copy> copies,
            boolean old,
            @Nullable Long freeBytes,
            boolean lowOnDisk,
            @Nullable String trouble) {}

    State state() {
        List<Copies.Copy> all = List.of();
        String unread = null;
        try {
            all = copies == null ? List.of() : copies.all();
        } catch (UncheckedIOException unreadable) {
            unread = why(unreadable.getCause());
        }
        Instant last = all.isEmpty() ? startedAt : all.get(0).madeAt();
        Long free = freeBytes();
        return new State(
                copies == null ? null : copies.folder(),
                all,
                copies != null && last.plus(OLD).isBefore(calendar.instant()),
                free,
                free != null && free < LOW_ON_DISK,
                unread == null ? trouble : unread);
    }

    /** Makes one now. */
    void copy(Copies.Reason reason) throws IOException, SQLException {
        if (copies == null) {
            throw new IllegalStateException("no folder is named");
        }
        try (Connection holding = database.connect();
                PreparedStatement lock = holding.prepareStatement("select pg_try_advisory_lock(?)")) {
            lock.setLong(1, WRITING);
            try (ResultSet held = lock.executeQuery()) {
                held.next();
                if (!held.getBoolean(1)) {
                    return;
                }
            }
            Files.createDirectories(copies.folder());
            BackupFile.write(database, copies.file(reason, now()), calendar.instant());
            copies.tidy();
            trouble = null;
        } catch (IOException | SQLException failed) {
            trouble = why(failed);
            throw failed;
        }
    }

    /** What the machine says; of a file that is in the way it says only the name. */
    static String why(Exception failed) {
        return failed instanceof FileSystemException file && file.getReason() == null
                ? file.getClass().getSimpleName().replace("Exception", "") + " " + file.getFile()
                : String.valueOf(failed.getMessage());
    }

    /** Makes this night's copy when it is due; what goes wrong is kept to be shown, and tried again. */
    void copyWhenDue() {
        if (copies == null || nursery.nursery().isEmpty() || !isDue()) {
            return;
        }
        try {
            copy(Copies.Reason.NIGHT);
        } catch (IOException | SQLException failed) {
            LOG.error("No copy could be made: {}", failed.getMessage());
        }
    }

    private boolean isDue() {
        ZonedDateTime now = now();
        LocalDate today = now.toLocalDate();
        Optional<Copies.Copy> last = copies.all().stream()
                .filter(copy -> copy.reason() == Copies.Reason.NIGHT)
                .findFirst();
        if (last.isEmpty()) {
            return true;
        }
        boolean night = now.getHour() >= NIGHT_BEGINS && now.getHour() < NIGHT_ENDS;
        return night && last.get().night().isBefore(today)
                || last.get().madeAt().plus(AT_MOST).isBefore(calendar.instant());
    }

    /** Writes everything as an open data package. */
    public void writeEverything(OutputStream out) throws IOException, SQLException {
        EverythingPackage.write(database, out, calendar.instant());
    }

    private ZonedDateTime now() {
        return calendar.instant().atZone(nursery.zone());
    }

    private @Nullable Long freeBytes() {
        try {
            Path near = copies == null ? Path.of("").toAbsolutePath() : copies.folder();
            while (near != null && !Files.exists(near)) {
                near = near.getParent();
            }
            return near == null ? null : Files.getFileStore(near).getUsableSpace();
        } catch (IOException untold) {
            return null;
        }
    }
}
