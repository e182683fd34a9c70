package kiver.server.batch;

import java.util.Optional;

/** Knows which batches' cells must stay where they were set aside; filled by those above who laid them out on purpose. */
public interface HeldLayouts {

    /** The name of the trial that a batch's cells were shared out for, if they were. */
    Optional<String> trialOf(int batch);
}
