package kiver.core.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;

/**
 * Finds every batch a way through the nursery so that no place is over-full and every batch stands as well as may be.
 *
 * <p>Choosing one candidate for each batch under capacities by place and day is a multiple-choice knapsack. Prices on
 * the room of every place and day are raised where more is wanted than there is; with them each batch can choose for
 * itself, which also proves how good any assignment could be. Every few rounds batches are set down one after another
 * at these prices, and the best of these is improved by moving single batches and by lifting neighbours together and
 * setting them down again. Reference: Lagrangian relaxation with subgradient prices, Fisher (1981), Management Science
 * 27.
 */
public final class Assigner {

    private static final int ROUNDS = 240;
    private static final int SETTLE_EVERY = 12;
    private static final int MOST_PASSES = 30;

    /** Small seasons are tried long enough to come near the best; large ones are cut off. */
    private static final int LIFTS_PER_BATCH = 1_000;

    private static final int FEWEST_LIFTS = 20_000;
    private static final int MOST_LIFTS = 60_000;
    private static final int LARGEST_LIFT = 9;
    private static final int FURTHEST_LOOK = 400;
    private static final int OVERLOOKED_ONE_IN = 12;

    /** So much worse than the best, as a share of it, is walked through at first. */
    private static final double WALKED_THROUGH = 0.04;

    private final int days;
    private final long firstDay;
    private final double[] capacity;
    private final Option[][] options;
    private final double[] price;
    private final double[] load;

    /** A candidate in positions: stays as place, first day, end, slots. */
    private record Option(double cost, int[] place, int[] from, int[] until, double[] slots) {}

    private Assigner(List<Place> places, List<ToPlace> batches) {
        long first = batches.stream().flatMap(batch -> batch.candidates().stream())
                .flatMap(candidate -> candidate.stays().stream())
                .mapToLong(stay -> stay.from().toEpochDay()).min().orElse(0);
        long last = batches.stream().flatMap(batch -> batch.candidates().stream())
                .flatMap(candidate -> candidate.stays().stream())
                .mapToLong(stay -> stay.until().toEpochDay()).max().orElse(1);
        firstDay = first;
        days = (int) (last - first) + 1;
        Map<PlaceId, Integer> position = new HashMap<>();
        capacity = new double[places.size()];
        for (int index = 0; index < places.size(); index++) {
            position.put(places.get(index).id(), index);
            capacity[index] = places.get(index).slots();
        }
        options = batches.stream()
                .map(batch -> batch.candidates().stream()
                        .map(candidate -> option(candidate, position))
                        .toArray(Option[]::new))
                .toArray(Option[][]::new);
        price = new double[capacity.length * days];
        load = new double[capacity.length * days];
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
            List<Place> places, List<ToPlace> batches, RandomGenerator random, DoubleConsumer progress,
            BooleanSupplier stop) {
        return new Assigner(places, batches).solve(random, progress, stop);
    }

    private Assignment solve(RandomGenerator random, DoubleConsumer progress, BooleanSupplier stop) {
        int[] best = setDown(orderByRoom());
        double bestTotal = total(best);
        double bound = Double.NEGATIVE_INFINITY;
        double step = 1.5;
        int sinceBetter = 0;
        boolean stopped = false;
        for (int round = 0; round < ROUNDS && !stopped; round++) {
            double lower = relax();
            if (lower > bound + 1e-9) {
                bound = lower;
                sinceBetter = 0;
            } else if (++sinceBetter == 8) {
                step /= 1.6;
                sinceBetter = 0;
            }
            if (round % SETTLE_EVERY == SETTLE_EVERY - 1) {
                int[] tried = setDown(orderByRoom());
                double total = improve(tried, 2);
                if (total < bestTotal - 1e-9) {
                    bestTotal = total;
                    best = tried;
                }
                progress.accept(0.8 * round / ROUNDS);
                stopped = stop.getAsBoolean();
            }
            if (bestTotal <= bound + 1e-6 || !raisePrices(step, bestTotal, lower)) {
                break;
            }
        }
        if (!stopped) {
            fill(best);
            bestTotal = improve(best, MOST_PASSES);
            liftAndSetDown(best, random, stop);
        }
        fill(best);
        progress.accept(1);
        double cost = 0;
        for (int batch = 0; batch < options.length; batch++) {
            cost += options[batch][best[batch]].cost();
        }
        return new Assignment(
                Arrays.stream(best).boxed().toList(), cost, overflow(), Math.max(0, Math.min(bound, bestTotal)), stopped);
    }

