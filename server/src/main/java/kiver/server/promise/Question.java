package kiver.server.promise;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kiver.core.order.LeafStage;
import kiver.core.order.Protection;

/**
 * What was understood of a question.
 *
 * @param plants asked for
 * @param varieties that were meant: one when it was named, all of the crop when the crop was
 * @param day on which they are wanted
 * @param site where they are to stand
 * @param container they are wanted in
 * @param stage at which they are wanted
 * @param protection they will stand under, when that was said
 * @param notUnderstood words that meant nothing, in their order
 */
record Question(
        OptionalInt plants,
        List<String> varieties,
        Optional<LocalDate> day,
        Optional<String> site,
        Optional<String> container,
        Optional<LeafStage> stage,
        Optional<Protection> protection,
        List<String> notUnderstood) {

    public Question {
        varieties = List.copyOf(varieties);
        notUnderstood = List.copyOf(notUnderstood);
    }

    /** What a question may leave unsaid. */
    public enum Missing {
        PLANTS,
        VARIETY,
        DAY
    }

    /** What must still be said before it can be answered. */
    public List<Missing> missing() {
        List<Missing> missing = new ArrayList<>();
        if (plants.isEmpty()) {
            missing.add(Missing.PLANTS);
        }
        if (varieties.isEmpty()) {
            missing.add(Missing.VARIETY);
        }
        if (day.isEmpty()) {
            missing.add(Missing.DAY);
        }
        return List.copyOf(missing);
    }
}
