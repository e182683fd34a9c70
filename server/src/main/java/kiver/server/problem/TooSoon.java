package kiver.server.problem;

import java.time.Duration;
import kiver.server.wording.Said;

/** Something was tried too often; it may be tried again after a while. */
public final class TooSoon extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final Said said;
    private final transient Duration wait;

    public TooSoon(Said said, Duration wait) {
        super(said.toString());
        this.said = said;
        this.wait = wait;
    }

    /** What is told. */
    public Said said() {
        return said;
    }

    /** How long to wait. */
    public Duration toWait() {
        return wait;
    }
}
