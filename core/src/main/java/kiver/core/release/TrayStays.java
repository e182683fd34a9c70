package kiver.core.release;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.RecordedChange;
import kiver.core.place.PlaceId;
import kiver.core.tray.TrayId;

/** Where plants stood, tray by tray, while their batch may have stood elsewhere. */
public final class TrayStays {

    private TrayStays() {}

    /**
     * The places at which plants stood from their sowing or arrival on, earliest first: those of the tray they were started
     * in, and from each potting on, or going over, those of the tray they went into.
     *
     * @param state of their batch
     * @param origin of the plants
     */
    public static List<BatchState.Placement> of(BatchState state, PlantOrigin origin) {
        Map<TrayId, TrayId> onward = onward(state, origin);
        List<BatchState.Placement> stays = new ArrayList<>();
        stays.add(new BatchState.Placement(firstPlace(state, origin), origin.day()));
        TrayId standsIn = origin.startedIn();
        for (RecordedChange recorded : inOrder(state)) {
            if (recorded.day().isBefore(origin.day())) {
                continue;
            }
            if (recorded.change() instanceof BatchChange.BetweenTrays went
                    && went.from().equals(standsIn)
                    && went.goal().equals(onward.get(standsIn))) {
                standsIn = went.goal();
            }
            Optional<PlaceId> place = placeAfter(recorded.change(), standsIn);
            if (place.isPresent()
                    && !place.get().equals(stays.get(stays.size() - 1).place())) {
                stays.add(new BatchState.Placement(place.get(), recorded.day()));
            }
        }
        return stays;
    }

    private static PlaceId firstPlace(BatchState state, PlantOrigin origin) {
        BatchState.Arrival arrival = state.arrivals().get(origin.sequence());
        return arrival != null
                ? arrival.plants().place()
                : Objects.requireNonNull(state.sowings().get(origin.sequence()))
                        .sown()
                        .place();
    }

    private static Optional<PlaceId> placeAfter(BatchChange change, TrayId tray) {
        if (change instanceof BatchChange.Moved moved
                && (moved.trays().isEmpty() || moved.trays().contains(tray))) {
            return Optional.of(moved.place());
        }
        return change instanceof BatchChange.HardeningStarted started ? Optional.of(started.place()) : Optional.empty();
    }

    /** From each tray that plants of their sowing were potted into to the one before, those of the fewest moves. */
    private static Map<TrayId, TrayId> onward(BatchState state, PlantOrigin origin) {
        Map<TrayId, TrayId> before = new HashMap<>();
        Deque<TrayId> reached = new ArrayDeque<>(List.of(origin.startedIn()));
        while (!reached.isEmpty() && !before.containsKey(origin.tray())) {
            TrayId from = reached.remove();
            for (RecordedChange recorded : inOrder(state)) {
                if (recorded.change() instanceof BatchChange.BetweenTrays went
                        && went.from().equals(from)
                        && !went.goal().equals(from)
                        && !went.goal().equals(origin.startedIn())
                        && before.putIfAbsent(went.goal(), from) == null) {
                    reached.add(went.goal());
                }
            }
        }
        Map<TrayId, TrayId> onward = new HashMap<>();
        for (TrayId at = origin.tray(); before.containsKey(at); at = before.get(at)) {
            onward.put(before.get(at), at);
        }
        return onward;
    }

    private static List<RecordedChange> inOrder(BatchState state) {
        return state.changes().stream()
                .filter(change -> !state.isCorrected(change.sequence()))
                .sorted(Comparator.comparing(RecordedChange::day))
                .toList();
    }
}
