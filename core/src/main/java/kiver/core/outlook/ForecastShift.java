package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kiver.core.place.PlaceId;

/**
 * Forecasts that have moved together: on one day, for one cause, at one place, and the same way.
 *
 * @param day on which that was seen
 * @param cause of it
 * @param place where the batches stand or are to stand
 * @param earlier whether they moved forward
 * @param changes of each batch; not empty
 */
public record ForecastShift(
        LocalDate day, ForecastChange.Cause cause, PlaceId place, boolean earlier, List<ForecastChange> changes) {

    private record Together(LocalDate day, ForecastChange.Cause cause, PlaceId place, boolean earlier) {}

    public ForecastShift {
        changes = List.copyOf(changes);
        if (changes.isEmpty()) {
            throw new IllegalArgumentException("Nothing has moved.");
        }
    }

    /** Puts together what moved together, in the order in which it comes. */
    public static List<ForecastShift> of(List<ForecastChange> changes) {
        Map<Together, List<ForecastChange>> groups = new LinkedHashMap<>();
        changes.forEach(each -> groups.computeIfAbsent(
                        new Together(each.day(), each.cause(), each.place(), each.daysLater() < 0),
                        key -> new ArrayList<>())
                .add(each));
        return groups.entrySet().stream()
                .map(group -> new ForecastShift(
                        group.getKey().day(),
                        group.getKey().cause(),
                        group.getKey().place(),
                        group.getKey().earlier(),
                        group.getValue()))
                .toList();
    }

    /** Days by which the batch moved that moved least, 0 or more. */
    public int leastDays() {
        return changes.stream()
                .mapToInt(each -> Math.abs(each.daysLater()))
                .min()
                .orElseThrow();
    }

    /** Days by which the batch moved that moved most, 0 or more. */
    public int mostDays() {
        return changes.stream()
                .mapToInt(each -> Math.abs(each.daysLater()))
                .max()
                .orElseThrow();
    }
}
