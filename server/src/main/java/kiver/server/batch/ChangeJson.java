package kiver.server.batch;

import java.util.Map;
import kiver.core.batch.BatchChange;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes changes to their stored form and reads them back; the kind is the change's own name. */
@Component
class ChangeJson {

    private static final Map<String, Class<? extends BatchChange>> KINDS = Map.of(
            "Sown", BatchChange.Sown.class,
            "Counted", BatchChange.Counted.class,
            "Lost", BatchChange.Lost.class,
            "Moved", BatchChange.Moved.class,
            "HardeningStarted", BatchChange.HardeningStarted.class,
            "HardenedForDay", BatchChange.HardenedForDay.class,
            "HardeningEnded", BatchChange.HardeningEnded.class,
            "Released", BatchChange.Released.class,
            "Corrected", BatchChange.Corrected.class);

    private final JsonMapper json = JsonMapper.builder().build();

    String kind(BatchChange change) {
        return change.getClass().getSimpleName();
    }

    String write(BatchChange change) {
        return json.writeValueAsString(change);
    }

    BatchChange read(String kind, String detail) {
        Class<? extends BatchChange> type = KINDS.get(kind);
        if (type == null) {
            throw new IllegalStateException("The record holds a change of the unknown kind " + kind + ".");
        }
        return json.readValue(detail, type);
    }
}
