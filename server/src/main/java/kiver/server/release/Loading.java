package kiver.server.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.core.release.Allocation;
import kiver.core.release.Pick;
import kiver.core.release.ReadyTray;
import kiver.core.release.Sharing;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.order.OrderedLine;

/**
 * Shares what is ready between all lines that are due. Lines that draw on the same batches are shared out together: by a
 * rule where there are too few, or as somebody set it by hand. The lines that are wanted first take the plants nearest to
 * being past their best.
 */
final class Loading {

    /** A few are kept for replacements, as a share of what goes; what is short goes first to those who ordered. */
    private static final double RESERVE = 0.03;

    /**
     * A line that is due.
     *
     * @param wanted plants that it still wants
     */
    record Due(OrderedLine line, int wanted) {}

    /**
     * What one line gets.
     *
     * @param share plants that it may have
     * @param byHand whether somebody set that
     * @param picks where they are taken; they may count fewer than its share
     */
    record Shared(Due due, int share, boolean byHand, List<Pick> picks) {}

    /**
     * Lines that draw on the same plants.
     *
     * @param ready plants that they may share
     * @param wanted by all of them
     * @param kept left over once all have theirs
     * @param reserve that is wished to be left over
     */
    record Group(List<Shared> lines, int ready, int wanted, int kept, int reserve) {
        boolean isShort() {
            return ready < wanted;
        }
    }

    private final List<BatchOutlook> batches;
    private final Function<TrayId, ContainerCode> containerOf;
    private final Sharing rule;
    private final Map<LineId, Integer> byHand;
    private final Set<Cell> taken = new HashSet<>();

    /**
     * @param batches all that are promised to the lines
     * @param containerOf the code of a tray's container
     * @param rule by which shortages are shared
     * @param byHand shares that somebody set; the others follow the rule
     */
    Loading(
            List<BatchOutlook> batches,
            Function<TrayId, ContainerCode> containerOf,
            Sharing rule,
            Map<LineId, Integer> byHand) {
        this.batches = batches;
        this.containerOf = containerOf;
        this.rule = rule;
        this.byHand = byHand;
    }

    /** The groups of some lines; a line for which nothing is ready gets nothing. */
    List<Group> groups(List<Due> lines) {
        return together(lines).stream().map(this::share).toList();
    }

    /** Lines that have a batch in common, directly or through others. */
    private List<List<Due>> together(List<Due> lines) {
        Map<LineId, Integer> groupOf = new HashMap<>();
        List<List<Due>> groups = new ArrayList<>();
        for (Due due : lines) {
            Set<LineId> beside = batches.stream()
                    .filter(batch -> isPromised(batch, due.line().id()))
                    .flatMap(batch -> batch.file().promises().stream())
                    .map(Promised::line)
                    .collect(Collectors.toSet());
            List<Integer> met = beside.stream()
                    .filter(groupOf::containsKey)
                    .map(groupOf::get)
                    .distinct()
                    .sorted()
                    .toList();
            int group = met.isEmpty() ? groups.size() : met.get(0);
            if (met.isEmpty()) {
                groups.add(new ArrayList<>());
            }
            groups.get(group).add(due);
            groupOf.put(due.line().id(), group);
            met.stream().skip(1).forEach(other -> {
                groups.get(other).forEach(moved -> groupOf.put(moved.line().id(), group));
                groups.get(group).addAll(groups.get(other));
                groups.get(other).clear();
            });
        }
        return groups.stream().filter(group -> !group.isEmpty()).toList();
    }

    private Group share(List<Due> lines) {
        Set<LineId> ids = lines.stream().map(due -> due.line().id()).collect(Collectors.toSet());
        int ready = batches.stream()
                .filter(batch -> batch.stage() == BatchStage.READY
                        && batch.file().promises().stream().anyMatch(promise -> ids.contains(promise.line())))
                .mapToInt(batch -> ReadyPlants.forLines(ids, batch, containerOf))
                .sum();
        int wanted = lines.stream().mapToInt(Due::wanted).sum();
        Map<LineId, Integer> shares = shares(lines, ready);
        List<Shared> shared = lines.stream()
                .sorted(Comparator.comparing((Due due) -> due.line().target())
                        .thenComparing(due -> due.line().placedOn())
                        .thenComparing(due -> due.line().id().number()))
                .map(due -> pick(due, shares.get(due.line().id())))
                .toList();
        int given = shared.stream().mapToInt(Shared::share).sum();
        return new Group(shared, ready, wanted, Math.max(0, ready - given), (int) Math.ceil(RESERVE * wanted));
    }

    /** What was set by hand comes first; it is never more than a line wants, nor than there is. */
    private Map<LineId, Integer> shares(List<Due> lines, int ready) {
        Map<LineId, Integer> shares = new LinkedHashMap<>();
        int left = ready;
        for (Due due : lines) {
            Integer set = byHand.get(due.line().id());
            if (set != null) {
                int share = Math.min(left, Math.min(set, due.wanted()));
                shares.put(due.line().id(), share);
                left -= share;
            }
        }
        shares.putAll(rule.share(
                left,
                lines.stream()
                        .filter(due -> !byHand.containsKey(due.line().id()))
                        .map(due -> new Sharing.Claim(
                                due.line().id(), due.wanted(), due.line().placedOn()))
                        .toList()));
        return shares;
    }

    private Shared pick(Due due, int share) {
        LineId id = due.line().id();
        List<Pick> picks = List.of();
        if (share > 0) {
            List<ReadyTray> ready = batches.stream()
                    .filter(batch -> batch.stage() == BatchStage.READY && isPromised(batch, id))
                    .flatMap(batch -> ReadyPlants.all(batch, false, taken, containerOf).stream())
                    .toList();
            picks = ready.isEmpty() ? List.of() : Allocation.propose(share, ready);
            picks.forEach(pick -> pick.cells().forEach(cell -> taken.add(new Cell(pick.tray(), cell))));
        }
        return new Shared(due, share, byHand.containsKey(id), picks);
    }

    private static boolean isPromised(BatchOutlook batch, LineId line) {
        return batch.file().promises().stream()
                .anyMatch(promise -> promise.line().equals(line));
    }
}
