package kiver.server.limit;

import kiver.server.wording.Said;

/** What came in is longer, larger or farther away than anything can be meant to be. */
public final class BeyondLimits extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final Said said;

    BeyondLimits(Said said) {
        super(said.toString());
        this.said = said;
    }

    /** What would be right. */
    public Said said() {
        return said;
    }
}
