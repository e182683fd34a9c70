package kiver.server.backup;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Looks every quarter of an hour whether a copy is due. */
@Component
class NightlyCopies implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(NightlyCopies.class);

    /** The first minutes after a start belong to whoever started it. */
    private static final int FIRST_MINUTES = 5;

    private static final int MINUTES = 15;

    private final Safekeeping safekeeping;
    private ScheduledExecutorService looking;

    NightlyCopies(Safekeeping safekeeping) {
        this.safekeeping = safekeeping;
    }

    @Override
    public synchronized void start() {
        looking = Executors.newSingleThreadScheduledExecutor(task -> {
            Thread thread = new Thread(task, "nightly-copies");
            thread.setDaemon(true);
            return thread;
        });
        looking.scheduleWithFixedDelay(this::look, FIRST_MINUTES, MINUTES, TimeUnit.MINUTES);
    }

    @Override
    public synchronized void stop() {
        if (looking != null) {
            looking.shutdownNow();
            looking = null;
        }
    }

    @Override
    public synchronized boolean isRunning() {
        return looking != null;
    }

    private void look() {
        try {
            safekeeping.copyWhenDue();
        } catch (RuntimeException failed) {
            // A look that fails must not end the looking.
            LOG.error("Whether a copy is due could not be told: {}", failed.getMessage());
        }
    }
}
