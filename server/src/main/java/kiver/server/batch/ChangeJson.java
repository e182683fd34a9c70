package kiver.server.batch;

import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.BatchChange;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes changes to their stored form and reads them back; the kind is the change's own name. */
@Component
class ChangeJson {

    private static final Map<String, Class<? extends BatchChange>> KINDS = Stream.of(
                    BatchChange.Sown.class, BatchChange.LeftUnsown.class, BatchChange.Counted.class, BatchChange.Lost.class,
                    BatchChange.PottedOn.class, BatchChange.Moved.class, BatchChange.HardeningStarted.class,
                    BatchChange.HardenedForDay.class, BatchChange.HardeningEnded.class, BatchChange.Released.class,
                    BatchChange.Corrected.class)
            .collect(Collectors.toMap(Class::getSimpleName, kind -> kind));

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
