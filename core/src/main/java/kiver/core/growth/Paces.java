package kiver.core.growth;

/**
 * What is known of how fast a batch is, beside its crop's mean.
 *
 * @param emergence of its emergence
 * @param leaves of its leaves
 */
public record Paces(PaceSpread emergence, PaceSpread leaves) {

    /** As long as nobody has counted leaves. */
    public Paces(PaceSpread emergence) {
        this(emergence, PaceSpread.BEFORE_ANY_COUNT);
    }
}
