package kiver.core.outlook;

/** Why not all can be said of a batch. It is shown among the others with what is known of it. */
public sealed interface BatchTrouble {

    /**
     * An entry of its record cannot be read; what came after is left out.
     *
     * @param entry its place in the record, from 1
     */
    record EntryUnreadable(int entry) implements BatchTrouble {}

    /** Its days or its plan are such that nothing can be worked out. */
    record NotComputable() implements BatchTrouble {}
}
