package kiver.server.grow;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchStage;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.place.PlaceId;

/**
 * A batch in one line.
 *
 * @param number of the batch
 * @param variety name
 * @param crop name
 * @param stage on its path
 * @param verdict on its emergence
 * @param place where it stands, or is to be put when not yet sown
 * @param trays it lies in, by code number
 * @param balance in cells
 * @param sowDay when it was sown, or is planned to be
 * @param ready when it will be ready
 * @param pastLimit when it will be past its best
 * @param chance that its order is met from it, 0 to 1
 * @param order number of the order
 * @param grower name
 * @param plants ordered
 * @param target day on which they are wanted
 * @param plantsAlive on hand, counted as its order counts them
 * @param traysToSow trays, or parts of them, that are still to be sown; 0 before the first is
 * @param problem why nothing could be worked out; missing when all could
 */
public record BatchSummary(
        int number, String variety, String crop, BatchStage stage, EmergenceVerdict verdict, String place,
        List<Integer> trays, Balance balance, LocalDate sowDay, @Nullable DateSpread ready, @Nullable DateSpread pastLimit, double chance,
        int order, String grower, int plants, LocalDate target, int plantsAlive, int traysToSow, @Nullable String problem) {

    static BatchSummary of(BatchAnalysis batch, Season season, List<Integer> trays) {
        var planned = batch.file().batch();
        var state = batch.file().state();
        PlaceId place = state.place().orElse(batch.way().emergence());
        DateSpread ready = state.hardenedOn()
                .map(day -> new DateSpread(day, day, day))
                .orElse(batch.forecast().ready().orElse(null));
        return new BatchSummary(
                planned.number(), planned.variety(), batch.crop().name(), batch.stage(), batch.verdict(),
                season.place(place).name(), trays, state.balance(), state.sownOn().orElse(planned.sowDay()), ready,
                batch.forecast().pastLimit().orElse(null), batch.chance(), planned.orderNumber(), planned.grower(),
                planned.plants(), planned.target(), batch.file().plantsAlive(),
                state.sownOn().isEmpty() ? 0 : batch.file().toSow().size(),
                batch.problem().or(batch.file()::problem).orElse(null));
    }
}
