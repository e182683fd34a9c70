package kiver.core.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kiver.core.seed.LotId;

/**
 * Which plants go with an order.
 *
 * <p>One lot that can fill the order alone is preferred, of several such the one nearest to being past its best.
 * Within the lots, trays nearest to being past their best go first, those of small or spare plants last, whole trays while they fit, and at most one tray
 * is split.
 */
public final class Allocation {

    private static final Comparator<ReadyTray> MOST_URGENT = Comparator.comparing(ReadyTray::goesLast)
            .thenComparing(ReadyTray::pastLimit)
            .thenComparing(ReadyTray::batch)
            .thenComparing(tray -> tray.tray().number());

    private Allocation() {}

    /**
     * The picks for an order; fewer plants than wanted when there are not enough.
     *
     * @param wanted plants, 1 or more
     * @param ready trays of the variety in the container wanted
     */
    public static List<Pick> propose(int wanted, List<ReadyTray> ready) {
        if (wanted < 1) {
            throw new IllegalArgumentException("Plants wanted must be 1 or more, not " + wanted + ".");
        }
        Map<LotId, List<ReadyTray>> byLot = new LinkedHashMap<>();
        ready.stream()
                .sorted(MOST_URGENT)
                .forEach(tray -> byLot.computeIfAbsent(tray.lot(), lot -> new ArrayList<>())
                        .add(tray));
        List<ReadyTray> source = byLot.values().stream()
                .filter(trays -> trays.stream().mapToInt(ReadyTray::plants).sum() >= wanted)
                .findFirst()
                .orElseGet(() -> ready.stream().sorted(MOST_URGENT).toList());
        return fill(wanted, source);
    }

    /** A tray of those that go last is left whole until all others have gone, though another has to be split. */
    private static List<Pick> fill(int wanted, List<ReadyTray> trays) {
        List<Pick> picks = new ArrayList<>();
        for (boolean last : new boolean[] {false, true}) {
            int missing = wanted - picks.stream().mapToInt(Pick::plants).sum();
            if (missing > 0) {
                picks.addAll(take(
                        missing,
                        trays.stream().filter(tray -> tray.goesLast() == last).toList()));
            }
        }
        return List.copyOf(picks);
    }

    private static List<Pick> take(int wanted, List<ReadyTray> trays) {
        List<Pick> picks = new ArrayList<>();
        List<ReadyTray> left = new ArrayList<>(trays);
        int missing = wanted;
        for (ReadyTray tray : trays) {
            if (tray.plants() <= missing) {
                picks.add(new Pick(tray.batch(), tray.tray(), tray.cells(), tray.plants(), tray.all()));
                left.remove(tray);
                missing -= tray.plants();
            }
        }
        if (missing > 0 && !left.isEmpty()) {
            picks.add(part(left.get(0), missing));
        }
        return picks;
    }

    /** The first cells of a tray that count so many; the last clump goes whole. */
    private static Pick part(ReadyTray tray, int wanted) {
        int cells = 0;
        int plants = 0;
        while (plants < wanted) {
            plants += tray.plantsPerCell().get(cells++);
        }
        return new Pick(
                tray.batch(),
                tray.tray(),
                tray.cells().subList(0, cells),
                plants,
                tray.all() && cells == tray.cells().size());
    }
}
