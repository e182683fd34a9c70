package kiver.core.batch;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A few plants were looked at closely. It changes nothing of them, and trues what is forecast.
 *
 * @param leaves true leaves of each plant that was counted, 0 to 40, at most 20 plants; empty where none was counted
 * @param roots of those that were taken out; empty where nobody looked
 */
public record LookedOver(List<Integer> leaves, Optional<RootsSeen> roots) implements BatchChange {
    private static final int MOST_PLANTS = 20;
    private static final int MOST_LEAVES = 40;

    public LookedOver {
        leaves = List.copyOf(leaves);
        if (leaves.size() > MOST_PLANTS || (leaves.isEmpty() && roots.isEmpty())) {
            throw new ChangeRefused("leaves", new ChangeFault.PlantsLookedAt(MOST_PLANTS));
        }
        if (leaves.stream().anyMatch(each -> each < 0 || each > MOST_LEAVES)) {
            throw new ChangeRefused("leaves", new ChangeFault.LeavesSeen(MOST_LEAVES));
        }
    }

    /** True leaves of the plants counted, on average; empty where none was counted. */
    public OptionalDouble meanLeaves() {
        return leaves.stream().mapToInt(Integer::intValue).average();
    }
}
