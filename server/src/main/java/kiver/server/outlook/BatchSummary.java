package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.batch.Balance;
import kiver.core.batch.BatchStage;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.Season;
import kiver.core.order.LineId;
import kiver.core.order.PlantShares;
import kiver.core.outlook.BatchOutlook;
import kiver.server.wording.Said;

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
 * @param dates of it
 * @param chance that all that was promised of it is met, 0 to 1
 * @param plants it was planned to give
 * @param promises of its plants, in the order in which they are served
 * @param shares of its plants
 * @param plantsAlive on hand under their name, counted as its order counts them
 * @param plantsMixed on hand, of which nobody is sure what they are
 * @param traysToSow trays, or parts of them, that are still to be sown; 0 before the first is
 * @param boughtIn whether its plants were raised elsewhere
 * @param problem why nothing could be worked out; missing when all could
 */
public record BatchSummary(
        int number,
        String variety,
        String crop,
        BatchStage stage,
        EmergenceVerdict verdict,
        String place,
        List<Integer> trays,
        Balance balance,
        BatchDates dates,
        double chance,
        int plants,
        List<PromiseView> promises,
        PlantShares shares,
        int plantsAlive,
        int plantsMixed,
        int traysToSow,
        boolean boughtIn,
        @Nullable Said problem) {

    /**
     * Plants promised for a line of an order.
     *
     * @param outstanding of them that have not gone and are still waited for
     * @param chance that the line gets them whole and in time
     */
    public record PromiseView(
            int order, int line, String grower, int plants, int outstanding, LocalDate target, double chance) {}

    static BatchSummary of(BatchOutlook batch, Season season, List<Integer> trays, LocalDate today) {
        var planned = batch.file().batch();
        var state = batch.file().state();
        return new BatchSummary(
                planned.number(),
                planned.variety(),
                batch.crop().name(),
                batch.stage(),
                batch.emerging().verdict(),
                season.place(batch.place()).name(),
                trays,
                state.balance(),
                BatchDates.of(batch),
                batch.chance(),
                planned.plants(),
                promises(batch),
                batch.file().shares(today),
                batch.file().plantsAlive(),
                batch.file().plantsMixed(),
                state.sownOn().isEmpty() ? 0 : batch.file().toSow().size(),
                planned.isBoughtIn(),
                batch.trouble()
                        .or(batch.file()::trouble)
                        .map(trouble -> Said.of((Record) trouble))
                        .orElse(null));
    }

    /** What was promised of a batch. */
    public static List<PromiseView> promises(BatchOutlook batch) {
        Map<LineId, Integer> released = batch.file().releasedByLine();
        return batch.file().promises().stream()
                .map(each -> new PromiseView(
                        each.orderNumber(),
                        each.position(),
                        each.grower(),
                        each.plants(),
                        released.getOrDefault(each.line(), 0) < each.accepted()
                                ? each.plants() - released.getOrDefault(each.line(), 0)
                                : 0,
                        each.target(),
                        batch.chanceFor(each.line())))
                .toList();
    }
}
