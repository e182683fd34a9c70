package kiver.core.batch;

/** A change cannot be true of the batch as it stands; nothing of it was recorded. */
public final class ChangeRefused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * A refusal.
     *
     * @param field the entry that is wrong, by its name in the change
     * @param message what is wrong and what would be right
     */
    public ChangeRefused(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The entry that is wrong, by its name in the change. */
    public String field() {
        return field;
    }
}
