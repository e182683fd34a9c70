package kiver.server.space;

import java.util.List;

/** Port: every batch that takes up room now or will; filled by who knows how far batches are. */
public interface BatchesInSpace {

    /** The batches by number. */
    List<BatchInSpace> inSpace();
}
