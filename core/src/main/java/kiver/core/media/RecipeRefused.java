package kiver.core.media;

/** A recipe that is none, with the reason. */
public final class RecipeRefused extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final transient RecipeFault fault;

    RecipeRefused(RecipeFault fault) {
        super(fault.toString());
        this.fault = fault;
    }

    /** What is wrong. */
    public RecipeFault fault() {
        return fault;
    }
}
