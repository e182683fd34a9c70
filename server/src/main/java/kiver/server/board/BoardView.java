package kiver.server.board;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.plan.SowWindow;
import kiver.core.space.Stay;
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
        LocalDate today, List<BoardBatch> batches, List<BoardPlace> places, List<OverflowView> overflows,
        @Nullable Said undo, List<DraftName> drafts) {

    /** A draft by name. */
    record DraftName(long id, String name) {}

    /** A place. */
    record BoardPlace(
            long id, String name, int slots, boolean forEmergence, boolean forGrowingOn, boolean forHardeningOff) {}

    /** Trays at a place for a while; both days inclusive. */
    record BoardStay(long placeId, LocalDate from, LocalDate to, double slots) {}

    /** A batch on the board. */
    record BoardBatch(
            int number, String variety, String crop, List<BatchSummary.PromiseView> promises, int plants, String container,
            BatchStage stage, boolean boughtIn, boolean sown, boolean pinned, LocalDate sowDay, @Nullable SowWindow window,
            @Nullable DateSpread emerged, List<DateSpread> pottings, boolean pottedLate, @Nullable DateSpread stageReached, @Nullable DateSpread ready,
            @Nullable DateSpread pastLimit, double chance, LocalDate target, List<BoardStay> stays,
            long emergencePlaceId, long growingPlaceId, long hardeningPlaceId, int planVersion) {}

    static BoardBatch batch(BatchOutlook analysis, @Nullable SowWindow window) {
        Batch batch = analysis.file().batch();
        var state = analysis.file().state();
        DateSpread ready = state.hardenedOn()
                .map(day -> new DateSpread(day, day, day))
                .orElse(analysis.forecast().ready().orElse(null));
        return new BoardBatch(
                batch.number(), batch.variety(), analysis.crop().name(), BatchSummary.promises(analysis),
                batch.plants(), analysis.container().name(), analysis.stage(), batch.isBoughtIn(), state.sownOn().isPresent(), batch.plan().pinned(),
                state.sownOn().orElse(batch.sowDay()), window, analysis.forecast().emerged().orElse(null),
                analysis.forecast().pottings(), batch.plan().pottedLate(),
                analysis.forecast().stageReached().orElse(null), ready, analysis.forecast().pastLimit().orElse(null),
                analysis.chance(), batch.target(), analysis.stays().stream().map(BoardView::stay).toList(),
                analysis.way().emergence().number(), analysis.way().growingOn().number(),
                analysis.way().hardening().number(), batch.planVersion());
    }

    private static BoardStay stay(Stay stay) {
        return new BoardStay(stay.place().number(), stay.from(), stay.until().minusDays(1), stay.slots());
    }
}
