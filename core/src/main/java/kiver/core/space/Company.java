package kiver.core.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Brings batches that belong together to the same growing place where that costs next to nothing: they are watered,
 * looked at and moved in one go. What it may cost a batch is a point of {@link Suitability}, as much as one move, and
 * no place becomes fuller than it may be.
 */
final class Company {

    private static final double WORTH = 1;
    private static final int MOST_PASSES = 4;

    private final Benches benches;
    private final List<List<Integer>> groups;

    Company(Benches benches, List<ToPlace> batches) {
        this.benches = benches;
        Map<String, List<Integer>> byKin = new HashMap<>();
        for (int batch = 0; batch < batches.size(); batch++) {
            byKin.computeIfAbsent(batches.get(batch).kin(), kin -> new ArrayList<>())
                    .add(batch);
        }
        byKin.remove("");
        groups = byKin.values().stream().filter(group -> group.size() > 1).toList();
    }

    /** Changes what is chosen, whose load stands on the benches. */
    void gather(int[] chosen) {
        boolean moved = true;
        for (int pass = 0; pass < MOST_PASSES && moved; pass++) {
            moved = false;
            for (List<Integer> group : groups) {
                for (int batch : group) {
                    moved |= benches.options(batch).length > 1 && join(batch, group, chosen);
                }
            }
        }
    }

    private boolean join(int batch, List<Integer> group, int[] chosen) {
        Benches.Option[] options = benches.options(batch);
        Benches.Option present = options[chosen[batch]];
        benches.put(present, -1);
        double mayCost = present.cost() + WORTH;
        double mayAdd = benches.added(present) + 1e-9;
        double best = present.cost() - WORTH * share(present, batch, group, chosen) - 1e-9;
        int to = chosen[batch];
        for (int index = 0; index < options.length; index++) {
            Benches.Option option = options[index];
            if (option.cost() <= mayCost && benches.added(option) <= mayAdd) {
                double cost = option.cost() - WORTH * share(option, batch, group, chosen);
                if (cost < best) {
                    best = cost;
                    to = index;
                }
            }
        }
        benches.put(options[to], 1);
        boolean moved = to != chosen[batch];
        chosen[batch] = to;
        return moved;
    }

    /** The share of its kin beside which a batch would grow on. */
    private double share(Benches.Option option, int batch, List<Integer> group, int[] chosen) {
        int beside = 0;
        for (int other : group) {
            beside += other != batch && option.growsBeside(benches.options(other)[chosen[other]]) ? 1 : 0;
        }
        return beside / (double) (group.size() - 1);
    }
}
