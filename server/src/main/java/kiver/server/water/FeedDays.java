package kiver.server.water;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.care.FeedClock;
import kiver.core.care.FeedSchool;
import kiver.core.media.RecipeCode;
import kiver.core.outlook.BatchOutlook;
import kiver.server.care.FeedBook;
import kiver.server.clock.NurseryClock;
import org.springframework.stereotype.Component;

/** When each batch is next fed, by how the nursery feeds and what its mix still gives. */
@Component
public class FeedDays {

    /** No plant stands here longer than a winter and the summer before it. */
    private static final int DAYS_BACK = 400;

    private final FeedBook feeds;
    private final NurseryClock clock;

    FeedDays(FeedBook feeds, NurseryClock clock) {
        this.feeds = feeds;
        this.clock = clock;
    }

    /** What decides on the feeding of all batches on one look at the records. */
    public record Known(
            FeedSchool usual,
            Map<RecipeCode, FeedSchool> byRecipe,
            Map<Integer, LocalDate> lastFed,
            Map<Integer, List<FeedBook.Filled>> fillings) {

        /** When a batch is next fed; empty as long as nothing of it is up, and where nobody feeds. */
        public Optional<FeedClock> clock(BatchOutlook batch) {
            FeedSchool school = school(batch);
            if (school == FeedSchool.NEVER || batch.trouble().isPresent()) {
                return Optional.empty();
            }
            return emerged(batch)
                    .map(day -> new FeedClock(
                            school,
                            day,
                            reserveEnds(batch, day),
                            Optional.ofNullable(lastFed.get(batch.number())),
                            batch.file().batch().target()));
        }

        /** That of the mix it stands in, or the nursery's usual one. */
        private FeedSchool school(BatchOutlook batch) {
            List<FeedBook.Filled> filled = fillings.getOrDefault(batch.number(), List.of());
            return filled.isEmpty()
                    ? usual
                    : byRecipe.getOrDefault(filled.get(filled.size() - 1).recipe(), usual);
        }

        private static Optional<LocalDate> emerged(BatchOutlook batch) {
            return batch.file().batch().isBoughtIn()
                    ? batch.file().state().sownOn()
                    : batch.file().state().cellsUp().entrySet().stream()
                            .filter(count -> count.getValue() > 0)
                            .map(Map.Entry::getKey)
                            .findFirst();
        }

        /** Of the mix it stands in: seed's own counts from emergence, a potting mix from the potting. */
        private LocalDate reserveEnds(BatchOutlook batch, LocalDate emerged) {
            List<FeedBook.Filled> filled = fillings.getOrDefault(batch.number(), List.of());
            if (filled.isEmpty()) {
                return emerged.plusDays(FeedClock.UNKNOWN_RESERVE);
            }
            FeedBook.Filled last = filled.get(filled.size() - 1);
            LocalDate from = last.day().isAfter(emerged) ? last.day() : emerged;
            return from.plusDays(last.reserveDays());
        }
    }

    /** As things stand now. */
    public Known known() {
        FeedSchool usual = feeds.way().school();
        Map<RecipeCode, FeedSchool> byRecipe = feeds.byRecipe();
        LocalDate since = clock.today().minusDays(DAYS_BACK);
        boolean never =
                usual == FeedSchool.NEVER && byRecipe.values().stream().allMatch(school -> school == FeedSchool.NEVER);
        return never
                ? new Known(usual, byRecipe, Map.of(), Map.of())
                : new Known(usual, byRecipe, feeds.lastFed(since), feeds.fillings(since));
    }
}
