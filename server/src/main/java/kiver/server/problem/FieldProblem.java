package kiver.server.problem;

import jakarta.annotation.Nullable;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;

/**
 * What is wrong with one entry.
 *
 * @param field name of the entry
 * @param message what is wrong and what would be right
 * @param reason kind of it, for example {@code changeFault.NoPlantInCell}; missing where it has none of its own
 */
public record FieldProblem(
        String field, Said message, @Nullable String reason) {

    /** A problem without a kind of its own. */
    public FieldProblem(String field, Said message) {
        this(field, message, null);
    }

    /** A problem for which there is a reason of a sealed family. */
    static FieldProblem of(String field, Object reason) {
        return new FieldProblem(field, Said.of((Record) reason), Wording.key(reason.getClass()));
    }
}
