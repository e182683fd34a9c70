package kiver.server.play;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import kiver.server.backup.CopiesBeside;
import kiver.server.backup.CopiesBeside.CopyBeside;
import kiver.server.clock.NurseryClock;
import kiver.server.play.PlayHost.Running;
import kiver.server.problem.Refusal;
import kiver.server.space.PastYears;
import kiver.server.wording.Said;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Component;

/**
 * A season played in a copy of the nursery: the copy is made while people go on working, opened as a Kiver of its own for one
 * person, and thrown away. One at a time; it ends with this application at the latest.
 */
@Component
class Plays implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Plays.class);
    private static final int BYTES_OF_A_WORD = 24;

    private final CopiesBeside copies;
    private final PlayHost host;
    private final PastYears years;
    private final NurseryClock clock;
    private final Environment environment;
    private final String library;
    private final String port;
    private final SecureRandom random = new SecureRandom();
    private final ExecutorService beginning = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "beginning a play");
        thread.setDaemon(true);
        return thread;
    });

    private @Nullable Play play;

    Plays(
            CopiesBeside copies,
            PlayHost host,
            PastYears years,
            NurseryClock clock,
            Environment environment,
            @Value("${kiver.library}") String library,
            @Value("${kiver.play.port:0}") String port) {
        this.copies = copies;
        this.host = host;
        this.years = years;
        this.clock = clock;
        this.environment = environment;
        this.library = library;
        this.port = port;
    }

    /** How far a play is. */
    enum Stage {
        COPYING,
        OPENING,
        OPEN,
        /** It could not be begun, or ended by itself. */
        FAILED
    }

    /** A play; what is not there yet is null. */
    private static final class Play {
        private final long account;
        private final int year;
        private final LocalDate from;
        private final String word;
        private Stage stage = Stage.COPYING;
        private @Nullable CopyBeside copy;
        private @Nullable Running process;
        private int port;

        Play(long account, int year, LocalDate from, String word) {
            this.account = account;
            this.year = year;
            this.from = from;
            this.word = word;
        }
    }

    /**
     * How a play stands.
     *
     * @param account who plays
     * @param year whose weather is played
     * @param from day on which it began
     * @param port at which it is reached; 0 until it is open
     * @param word by which it opens, for nobody but whoever plays
     */
    record Standing(long account, int year, LocalDate from, Stage stage, int port, String word) {}

    /** The play that is on, if any. */
    synchronized Optional<Standing> standing() {
        return Optional.ofNullable(play).map(Plays::standing);
    }

    private static Standing standing(Play now) {
        return new Standing(now.account, now.year, now.from, now.stage, now.port, now.word);
    }

    /**
     * Begins one.
     *
     * @throws Refusal when one is on already, this is one, or that year's weather is not known whole
     */
    Standing begin(long account, int year) {
        if (environment.acceptsProfiles(Profiles.of("play"))) {
            throw new Refusal(
                    "year",
                    Said.of("This is a copy in which a season is played already. Begin another in the nursery."));
        }
        years.named(year);
        synchronized (this) {
            if (play != null && play.stage != Stage.FAILED) {
                throw new Refusal("year", Said.of("A season is being played already. End that play first."));
            }
            byte[] word = new byte[BYTES_OF_A_WORD];
            random.nextBytes(word);
            Play begun = new Play(account, year, clock.today(), HexFormat.of().formatHex(word));
            play = begun;
            beginning.execute(() -> open(begun));
            return standing(begun);
        }
    }

    private void open(Play begun) {
        try {
            CopyBeside copy = copies.make();
            if (!isStill(begun, () -> {
                begun.copy = copy;
                begun.stage = Stage.OPENING;
            })) {
                copies.drop(copy);
                return;
            }
            Running process = host.start(settings(begun, copy));
            if (!isStill(begun, () -> begun.process = process)) {
                process.end();
                copies.drop(copy);
                return;
            }
            int reachedAt = process.port();
            if (!isStill(begun, () -> {
                begun.port = reachedAt;
                begun.stage = Stage.OPEN;
            })) {
                process.end();
                copies.drop(copy);
                return;
            }
            process.whenEnded(() -> fail(begun));
        } catch (IOException | SQLException | RuntimeException failed) {
            LOG.error("A season could not be played", failed);
            fail(begun);
        } catch (InterruptedException ended) {
            fail(begun);
            Thread.currentThread().interrupt();
        }
    }

    private Map<String, String> settings(Play begun, CopyBeside copy) {
        Map<String, String> settings = new HashMap<>(copy.environment());
        settings.put("SPRING_PROFILES_ACTIVE", "play");
        settings.put("KIVER_PORT", port);
        settings.put(
                "KIVER_LIBRARY", Path.of(library).toAbsolutePath().normalize().toString());
        settings.put("KIVER_SESSION_COOKIE", "PLAYED");
        settings.put("KIVER_PLAY_YEAR", Integer.toString(begun.year));
        settings.put("KIVER_PLAY_TODAY", begun.from.toString());
        settings.put("KIVER_PLAY_ACCOUNT", Long.toString(begun.account));
        settings.put("KIVER_PLAY_WORD", begun.word);
        settings.put("KIVER_PLAY_SEED", Long.toString(random.nextLong()));
        settings.put("KIVER_DEMO", "false");
        settings.put("KIVER_SEASON_OF", "0");
        settings.put("KIVER_BACKUPS", "");
        settings.put("KIVER_LOG", "");
        return settings;
    }

    /** Does something to a play unless it was ended meanwhile. */
    private synchronized boolean isStill(Play begun, Runnable then) {
        if (play != begun) {
            return false;
        }
        then.run();
        return true;
    }

    private void fail(Play begun) {
        if (isStill(begun, () -> begun.stage = Stage.FAILED)) {
            putAway(begun);
        }
    }

    /** Ends the play, if there is one; nothing of it is kept. */
    void end() {
        Play ended;
        synchronized (this) {
            ended = play;
            play = null;
        }
        if (ended != null) {
            putAway(ended);
        }
    }

    private void putAway(Play ended) {
        if (ended.process != null) {
            ended.process.end();
        }
        if (ended.copy != null) {
            try {
                copies.drop(ended.copy);
            } catch (SQLException failed) {
                LOG.warn("A copy could not be thrown away; it is when Kiver starts next", failed);
            }
        }
    }

    /** A machine may have gone off in the middle of a play. */
    @EventListener(ApplicationReadyEvent.class)
    void clear() {
        if (!environment.acceptsProfiles(Profiles.of("play"))) {
            copies.dropLeftBehind();
        }
    }

    @Override
    public void destroy() {
        beginning.shutdownNow();
        end();
    }
}
