package kiver.core.batch;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import kiver.core.tray.TrayId;

/**
 * How the plants of a batch come to stand in as few trays of one kind as they fill, with as few of them moved as that
 * takes: the fullest trays stay, the plants of the others fill their gaps. Where other batches leave some trays less room
 * than others, no fewer trays are promised, only enough.
 *
 * @param moves in the order in which they are made
 * @param emptied trays in which nothing of the batch lives afterwards, in order
 */
public record ClosingUp(List<BatchChange.CellsMoved> moves, List<TrayId> emptied) {

    private static final Set<CellCondition> GAP = Set.of(CellCondition.EMPTY, CellCondition.LOST);

    public ClosingUp {
        moves = List.copyOf(moves);
        emptied = List.copyOf(emptied);
    }

    /** Plants that are moved, 0 or more. */
    public int plants() {
        return moves.stream().mapToInt(move -> move.cells().size()).sum();
    }

    /** A tray: who lives where in it, and which cells of it are open to more. */
    private record Standing(TrayId tray, List<Integer> living, List<Integer> open) {
        int room() {
            return living.size() + open.size();
        }
    }

    /**
     * What to move.
     *
     * @param state of the batch
     * @param free cells in which nothing stands and which nothing is set aside for, by tray of the kind; trays in which the
     *     batch still waits for seedlings are left as they are
     */
    public static ClosingUp of(BatchState state, Map<TrayId, Set<Integer>> free) {
        List<Standing> trays = new ArrayList<>();
        free.forEach((tray, bare) -> {
            if (state.cellsIn(tray, CellCondition.WAITING).isEmpty()
                    && !state.cellsIn(tray, CellCondition.ALIVE).isEmpty()) {
                TreeSet<Integer> open = new TreeSet<>(bare);
                GAP.forEach(condition -> open.addAll(state.cellsIn(tray, condition)));
                trays.add(new Standing(tray, state.cellsIn(tray, CellCondition.ALIVE), List.copyOf(open)));
            }
        });
        trays.sort(Comparator.comparingLong(each -> each.tray().number()));
        List<Standing> stay = staying(trays);
        List<Standing> go = trays.stream().filter(tray -> !stay.contains(tray)).toList();
        return new ClosingUp(moves(stay, go), go.stream().map(Standing::tray).toList());
    }

    /** The fewest trays that hold all: the fullest of them, or, where these leave too little room, the roomiest. */
    private static List<Standing> staying(List<Standing> trays) {
        int plants = trays.stream().mapToInt(tray -> tray.living().size()).sum();
        Comparator<Standing> fullest =
                Comparator.comparingInt(tray -> -tray.living().size());
        Comparator<Standing> roomiest = Comparator.comparingInt(tray -> -tray.room());
        for (int count = 1; count < trays.size(); count++) {
            for (Comparator<Standing> order : List.of(fullest, roomiest.thenComparing(fullest))) {
                List<Standing> first = trays.stream().sorted(order).limit(count).toList();
                if (first.stream().mapToInt(Standing::room).sum() >= plants) {
                    return first;
                }
            }
        }
        return trays;
    }

    private static List<BatchChange.CellsMoved> moves(List<Standing> stay, List<Standing> go) {
        List<BatchChange.CellsMoved> moves = new ArrayList<>();
        Deque<Standing> goals = new ArrayDeque<>(stay);
        Deque<Integer> open = new ArrayDeque<>();
        for (Standing from : go) {
            SortedMap<Long, List<Integer>> cells = new TreeMap<>();
            SortedMap<Long, List<Integer>> into = new TreeMap<>();
            for (int cell : from.living()) {
                while (open.isEmpty()) {
                    open.addAll(goals.element().open());
                    if (open.isEmpty()) {
                        goals.remove();
                    }
                }
                long goal = goals.element().tray().number();
                cells.computeIfAbsent(goal, each -> new ArrayList<>()).add(cell);
                into.computeIfAbsent(goal, each -> new ArrayList<>()).add(open.remove());
                if (open.isEmpty()) {
                    goals.remove();
                }
            }
            cells.forEach((goal, numbers) ->
                    moves.add(new BatchChange.CellsMoved(from.tray(), numbers, new TrayId(goal), into.get(goal))));
        }
        return moves;
    }
}
