package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.Grade;
import kiver.core.crop.ContainerCode;
import kiver.server.wording.Said;

/**
 * A batch with everything the screens show of it.
 *
 * @param summary in one line
 * @param layout what it lies in
 * @param from what it is raised from
 * @param plan how it is meant to be grown
 * @param places it is to pass through, and those where it stood
 * @param hardening of it
 * @param emergence of it, in cells
 * @param growth how far its plants are
 * @param chances of enough plants, in time
 * @param caution where the work can hurt somebody; empty where it cannot
 * @param changes that were recorded
 */
public record BatchView(
        BatchSummary summary,
        Layout layout,
        RaisedFrom from,
        PlannedView plan,
        Places places,
        HardeningView hardening,
        EmergenceView emergence,
        GrowthView growth,
        ChancesView chances,
        String caution,
        List<ChangeView> changes) {

    /** A run of cells of one tray. */
    public record RunView(int tray, int firstCell, int lastCell) {}

    /** Living plants in a tray, and the code of what that tray is. */
    public record TrayPlants(
            int tray,
            int plants,
            ContainerCode container,
            Grade grade,
            @Nullable String place) {}

    /** One point of the emergence expected, in cells. */
    public record CurvePoint(LocalDate day, double low, double middle, double high) {}

    /** What a day's count found. */
    public record CountPoint(LocalDate day, int cells) {}

    /**
     * Something that was recorded.
     *
     * @param time of day at which it happened, hours and minutes, where it is known
     * @param device on which it was entered, where that is known
     */
    public record ChangeView(
            int sequence,
            LocalDate day,
            @Nullable String time,
            Said words,
            String by,
            @Nullable String device,
            boolean corrected,
            boolean isCorrection) {}

    /** A stay at a place. */
    public record StayView(String place, LocalDate from) {}

    /**
     * How the plants of a batch came that were raised elsewhere.
     *
     * @param leaves true leaves on arrival
     * @param price of one plant, in the nursery's own money
     */
    public record BoughtIn(double leaves, @Nullable Double price) {}

    /**
     * What it lies in.
     *
     * @param runs of cells it was sown in and potted on into
     * @param toSow runs still to be sown
     * @param container its plants are handed over in, by name
     * @param containers codes of those it passes
     * @param living plants by tray
     */
    public record Layout(
            List<RunView> runs,
            List<RunView> toSow,
            String container,
            List<ContainerCode> containers,
            List<TrayPlants> living) {}

    /**
     * What it is raised from.
     *
     * @param lot code
     * @param lotId in the database
     * @param supplier of it
     * @param depth at which it is sown, mm
     * @param needsLight to come up
     * @param boughtIn how its plants came; missing where seed was sown
     */
    public record RaisedFrom(
            String lot,
            long lotId,
            String supplier,
            double depth,
            boolean needsLight,
            @Nullable BoughtIn boughtIn) {}

    /**
     * How it is meant to be grown.
     *
     * @param sowDay planned
     * @param latestSowDay last safe day for the day on which it is wanted now
     * @param accepted fewest plants that are enough
     * @param countsSeedlings whether its number counts the seedlings of its clumps
     * @param version how often its plan was changed
     */
    public record PlannedView(
            LocalDate sowDay,
            @Nullable LocalDate latestSowDay,
            int seedsPerCell,
            int cells,
            int cellsNeeded,
            int leavesFrom,
            int leavesTo,
            int accepted,
            boolean countsSeedlings,
            int version) {}

    /** The places it is to pass through, the one where it is now, and those where it stood. */
    public record Places(
            NamedPlace emergence,
            NamedPlace growingOn,
            NamedPlace hardening,
            @Nullable Long now,
            List<StayView> stays) {}

    /** A place by its name. */
    public record NamedPlace(long id, String name) {}

    /**
     * Its hardening.
     *
     * @param programme its code
     * @param programmeName that the nursery gave it; empty for a school
     * @param days it has had
     * @param programmeDays it takes
     * @param hoursNext out of doors that its programme asks for on its next day
     * @param heldUntil when it begins, for plants that have their leaves and wait for it inside
     */
    public record HardeningView(
            String programme,
            String programmeName,
            int programmeDays,
            int hoursNext,
            int days,
            @Nullable LocalDate startedOn,
            @Nullable LocalDate heldUntil) {}

    /**
     * Its emergence, in cells.
     *
     * @param expectedUp by this morning
     * @param expectedAtCount by the day of the last count
     * @param up in which something was seen
     * @param completelyCounted whether no more is waited for
     * @param source of what is known of the crop
     */
    public record EmergenceView(
            double expectedUp,
            double expectedAtCount,
            int up,
            boolean completelyCounted,
            List<CurvePoint> curve,
            List<CountPoint> counts,
            String source) {}

    /** How far its plants are. */
    public record GrowthView(double leavesNow, boolean leggy, int pottingsDone) {}

    /**
     * What its chance is made of; the whole is the product of the three.
     *
     * @param enough that enough of its plants live until they go, 0 to 1
     * @param inTime that they are ready and not past their best on their day, 0 to 1
     * @param nightShare likely left after the coming night where they stand, 0 to 1
     * @param wanted fewest plants that have still to go
     * @param pace of this batch beside its crop's mean, by its own counts; 1 before any, 1.1 for one a tenth ahead
     * @param longerHere times as long as its crop's figures say that a leaf takes where it grows on, as other batches taught
     */
    public record ChancesView(
            double enough, double inTime, double nightShare, int wanted, double pace, double longerHere) {}
}