    /** Every batch takes what is best at the prices; answers the bound that this proves, and leaves its load. */
    private double relax() {
        double[] sums = priceSums();
        Arrays.fill(load, 0);
        double lower = 0;
        double[] steps = new double[capacity.length * (days + 1)];
        for (Option[] choices : options) {
            Option cheapest = choices[0];
            double least = Double.POSITIVE_INFINITY;
            for (Option option : choices) {
                double cost = option.cost() + priced(option, sums);
                if (cost < least) {
                    least = cost;
                    cheapest = option;
                }
            }
            lower += least;
            for (int stay = 0; stay < cheapest.place().length; stay++) {
                int row = cheapest.place()[stay] * (days + 1);
                steps[row + cheapest.from()[stay]] += cheapest.slots()[stay];
                steps[row + cheapest.until()[stay]] -= cheapest.slots()[stay];
            }
        }
        for (int place = 0; place < capacity.length; place++) {
            double running = 0;
            for (int day = 0; day < days; day++) {
                running += steps[place * (days + 1) + day];
                load[place * days + day] = running;
                lower -= price[place * days + day] * capacity[place];
            }
        }
        return lower;
    }

    /** Answers false when nothing is over-full at these prices and none is to be lowered. */
    private boolean raisePrices(double step, double upper, double lower) {
        double norm = 0;
        for (int index = 0; index < load.length; index++) {
            double excess = load[index] - capacity[index / days];
            if (excess > 0 || price[index] > 0) {
                norm += excess * excess;
            }
        }
        if (norm < 1e-12) {
            return false;
        }
        double length = step * Math.max(upper - lower, 1e-3) / norm;
        for (int index = 0; index < load.length; index++) {
            double raised = price[index] + length * (load[index] - capacity[index / days]);
            price[index] = Math.min(Assignment.OVERFLOW_COST, Math.max(0, raised));
        }
        return true;
    }

    /** Batches one after another, each where it does best at the prices and in the room that is left. */
    private int[] setDown(Integer[] order) {
        double[] sums = priceSums();
        Arrays.fill(load, 0);
        int[] chosen = new int[options.length];
        for (int batch : order) {
            double least = Double.POSITIVE_INFINITY;
            for (int index = 0; index < options[batch].length; index++) {
                Option option = options[batch][index];
                double cost = option.cost() + priced(option, sums);
                if (cost < least) {
                    cost += Assignment.OVERFLOW_COST * added(option);
                }
                if (cost < least) {
                    least = cost;
                    chosen[batch] = index;
                }
            }
            put(options[batch][chosen[batch]], 1);
        }
        return chosen;
    }

    /** Moves single batches while that helps; the load must be that of {@code chosen}. Answers the total. */
    private double improve(int[] chosen, int passes) {
        boolean better = true;
        for (int pass = 0; pass < passes && better; pass++) {
            better = false;
            for (int batch = 0; batch < options.length; batch++) {
                if (options[batch].length > 1) {
                    better |= moveToBest(batch, chosen);
                }
            }
        }
        return total(chosen);
    }

