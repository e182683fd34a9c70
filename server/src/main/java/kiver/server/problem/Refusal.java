package kiver.server.problem;

import kiver.server.wording.Said;

/** An entry is wrong; nothing was changed. */
public final class Refusal extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final Said said;

    /**
     * A refusal.
     *
     * @param field name of the entry that is wrong
     * @param said what is wrong and what would be right
     */
    public Refusal(String field, Said said) {
        super(said.toString());
        this.field = field;
        this.said = said;
    }

    /** Name of the entry that is wrong. */
    public String field() {
        return field;
    }

    /** What is wrong and what would be right. */
    public Said said() {
        return said;
    }
}
