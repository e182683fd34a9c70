package kiver.core.batch;

/**
 * The account of a batch, in cells. Cells sown = waiting + empty + alive + lost + released, always.
 *
 * @param sown cells that got seed
 * @param waiting nothing up yet
 * @param empty given up
 * @param alive with a living plant on hand
 * @param lost plant died or thrown out
 * @param released plant gone to a grower
 */
public record Balance(int sown, int waiting, int empty, int alive, int lost, int released) {

    public Balance {
        if (sown != waiting + empty + alive + lost + released) {
            throw new IllegalStateException("The cells do not balance: " + sown + " sown, but " + waiting
                    + " waiting, " + empty + " empty, " + alive + " alive, " + lost + " lost and " + released
                    + " released.");
        }
    }
}
