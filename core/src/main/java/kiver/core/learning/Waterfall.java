package kiver.core.learning;

import kiver.core.batch.Balance;
import kiver.core.batch.BatchState;

/**
 * What became of cells that were sown, step by step. Each step counts what came as far as it, so that the difference to
 * the one before is what was lost on the way, or has not come so far yet.
 *
 * @param sown cells that got seed
 * @param awaited of them, in which something may yet come up
 * @param emerged in which something came up
 * @param living or gone out: what did not die in the nursery
 * @param hardened of these, those of batches whose hardening is over
 * @param released gone to growers
 * @param stood of these, not told lost by their growers
 */
public record Waterfall(int sown, int awaited, int emerged, int living, int hardened, int released, int stood) {

    /** Nothing was sown. */
    public static final Waterfall NOTHING = new Waterfall(0, 0, 0, 0, 0, 0, 0);

    public Waterfall {
        if (emerged + awaited > sown
                || living > emerged
                || hardened > living
                || released > living
                || stood > released) {
            throw new IllegalArgumentException("No step can hold more than the one before.");
        }
    }

    /**
     * That of a batch.
     *
     * @param state of its record
     * @param lostAfter plants that growers told lost, 0 or more; never more than were released
     */
    public static Waterfall of(BatchState state, int lostAfter) {
        Balance balance = state.balance();
        int living = balance.alive() + balance.released();
        int emerged = balance.sown() - balance.waiting() - balance.empty();
        return new Waterfall(
                balance.sown(),
                balance.waiting(),
                emerged,
                living,
                state.hardenedOn().isPresent() ? living : balance.released(),
                balance.released(),
                balance.released() - Math.min(lostAfter, balance.released()));
    }

    /** Both together. */
    public Waterfall plus(Waterfall other) {
        return new Waterfall(
                sown + other.sown,
                awaited + other.awaited,
                emerged + other.emerged,
                living + other.living,
                hardened + other.hardened,
                released + other.released,
                stood + other.stood);
    }
}
