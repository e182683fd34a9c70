package kiver.server.problem;

/** The thing asked for does not exist, or is not this person's to see; both are told alike. */
public final class NotFound extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NotFound(String what) {
        super("There is no " + what + ".");
    }
}
