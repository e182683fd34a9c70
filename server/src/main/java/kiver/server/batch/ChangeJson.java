package kiver.server.batch;

import kiver.core.batch.BatchChange;
import kiver.server.number.TypedNumbers;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Writes the details of changes to their stored form and reads them back, in whichever version they were written. */
@Component
class ChangeJson {

    private final JsonMapper json = TypedNumbers.plain(JsonMapper.builder()).build();

    String write(BatchChange change) {
        return json.writeValueAsString(change);
    }

    /**
     * A change as it was recorded.
     *
     * @throws IllegalStateException when its kind or its version is not known
     */
    BatchChange read(String kind, int version, String detail) {
        ChangeKind known = ChangeKind.named(kind);
        if (version == known.version()) {
            return json.readValue(detail, known.type());
        }
        return json.treeToValue(known.upToDate((ObjectNode) json.readTree(detail), version), known.type());
    }
}
