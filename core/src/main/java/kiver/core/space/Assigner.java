package kiver.core.space;

import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import kiver.core.place.Place;

/**
 * Finds every batch a way through the nursery so that no place is over-full and every batch stands as well as may be.
 *
 * <p>Choosing one candidate for each batch under capacities by place and day is a multiple-choice knapsack. Prices on
 * the room of every place and day are raised where more is wanted than there is; with them each batch can choose for
 * itself, which also proves how good any assignment could be. Every few rounds batches are set down one after another
 * at these prices, and the best of these is improved by moving single batches and by {@link LiftAndSetDown}. At the end
 * batches that belong together join each other where that costs next to nothing, which the bound does not count.
 */
public final class Assigner {

    private static final int ROUNDS = 240;
    private static final int SETTLE_EVERY = 12;
    private static final int MOST_PASSES = 30;

    /** So near to the bound, as a share of it, nobody would see what could still be gained. */
    private static final double PROVEN_NEAR_ENOUGH = 1e-4;

    private final List<ToPlace> batches;
    private final Benches benches;
    private final RoomPrices prices;

    private Assigner(List<Place> places, List<ToPlace> batches) {
        this.batches = batches;
        benches = new Benches(places, batches);
        prices = new RoomPrices(benches);
    }

    /**
     * Assigns all.
     *
     * @param places of the nursery, with their capacities
     * @param batches to be placed
     * @param random the seeded source of chance; the same seed gives the same assignment
     * @param progress is told the share done, 0 to 1
     * @param stop is asked between rounds; the best found so far is answered then
     */
    public static Assignment assign(
            List<Place> places,
            List<ToPlace> batches,
            RandomGenerator random,
            DoubleConsumer progress,
            BooleanSupplier stop) {
        return new Assigner(places, batches).solve(random, progress, stop);
    }

    private Assignment solve(RandomGenerator random, DoubleConsumer progress, BooleanSupplier stop) {
        Integer[] order = orderByRoom();
        int[] best = setDown(order);
        double bestTotal = benches.total(best);
        double bound = Double.NEGATIVE_INFINITY;
        double step = 1.5;
        int sinceBetter = 0;
        boolean stopped = false;
        for (int round = 0; round < ROUNDS && !stopped; round++) {
            double lower = prices.bound();
            if (lower > bound + 1e-9) {
                bound = lower;
                sinceBetter = 0;
            } else if (++sinceBetter == 8) {
                step /= 1.6;
                sinceBetter = 0;
            }
            if (round % SETTLE_EVERY == SETTLE_EVERY - 1) {
                int[] tried = setDown(order);
                double total = improve(tried, 2);
                if (total < bestTotal - 1e-9) {
                    bestTotal = total;
                    best = tried;
                }
                progress.accept(0.8 * round / ROUNDS);
                stopped = stop.getAsBoolean();
            }
            if (bestTotal <= bound + 1e-6 || !prices.raise(step, bestTotal, lower)) {
                break;
            }
        }
        if (!stopped) {
            benches.fill(best);
            bestTotal = improve(best, MOST_PASSES);
            if (bestTotal > bound + PROVEN_NEAR_ENOUGH * Math.abs(bound)) {
                new LiftAndSetDown(benches, random).better(best, stop);
            }
        }
        benches.fill(best);
        new Company(benches, batches).gather(best);
        progress.accept(1);
        double cost = 0;
        for (int batch = 0; batch < benches.batches(); batch++) {
            cost += benches.options(batch)[best[batch]].cost();
        }
        return new Assignment(
                Arrays.stream(best).boxed().toList(),
                cost,
                benches.overflow(),
                Math.max(0, Math.min(bound, bestTotal)),
                stopped);
    }

    /** Batches one after another, each where it does best at the prices and in the room that is left. */
    private int[] setDown(Integer[] order) {
        benches.clear();
        int[] chosen = new int[benches.batches()];
        for (int batch : order) {
            double least = Double.POSITIVE_INFINITY;
            for (int index = 0; index < benches.options(batch).length; index++) {
                Benches.Option option = benches.options(batch)[index];
                double cost = prices.priced(batch, index);
                if (cost < least) {
                    cost += Assignment.OVERFLOW_COST * benches.added(option);
                }
                if (cost < least) {
                    least = cost;
                    chosen[batch] = index;
                }
            }
            benches.put(benches.options(batch)[chosen[batch]], 1);
        }
        return chosen;
    }

    /** Moves single batches while that helps; the load must be that of {@code chosen}. Answers the total. */
    private double improve(int[] chosen, int passes) {
        boolean better = true;
        for (int pass = 0; pass < passes && better; pass++) {
            better = false;
            for (int batch = 0; batch < benches.batches(); batch++) {
                if (benches.options(batch).length > 1) {
                    better |= moveToBest(batch, chosen);
                }
            }
        }
        return benches.total(chosen);
    }

    private boolean moveToBest(int batch, int[] chosen) {
        Benches.Option present = benches.options(batch)[chosen[batch]];
        benches.put(present, -1);
        double least = present.cost() + Assignment.OVERFLOW_COST * benches.added(present) - 1e-9;
        int to = chosen[batch];
        for (int index = 0; index < benches.options(batch).length; index++) {
            Benches.Option option = benches.options(batch)[index];
            if (option.cost() < least) {
                double cost = option.cost() + Assignment.OVERFLOW_COST * benches.added(option);
                if (cost < least) {
                    least = cost;
                    to = index;
                }
            }
        }
        benches.put(benches.options(batch)[to], 1);
        boolean moved = to != chosen[batch];
        chosen[batch] = to;
        return moved;
    }

    /** Those that take the most room come first: they are the hardest to fit in later. */
    private Integer[] orderByRoom() {
        double[] room = IntStream.range(0, benches.batches())
                .mapToDouble(batch -> Arrays.stream(benches.options(batch))
                        .mapToDouble(Benches.Option::room)
                        .min()
                        .orElse(0))
                .toArray();
        Integer[] order = IntStream.range(0, benches.batches()).boxed().toArray(Integer[]::new);
        Arrays.sort(order, (one, other) -> Double.compare(room[other], room[one]));
        return order;
    }
}
