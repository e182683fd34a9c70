package kiver.core.growth;

/**
 * What is known of how fast a batch is, beside its crop's mean.
 *
 * @param emergence of its emergence
 * @param leaves of its leaves
 */
public record Paces(PaceSpread emergence, PaceSpread leaves) {

    /** Of a batch like its crop. */
    public static final Paces BEFORE_ANY_COUNT = of(0, 0);

    /**
     * Of a batch of which nothing was counted.
     *
     * @param emergence logarithm of the pace that is known of its kind; positive is slower
     * @param leaves the same of its leaves
     */
    public static Paces of(double emergence, double leaves) {
        double deviation = PaceSpread.BEFORE_ANY_COUNT.logDeviation();
        return new Paces(new PaceSpread(emergence, deviation), new PaceSpread(leaves, deviation));
    }
}
