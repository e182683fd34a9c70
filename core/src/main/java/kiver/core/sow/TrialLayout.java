package kiver.core.sow;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import kiver.core.tray.CellRun;

/**
 * Shares rows or trays out between the ways that a trial compares. Neighbours make a block of as many as there are ways;
 * within each block chance says which gets which, so that a warm end of the bench favours none.
 *
 * <p>Reference: randomised complete blocks, Fisher 1935, The Design of Experiments, chapter 4. What is left over at the end
 * goes to ways drawn by lot, each once at most, so that none has more than one more than another.
 */
public final class TrialLayout {

    private TrialLayout() {}

    /**
     * Which rows or trays each way gets.
     *
     * @param units in the order in which they stand
     * @param ways 2 or more, not more than there are units
     * @param dice seeded, so that the same layout can be drawn again
     * @return for each way its units, in their order
     */
    public static List<List<CellRun>> layOut(List<CellRun> units, int ways, RandomGenerator dice) {
        if (ways < 2 || units.size() < ways) {
            throw new IllegalArgumentException(units.size() + " rows or trays cannot be shared by " + ways + " ways.");
        }
        List<List<CellRun>> shares = new ArrayList<>();
        IntStream.range(0, ways).forEach(way -> shares.add(new ArrayList<>()));
        for (int first = 0; first < units.size(); first += ways) {
            List<Integer> order =
                    new ArrayList<>(IntStream.range(0, ways).boxed().toList());
            for (int last = ways - 1; last > 0; last--) {
                Collections.swap(order, last, dice.nextInt(last + 1));
            }
            for (int index = 0; index < ways && first + index < units.size(); index++) {
                shares.get(order.get(index)).add(units.get(first + index));
            }
        }
        return shares.stream().map(List::copyOf).toList();
    }
}
