package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.DateSpread;
import kiver.core.plan.Hindrance;
import kiver.core.promise.Proviso;
import kiver.server.wording.Said;

/**
 * What a way would bring.
 *
 * @param route the way
 * @param current whether the line is on it now
 * @param possible whether it can be taken
 * @param begins day on which it is sown here, first day on which it is sown in place, or last day on which it may arrive
 * @param until last day on which it is sown in place
 * @param ready when plants are as they were wanted; missing where that is not known
 * @param chance of enough of them in time, 0 to 1
 * @param cost at the nursery's rates; missing where it is spent already, or no price is known
 * @param slots trays of bench room at its widest
 * @param seeds from the store
 * @param price of a plant that it is reckoned with, the last that was paid for the crop
 * @param reasons why plants cannot be raised for it
 * @param hindrances why it cannot be sown in place
 * @param refused why it cannot be worked out at all
 * @param how it is to be sown in place, in lines
 */
record RouteView(
        Route route,
        boolean current,
        boolean possible,
        @Nullable LocalDate begins,
        @Nullable LocalDate until,
        @Nullable DateSpread ready,
        double chance,
        @Nullable Double cost,
        double slots,
        int seeds,
        @Nullable Double price,
        List<Proviso> reasons,
        List<Hindrance> hindrances,
        @Nullable Said refused,
        List<Said> how) {

    /** A way that cannot be worked out, and why. */
    static RouteView refused(Route route, Said refused) {
        return new RouteView(
                route, false, false, null, null, null, 0, null, 0, 0, null, List.of(), List.of(), refused, List.of());
    }
}
