package kiver.core.batch;

/** A change cannot be true of the batch as it stands; nothing of it was recorded. */
public final class ChangeRefused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final transient ChangeFault fault;

    /**
     * A refusal.
     *
     * @param field the entry that is wrong, by its name in the change
     * @param fault what is wrong
     */
    public ChangeRefused(String field, ChangeFault fault) {
        super(field + ": " + fault);
        this.field = field;
        this.fault = fault;
    }

    /** The entry that is wrong, by its name in the change. */
    public String field() {
        return field;
    }

    /** What is wrong. */
    public ChangeFault fault() {
        return fault;
    }
}
