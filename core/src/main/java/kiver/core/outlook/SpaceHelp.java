package kiver.core.outlook;

import java.time.LocalDate;
import kiver.core.place.PlaceId;

/** What could be done with a batch about a place that is over-full. */
public sealed interface SpaceHelp {

    /** Number of the batch. */
    int batch();

    /** Put it in another place. */
    record OtherPlace(int batch, PlaceId place) implements SpaceHelp {}

    /** Hold it in a cooler place, where it takes longer. */
    record CoolerPlace(int batch, PlaceId place) implements SpaceHelp {}

    /** Sow it some days later, on a day. */
    record SowLater(int batch, int days, LocalDate day) implements SpaceHelp {}

    /** Pot it on as late as its roots allow. */
    record PotLater(int batch) implements SpaceHelp {}

    /** Tell the grower that so many plants of an order cannot be met, or agree on another day; for people to settle. */
    record TellGrower(int batch, String grower, int plants, int order) implements SpaceHelp {}
}
