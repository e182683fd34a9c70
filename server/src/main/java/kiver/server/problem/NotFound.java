package kiver.server.problem;

import kiver.server.wording.Said;

/** The thing asked for does not exist, or is not this person's to see; both are told alike. */
public final class NotFound extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final Said said;

    public NotFound(Said said) {
        super(said.toString());
        this.said = said;
    }

    /** What there is not. */
    public Said said() {
        return said;
    }
}
