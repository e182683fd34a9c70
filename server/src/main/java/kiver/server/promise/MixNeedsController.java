package kiver.server.promise;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.core.stock.MixNeed;
import kiver.core.stock.MixStore;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.stock.StockLedger;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Mix that the plan needs, against what is in the store, and what must be bought. */
@RestController
class MixNeedsController {

    private final MixNeeds needs;
    private final StockLedger ledger;

    MixNeedsController(MixNeeds needs, StockLedger ledger) {
        this.needs = needs;
        this.ledger = ledger;
    }

    /** Mix that is filled on a day. */
    record NeedLine(LocalDate day, String recipe, double litres, int batch) {}

    /** Something to be bought; litres, and the nursery's own money. */
    record MixToBuyLine(
            String ingredient, double needed, double lacking, int bags, double bagLitres, double cost, LocalDate by) {}

    /** The plan against the store of mix. */
    record MixNeedsView(List<NeedLine> needs, List<MixToBuyLine> toBuy) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/mix-needs")
    MixNeedsView needs() {
        List<MixNeed> planned = needs.planned();
        MixStore store = ledger.store();
        Map<RecipeCode, String> names =
                store.recipes().values().stream().collect(Collectors.toMap(Recipe::code, Recipe::name));
        return new MixNeedsView(
                planned.stream()
                        .sorted(Comparator.comparing(MixNeed::day).thenComparing(MixNeed::batch))
                        .map(need -> new NeedLine(
                                need.day(), names.getOrDefault(need.recipe(), ""), need.litres(), need.batch()))
                        .toList(),
                store.toBuy(planned).stream()
                        .map(each -> new MixToBuyLine(
                                each.ingredient().name(),
                                each.needed(),
                                each.lacking(),
                                each.bags(),
                                each.ingredient().bagLitres(),
                                each.cost(),
                                each.by()))
                        .toList());
    }
}
