package kiver.server.problem;

/** An entry is wrong; nothing was changed. */
public final class Refusal extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * A refusal.
     *
     * @param field name of the entry that is wrong
     * @param message what is wrong and what would be right
     */
    public Refusal(String field, String message) {
        super(message);
        this.field = field;
    }

    /** Name of the entry that is wrong. */
    public String field() {
        return field;
    }
}