    private boolean moveToBest(int batch, int[] chosen) {
        Option present = options[batch][chosen[batch]];
        put(present, -1);
        double least = present.cost() + Assignment.OVERFLOW_COST * added(present) - 1e-9;
        int to = chosen[batch];
        for (int index = 0; index < options[batch].length; index++) {
            Option option = options[batch][index];
            if (option.cost() < least) {
                double cost = option.cost() + Assignment.OVERFLOW_COST * added(option);
                if (cost < least) {
                    least = cost;
                    to = index;
                }
            }
        }
        put(options[batch][to], 1);
        boolean moved = to != chosen[batch];
        chosen[batch] = to;
        return moved;
    }

    /**
     * Lifts a batch with some that stand where it stands or would stand, and sets them down again in another order.
     * What is a little worse than the best so far is walked through, ever less of it; the best is kept. Reference:
     * ruin and recreate with record-to-record travel, Schrimpf et al. (2000), Journal of Computational Physics 159.
     */
    private void liftAndSetDown(int[] best, RandomGenerator random, BooleanSupplier stop) {
        int rounds = Math.min(MOST_LIFTS, Math.max(FEWEST_LIFTS, LIFTS_PER_BATCH * options.length));
        int[] chosen = best.clone();
        double bestTotal = total(chosen);
        double present = bestTotal;
        for (int round = 0; round < rounds; round++) {
            if (round % 64 == 0 && stop.getAsBoolean()) {
                break;
            }
            List<Integer> lifted = neighbourhood(chosen, random);
            int[] before = lifted.stream().mapToInt(batch -> chosen[batch]).toArray();
            double costBefore = lift(lifted, chosen);
            double costAfter = setDownAgain(new ArrayList<>(lifted), chosen, random);
            double allowed = WALKED_THROUGH * bestTotal * (1 - round / (double) rounds);
            if (present + costAfter - costBefore > bestTotal + allowed + 1e-9) {
                lifted.forEach(batch -> put(options[batch][chosen[batch]], -1));
                for (int index = 0; index < lifted.size(); index++) {
                    chosen[lifted.get(index)] = before[index];
                    put(options[lifted.get(index)][before[index]], 1);
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
    private List<Integer> neighbourhood(int[] chosen, RandomGenerator random) {
        int count = options.length;
        int first = random.nextInt(count);
        int size = Math.min(count, 2 + random.nextInt(LARGEST_LIFT - 1));
        Option wanted = options[first][random.nextInt(options[first].length)];
        List<Integer> found = new ArrayList<>(List.of(first));
        int looked = Math.min(count, FURTHEST_LOOK);
        int from = random.nextInt(count);
        for (int step = 0; step < looked && found.size() < size; step++) {
            int other = (from + step) % count;
            if (other != first && options[other].length > 1
                    && (meet(options[other][chosen[other]], wanted) || meet(options[other][chosen[other]], options[first][chosen[first]]))) {
                found.add(other);
            }
        }
        return found;
    }

    /** Takes batches up; answers what they cost where they stood, overflow included. */
    private double lift(List<Integer> batches, int[] chosen) {
        double cost = 0;
        for (int batch : batches) {
            Option option = options[batch][chosen[batch]];
            put(option, -1);
            cost += option.cost() + Assignment.OVERFLOW_COST * added(option);
        }
        return cost;
    }

    /** Sets batches down in an order of chance, each where it does best but for a candidate overlooked now and then. */
    private double setDownAgain(List<Integer> waiting, int[] chosen, RandomGenerator random) {
        double cost = 0;
        while (!waiting.isEmpty()) {
            int batch = waiting.remove(random.nextInt(waiting.size()));
            double least = Double.POSITIVE_INFINITY;
            for (int each = 0; each < options[batch].length; each++) {
                Option option = options[batch][each];
                boolean overlooked = random.nextInt(OVERLOOKED_ONE_IN) == 0 && least < Double.POSITIVE_INFINITY;
                if (option.cost() < least && !overlooked) {
                    double whole = option.cost() + Assignment.OVERFLOW_COST * added(option);
                    if (whole < least) {
                        least = whole;
                        chosen[batch] = each;
                    }
                }
            }
            put(options[batch][chosen[batch]], 1);
            cost += least;
        }
        return cost;
    }

    private static boolean meet(Option one, Option other) {
        for (int stay = 0; stay < one.place().length; stay++) {
            for (int against = 0; against < other.place().length; against++) {
                if (one.place()[stay] == other.place()[against] && one.from()[stay] < other.until()[against]
                        && other.from()[against] < one.until()[stay]) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Slots over capacity that an option would add, summed over days. */
    private double added(Option option) {
        double over = 0;
        for (int stay = 0; stay < option.place().length; stay++) {
            int place = option.place()[stay];
            double slots = option.slots()[stay];
            for (int index = place * days + option.from()[stay]; index < place * days + option.until()[stay]; index++) {
                double free = capacity[place] - load[index];
                if (slots > free) {
                    over += Math.min(slots, slots - free);
                }
            }
        }
        return over;
    }

    private void put(Option option, int sign) {
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * days;
            for (int index = row + option.from()[stay]; index < row + option.until()[stay]; index++) {
                load[index] += sign * option.slots()[stay];
            }
        }
    }

    private void fill(int[] chosen) {
        Arrays.fill(load, 0);
        for (int batch = 0; batch < options.length; batch++) {
            put(options[batch][chosen[batch]], 1);
        }
    }

    private double total(int[] chosen) {
        double cost = 0;
        for (int batch = 0; batch < options.length; batch++) {
            cost += options[batch][chosen[batch]].cost();
        }
        return cost + Assignment.OVERFLOW_COST * overflow();
    }

    private double overflow() {
        double over = 0;
        for (int index = 0; index < load.length; index++) {
            over += Math.max(0, load[index] - capacity[index / days]);
        }
        return over < 1e-7 ? 0 : over;
    }

    private double[] priceSums() {
        double[] sums = new double[capacity.length * (days + 1)];
        for (int place = 0; place < capacity.length; place++) {
            for (int day = 0; day < days; day++) {
                sums[place * (days + 1) + day + 1] = sums[place * (days + 1) + day] + price[place * days + day];
            }
        }
        return sums;
    }

    private double priced(Option option, double[] sums) {
        double cost = 0;
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * (days + 1);
            cost += option.slots()[stay] * (sums[row + option.until()[stay]] - sums[row + option.from()[stay]]);
        }
        return cost;
    }

    /** Those that take the most room come first: they are the hardest to fit in later. */
    private Integer[] orderByRoom() {
        double[] room = IntStream.range(0, options.length)
                .mapToDouble(batch -> Arrays.stream(options[batch]).mapToDouble(Assigner::roomOf).min().orElse(0))
                .toArray();
        Integer[] order = IntStream.range(0, options.length).boxed().toArray(Integer[]::new);
        Arrays.sort(order, (one, other) -> Double.compare(room[other], room[one]));
        return order;
    }

    private static double roomOf(Option option) {
        double room = 0;
        for (int stay = 0; stay < option.place().length; stay++) {
            room += option.slots()[stay] * (option.until()[stay] - option.from()[stay]);
        }
        return room;
    }

    private Option option(Candidate candidate, Map<PlaceId, Integer> position) {
        int count = candidate.stays().size();
        Option option = new Option(candidate.cost(), new int[count], new int[count], new int[count], new double[count]);
        for (int index = 0; index < count; index++) {
            Stay stay = candidate.stays().get(index);
            Integer place = position.get(stay.place());
            if (place == null) {
                throw new IllegalArgumentException("There is no place " + stay.place().number() + ".");
            }
            option.place()[index] = place;
            option.from()[index] = dayOf(stay.from());
            option.until()[index] = dayOf(stay.until());
            option.slots()[index] = stay.slots();
        }
        return option;
    }

    private int dayOf(LocalDate day) {
        return (int) (day.toEpochDay() - firstDay);
    }
}
