package kiver.server.board;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.BatchStage;
import kiver.core.growth.Way;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.plan.SowWindow;
import kiver.core.space.Stay;
import kiver.server.outlook.BatchDates;
import kiver.server.outlook.BatchSummary;
import kiver.server.space.OverflowView;
import kiver.server.wording.Said;

/**
 * The season as the board shows it.
 *
 * @param today the nursery's day
 * @param batches that are not over, by target
 * @param places in walking order
 * @param overflows of places
 * @param undo what the last change was that can be undone
 * @param drafts that are open
 */
record BoardView(
        LocalDate today,
        List<BoardBatch> batches,
        List<BoardPlace> places,
        List<OverflowView> overflows,
        @Nullable Said undo,
        List<DraftName> drafts) {

    /** A draft by name. */
    record DraftName(long id, String name) {}

    /** A place. */
    record BoardPlace(
            long id, String name, int slots, boolean forEmergence, boolean forGrowingOn, boolean forHardeningOff) {}

    /** Trays at a place for a while; both days inclusive. */
    record BoardStay(long placeId, LocalDate from, LocalDate to, double slots) {}

    /**
     * The plan of a batch on the board.
     *
     * @param version that was seen
     * @param pinned whether its places were chosen by hand
     * @param pottedLate whether it stays in each container as long as its roots allow
     * @param window of sow days; missing for one that is sown
     * @param emergencePlaceId where it comes up
     * @param growingPlaceId where it grows on
     * @param hardeningPlaceId where it hardens
     */
    record BoardPlan(
            int version,
            boolean pinned,
            boolean pottedLate,
            @Nullable SowWindow window,
            long emergencePlaceId,
            long growingPlaceId,
            long hardeningPlaceId) {}

    /** A batch on the board. */
    record BoardBatch(
            int number,
            String variety,
            String crop,
            List<BatchSummary.PromiseView> promises,
            int plants,
            String container,
            BatchStage stage,
            boolean boughtIn,
            boolean sown,
            double chance,
            BatchDates dates,
            BoardPlan plan,
            List<BoardStay> stays) {}

    static BoardBatch batch(BatchOutlook outlook, @Nullable SowWindow window) {
        Batch batch = outlook.file().batch();
        Way way = outlook.way();
        return new BoardBatch(
                batch.number(),
                batch.variety(),
                outlook.crop().name(),
                BatchSummary.promises(outlook),
                batch.plants(),
                outlook.container().name(),
                outlook.stage(),
                batch.isBoughtIn(),
                outlook.file().state().sownOn().isPresent(),
                outlook.chance(),
                BatchDates.of(outlook),
                new BoardPlan(
                        batch.planVersion(),
                        batch.plan().pinned(),
                        batch.plan().pottedLate(),
                        window,
                        way.emergence().number(),
                        way.growingOn().number(),
                        way.hardening().number()),
                outlook.stays().stream().map(BoardView::stay).toList());
    }

    private static BoardStay stay(Stay stay) {
        return new BoardStay(stay.place().number(), stay.from(), stay.until().minusDays(1), stay.slots());
    }
}
