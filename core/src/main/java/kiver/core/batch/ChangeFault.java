package kiver.core.batch;

import java.time.LocalDate;

/** Why a change cannot be true of a batch. Cells are named by their number in the tray that the change is about. */
public sealed interface ChangeFault {

    /** A cell is sown, or holds a plant, already. */
    record CellSownAlready(int cell) implements ChangeFault {}

    /** A cell is sown with, or set aside for, another batch. */
    record CellOfAnother(int cell, int batch) implements ChangeFault {}

    /** A cell holds nothing of this batch. */
    record CellNotSown(int cell) implements ChangeFault {}

    /** No plant lives in a cell. */
    record NoPlantInCell(int cell) implements ChangeFault {}

    /** The plant of a cell is gone; that would have to be undone first. */
    record PlantIsGone(int cell, CellCondition condition) implements ChangeFault {}

    /** The name of a plant is in doubt; it can go only as mixed. */
    record NameInDoubt(int cell) implements ChangeFault {}

    /** The name of a plant is certain. */
    record NameIsCertain(int cell) implements ChangeFault {}

    /** A place of the tray that plants are potted into is taken. */
    record PlaceIsTaken(int cell) implements ChangeFault {}

    /** So many plants do not go into so many places. */
    record PlacesDoNotFit(int plants, int places) implements ChangeFault {}

    /** A cell holds no more seedlings than are to stay in it. */
    record NothingToThin(int cell, int seedlings, int left) implements ChangeFault {}

    /** So many seedlings do not stay in a cell. */
    record SeedlingsLeft(int most) implements ChangeFault {}

    /** A cell holds one seedling only. */
    record OnlyOneSeedling(int cell) implements ChangeFault {}

    /** A cell was not given up; something may come up in it yet, or stands in it. */
    record CellNotGivenUp(int cell) implements ChangeFault {}

    /** A cell was sown from another lot than the seedling that is to go there. */
    record CellOfAnotherLot(int cell) implements ChangeFault {}

    /** Plants are potted into another tray than they stand in. */
    record SameTray() implements ChangeFault {}

    /** A tray holds nothing of this batch. */
    record TrayHoldsNone() implements ChangeFault {}

    /** No cell was picked. */
    record NoCellPicked() implements ChangeFault {}

    /** A cell was picked twice. */
    record CellNamedTwice(int cell) implements ChangeFault {}

    /** A cell was counted twice. */
    record CellCountedTwice(int cell) implements ChangeFault {}

    /** A cell does not hold so many seedlings. */
    record TooManySeedlings(int cell, int seedlings, int most) implements ChangeFault {}

    /** Nobody sells plants with so many leaves in trays. */
    record LeavesOnArrival(double most) implements ChangeFault {}

    /** Nobody sows so many seeds into a cell. */
    record SeedsPerCell(int seeds, int most) implements ChangeFault {}

    /** A programme does not take so many days. */
    record ProgrammeDays(int most) implements ChangeFault {}

    /** A day does not have so many hours. */
    record HoursOutside(int hours) implements ChangeFault {}

    /** It is said to have happened before the batch was sown. */
    record BeforeSowing(LocalDate sownOn) implements ChangeFault {}

    /** The batch is not sown yet. */
    record NotSown() implements ChangeFault {}

    /** No plant lives, so none can be hardened. */
    record NoneToHarden() implements ChangeFault {}

    /** Its hardening has begun before. */
    record HardeningBegan(LocalDate began) implements ChangeFault {}

    /** That day of hardening is recorded. */
    record HardeningRecorded(LocalDate day) implements ChangeFault {}

    /** It is not being hardened off. */
    record NotHardening() implements ChangeFault {}

    /** A note holds 1 to so many letters. */
    record NoteLength(int most) implements ChangeFault {}

    /** One looks at leaves or roots of 1 to so many plants. */
    record PlantsLookedAt(int most) implements ChangeFault {}

    /** No seedling has more than so many true leaves, or fewer than none. */
    record LeavesSeen(int most) implements ChangeFault {}

    /** Nothing lives that could be looked at. */
    record NoneToLookAt() implements ChangeFault {}

    /** Roots do not fill what was sown or potted so few days ago. */
    record RootsTooSoon(LocalDate filled) implements ChangeFault {}

    /** The record has no such entry. */
    record NoSuchEntry(int sequence) implements ChangeFault {}

    /** That entry was undone before. */
    record UndoneBefore() implements ChangeFault {}

    /** Later changes rest on what is to be undone. */
    record LaterRestOnIt(ChangeFault first) implements ChangeFault {}
}
