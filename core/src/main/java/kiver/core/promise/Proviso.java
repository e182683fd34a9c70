package kiver.core.promise;

import java.time.LocalDate;
import kiver.core.place.PlaceId;
import kiver.core.plan.Obstacle;

/** A condition of a yes, or a reason of a no, in figures; words for it are chosen where it is shown. */
public sealed interface Proviso {

    /** Something stands in the way of the plan. */
    record InTheWay(Obstacle obstacle) implements Proviso {}

    /** A place lacks so many tray places, 1 or more, on some days; both inclusive. */
    record NoRoom(PlaceId place, int trayPlaces, LocalDate from, LocalDate to) implements Proviso {}

    /** A place on the way is not there on some days; both inclusive. */
    record NotThere(PlaceId place, LocalDate from, LocalDate to) implements Proviso {}

    /**
     * Mix for it cannot be made of what is in the store, and little time is left to buy.
     *
     * @param ingredient as people say it
     * @param bags to buy, 1 or more
     * @param by the day on which it is filled
     */
    record MixToBuy(String ingredient, int bags, LocalDate by) implements Proviso {}

    /** Whole and in time with this chance only, 0 to 1: too little to be promised. */
    record TooUnlikely(double chance) implements Proviso {}

    /** Whole and in time with this chance, 0 to 1, which the grower must be content with. */
    record ChanceToLiveWith(double chance) implements Proviso {}
}
