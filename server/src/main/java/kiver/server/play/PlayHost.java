package kiver.server.play;

import java.io.IOException;
import java.util.Map;

/** Where a season is played: in a process of its own, so that nothing of it can get into the nursery's. */
interface PlayHost {

    /**
     * Starts it.
     *
     * @param settings of it alone, as its environment
     */
    Running start(Map<String, String> settings) throws IOException;

    /** A Kiver on a copy, opening or open. */
    interface Running {

        /** The port at which it is reached, waited for. */
        int port() throws IOException, InterruptedException;

        /** Tells when it has ended, by itself or not. */
        void whenEnded(Runnable then);

        /** Ends it and waits until it has. */
        void end();
    }
}
