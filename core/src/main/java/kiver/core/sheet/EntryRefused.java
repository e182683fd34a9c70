package kiver.core.sheet;

/** An entry of a sheet is wrong. */
public final class EntryRefused extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final transient EntryFault fault;

    public EntryRefused(EntryFault fault) {
        super(fault.toString());
        this.fault = fault;
    }

    /** What is wrong. */
    public EntryFault fault() {
        return fault;
    }

    /** What is wrong with an entry or with the thing that entries were to make. */
    public static EntryFault faultOf(IllegalArgumentException wrong) {
        return wrong instanceof EntryRefused refused
                ? refused.fault()
                : new EntryFault.Impossible(String.valueOf(wrong.getMessage()));
    }
}
