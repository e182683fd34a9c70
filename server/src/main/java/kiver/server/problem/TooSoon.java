package kiver.server.problem;

import java.time.Duration;

/** Something was tried too often; it may be tried again after a while. */
public final class TooSoon extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient Duration wait;

    public TooSoon(String message, Duration wait) {
        super(message);
        this.wait = wait;
    }

    /** How long to wait. */
    public Duration toWait() {
        return wait;
    }
}
