package kiver.server.space;

import java.time.LocalDate;
import java.util.List;
import kiver.core.space.Occupancy;

/**
 * Days on end on which a place is over-full.
 *
 * @param placeId in the database
 * @param place name
 * @param from first day
 * @param to last day
 * @param over tray places that are lacking on the worst of them
 * @param batches that stand there
 */
public record OverflowView(
        long placeId, String place, LocalDate from, LocalDate to, double over, List<Integer> batches) {

    /** All of them, by place and day. */
    public static List<OverflowView> of(Occupancy occupancy) {
        return occupancy.overflows().stream()
                .map(each -> new OverflowView(
                        each.place().id().number(),
                        each.place().name(),
                        each.from(),
                        each.until().minusDays(1),
                        each.mostOver(),
                        each.batches()))
                .toList();
    }
}
