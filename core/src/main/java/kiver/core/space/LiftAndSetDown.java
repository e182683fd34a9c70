package kiver.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.random.RandomGenerator;

/**
 * Betters an assignment by lifting a few batches that stand in each other's way and setting them down again in another
 * order. What is a little worse than the best so far is walked through, ever less of it; the best is kept. Reference:
 * ruin and recreate with record-to-record travel, Schrimpf et al. (2000), Journal of Computational Physics 159.
 */
final class LiftAndSetDown {

    /** Small seasons are tried long enough to come near the best; large ones are cut off. */
    private static final int LIFTS_PER_BATCH = 1_000;

    private static final int FEWEST_LIFTS = 20_000;
    private static final int MOST_LIFTS = 30_000;
    private static final int LARGEST_LIFT = 9;
    private static final int FURTHEST_LOOK = 400;
    private static final int OVERLOOKED_ONE_IN = 12;

    /** So much worse than the best, as a share of it, is walked through at first. */
    private static final double WALKED_THROUGH = 0.04;

    private final Benches benches;
    private final RandomGenerator random;

    /** Where and between which days each batch stands, in arrays of their own: most looks end here. */
    private final long[] places;

    private final int[] from;
    private final int[] until;

    LiftAndSetDown(Benches benches, RandomGenerator random) {
        this.benches = benches;
        this.random = random;
        places = new long[benches.batches()];
        from = new int[benches.batches()];
        until = new int[benches.batches()];
    }

    /**
     * Betters what is chosen, as long as its time lasts.
     *
     * @param best the option of each batch, whose load stands on the benches; is changed
     * @param stop is asked now and then
     */
    void better(int[] best, BooleanSupplier stop) {
        int count = benches.batches();
        int rounds = Math.min(MOST_LIFTS, Math.max(FEWEST_LIFTS, LIFTS_PER_BATCH * count));
        int[] chosen = best.clone();
        for (int batch = 0; batch < count; batch++) {
            note(batch, chosen);
        }
        double bestTotal = benches.total(chosen);
        double present = bestTotal;
        for (int round = 0; round < rounds; round++) {
            if (round % 64 == 0 && stop.getAsBoolean()) {
                break;
            }
            List<Integer> lifted = neighbourhood(chosen);
            int[] before = lifted.stream().mapToInt(batch -> chosen[batch]).toArray();
            double costBefore = lift(lifted, chosen);
            double costAfter = setDownAgain(new ArrayList<>(lifted), chosen);
            double allowed = WALKED_THROUGH * bestTotal * (1 - round / (double) rounds);
            if (present + costAfter - costBefore > bestTotal + allowed + 1e-9) {
                lifted.forEach(batch -> benches.put(benches.options(batch)[chosen[batch]], -1));
                for (int index = 0; index < lifted.size(); index++) {
                    chosen[lifted.get(index)] = before[index];
                    benches.put(benches.options(lifted.get(index))[before[index]], 1);
                    note(lifted.get(index), chosen);
                }
            } else {
                present += costAfter - costBefore;
                if (present < bestTotal - 1e-9) {
                    bestTotal = present;
                    System.arraycopy(chosen, 0, best, 0, best.length);
                }
            }
        }
    }

    /** A batch and some that meet one of its candidates or the one it has. */
    private List<Integer> neighbourhood(int[] chosen) {
        int count = benches.batches();
        int first = random.nextInt(count);
        int size = Math.min(count, 2 + random.nextInt(LARGEST_LIFT - 1));
        Benches.Option wanted = benches.options(first)[random.nextInt(benches.options(first).length)];
        List<Integer> found = new ArrayList<>(List.of(first));
        int looked = Math.min(count, FURTHEST_LOOK);
        int start = random.nextInt(count);
        Benches.Option stands = benches.options(first)[chosen[first]];
        long anyPlace = wanted.places() | stands.places();
        int earliest = Math.min(wanted.first(), stands.first());
        int latest = Math.max(wanted.last(), stands.last());
        for (int step = 0; step < looked && found.size() < size; step++) {
            int other = start + step < count ? start + step : start + step - count;
            if ((places[other] & anyPlace) != 0
                    && from[other] < latest
                    && earliest < until[other]
                    && other != first
                    && benches.options(other).length > 1) {
                Benches.Option there = benches.options(other)[chosen[other]];
                if (there.meets(wanted) || there.meets(stands)) {
                    found.add(other);
                }
            }
        }
        return found;
    }

    /** Takes batches up; answers what they cost where they stood, overflow included. */
    private double lift(List<Integer> batches, int[] chosen) {
        double cost = 0;
        for (int batch : batches) {
            Benches.Option option = benches.options(batch)[chosen[batch]];
            benches.put(option, -1);
            cost += option.cost() + Assignment.OVERFLOW_COST * benches.added(option);
        }
        return cost;
    }

    /** Sets batches down in an order of chance, each where it does best but for a candidate overlooked now and then. */
    private double setDownAgain(List<Integer> waiting, int[] chosen) {
        double cost = 0;
        while (!waiting.isEmpty()) {
            int batch = waiting.remove(random.nextInt(waiting.size()));
            double least = Double.POSITIVE_INFINITY;
            for (int each = 0; each < benches.options(batch).length; each++) {
                Benches.Option option = benches.options(batch)[each];
                boolean overlooked = random.nextInt(OVERLOOKED_ONE_IN) == 0 && least < Double.POSITIVE_INFINITY;
                if (option.cost() < least && !overlooked) {
                    double whole = option.cost() + Assignment.OVERFLOW_COST * benches.added(option);
                    if (whole < least) {
                        least = whole;
                        chosen[batch] = each;
                    }
                }
            }
            benches.put(benches.options(batch)[chosen[batch]], 1);
            note(batch, chosen);
            cost += least;
        }
        return cost;
    }

    private void note(int batch, int[] chosen) {
        Benches.Option option = benches.options(batch)[chosen[batch]];
        places[batch] = option.places();
        from[batch] = option.first();
        until[batch] = option.last();
    }
}
