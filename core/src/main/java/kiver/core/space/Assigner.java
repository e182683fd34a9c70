package kiver.core.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;

/**
 * Finds every batch a way through the nursery so that no place is over-full and every batch stands as well as may be.
 *
 * <p>Choosing one candidate for each batch under capacities by place and day is a multiple-choice knapsack. Prices on
 * the room of every place and day are raised where more is wanted than there is; with them each batch can choose for
 * itself, which also proves how good any assignment could be. Every few rounds batches are set down one after another
 * at these prices, and the best of these is improved by moving single batches and by making room for one that would
 * like to move. Reference: Lagrangian relaxation with subgradient prices, Fisher (1981), Management Science 27.
 */
public final class Assigner {

    private static final int ROUNDS = 240;
    private static final int SETTLE_EVERY = 12;
    private static final int MOST_PASSES = 30;

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
     * @param progress is told the share done, 0 to 1
     * @param stop is asked between rounds; the best found so far is answered then
     */
    public static Assignment assign(
            List<Place> places, List<ToPlace> batches, DoubleConsumer progress, BooleanSupplier stop) {
        return new Assigner(places, batches).solve(progress, stop);
    }

    private Assignment solve(DoubleConsumer progress, BooleanSupplier stop) {
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
            makeRoom(best, stop);
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

    /** Lets a batch have what it would rather have and sends those in its way elsewhere, where all gain by it. */
    private void makeRoom(int[] chosen, BooleanSupplier stop) {
        for (int batch = 0; batch < options.length && !stop.getAsBoolean(); batch++) {
            for (int index = 0; index < options[batch].length; index++) {
                Option wanted = options[batch][index];
                Option present = options[batch][chosen[batch]];
                boolean crowded = crowdedNow(present);
                if (index == chosen[batch] || (!crowded && wanted.cost() >= present.cost() - 1e-9)) {
                    continue;
                }
                tryFor(batch, index, chosen);
            }
        }
    }

    private void tryFor(int batch, int wanted, int[] chosen) {
        int[] before = chosen.clone();
        double change = 0;
        put(options[batch][chosen[batch]], -1);
        change -= options[batch][chosen[batch]].cost()
                + Assignment.OVERFLOW_COST * added(options[batch][chosen[batch]]);
        change += options[batch][wanted].cost() + Assignment.OVERFLOW_COST * added(options[batch][wanted]);
        put(options[batch][wanted], 1);
        chosen[batch] = wanted;
        List<Integer> moved = new ArrayList<>(List.of(batch));
        for (int other = 0; other < options.length && change > -1e-9; other++) {
            Option standing = options[other][chosen[other]];
            if (other != batch && options[other].length > 1 && meet(standing, options[batch][wanted])
                    && crowdedNow(standing)) {
                put(standing, -1);
                double costBefore = standing.cost() + Assignment.OVERFLOW_COST * added(standing);
                put(standing, 1);
                if (moveToBest(other, chosen)) {
                    Option now = options[other][chosen[other]];
                    put(now, -1);
                    change += now.cost() + Assignment.OVERFLOW_COST * added(now) - costBefore;
                    put(now, 1);
                    moved.add(other);
                }
            }
        }
        if (change > -1e-9) {
            for (int other : moved) {
                put(options[other][chosen[other]], -1);
                chosen[other] = before[other];
                put(options[other][chosen[other]], 1);
            }
        }
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

    private boolean crowdedNow(Option option) {
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * days;
            for (int day = option.from()[stay]; day < option.until()[stay]; day++) {
                if (load[row + day] > capacity[option.place()[stay]] + 1e-9) {
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
