package kiver.server.promise;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.growth.DateSpread;
import kiver.core.media.BarrowSheet;
import kiver.core.media.Recipe;
import kiver.core.outlook.BatchOutlook;
import kiver.core.promise.MixAhead;
import kiver.core.stock.MixNeed;
import kiver.core.stock.MixStore;
import kiver.core.tray.CellRun;
import kiver.server.clock.NurseryClock;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.space.BatchOutlooks;
import kiver.server.stock.StockLedger;
import org.springframework.stereotype.Component;

/** Mix that the plan asks for: cells still to be sown and pots still to be filled, by the usual recipe of each use. */
@Component
class MixNeeds {

    private final BatchOutlooks batches;
    private final MediaBook media;
    private final StockLedger ledger;
    private final NurseryClock clock;

    MixNeeds(BatchOutlooks batches, MediaBook media, StockLedger ledger, NurseryClock clock) {
        this.batches = batches;
        this.media = media;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** The usual recipes and what one wastes; what has no usual recipe is not asked for. */
    private record Usual(List<Recipe> recipes, BarrowSheet.Tools tools) {

        Optional<MixNeed> need(MixAhead.Filling filling, int batch) {
            Recipe.Use use = filling.container().kind() == Container.Kind.BLOCKS
                    ? Recipe.Use.BLOCKS
                    : filling.sown() ? Recipe.Use.SOWING : Recipe.Use.POTTING;
            return recipes.stream()
                    .filter(recipe -> recipe.use() == use)
                    .findFirst()
                    .map(recipe -> new MixNeed(filling.day(), recipe.code(), litres(filling, recipe), batch));
        }

        private double litres(MixAhead.Filling filling, Recipe recipe) {
            return filling.cells()
                    * filling.container().cellVolume()
                    / 1000
                    * recipe.handling().packing()
                    * (1 + tools.waste());
        }
    }

    private Usual usual() {
        return new Usual(
                media.recipes().stream()
                        .filter(KeptRecipe::usual)
                        .map(KeptRecipe::recipe)
                        .toList(),
                media.mixing().tools());
    }

    /** Everything that is planned. */
    List<MixNeed> planned() {
        return planned(usual());
    }

    private List<MixNeed> planned(Usual usual) {
        if (usual.recipes().isEmpty()) {
            return List.of();
        }
        List<MixNeed> needs = new ArrayList<>();
        for (BatchOutlook batch : batches.all()) {
            fillings(batch).stream()
                    .flatMap(filling -> usual.need(filling, batch.number()).stream())
                    .forEach(needs::add);
        }
        return needs;
    }

    /** What of a batch is still to be filled: what waits to be sown, and every potting ahead. */
    private List<MixAhead.Filling> fillings(BatchOutlook batch) {
        LocalDate today = clock.today();
        List<MixAhead.Filling> fillings = new ArrayList<>();
        List<Container> containers = batch.containers().containers();
        int toSow = batch.file().toSow().stream().mapToInt(CellRun::length).sum();
        if (toSow > 0 && !batch.file().batch().isBoughtIn()) {
            fillings.add(
                    new MixAhead.Filling(later(batch.file().batch().sowDay(), today), containers.get(0), toSow, true));
        }
        List<DateSpread> pottings = batch.forecast().pottings();
        int plants = batch.file().state().balance().sown() == 0
                ? batch.file().batch().plants()
                : batch.file().plantsAlive();
        for (int index = 0; index < pottings.size(); index++) {
            int into = containers.size() - pottings.size() + index;
            if (into >= 1 && plants > 0) {
                fillings.add(new MixAhead.Filling(
                        later(pottings.get(index).middle(), today), containers.get(into), plants, false));
            }
        }
        return fillings;
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    /** What is left for a question once everything planned has its mix; nothing is asked where no mix is kept. */
    MixAhead ahead() {
        Usual usual = usual();
        MixStore store = ledger.store();
        if (usual.recipes().isEmpty()
                || (store.made().isEmpty() && store.inStore().isEmpty())) {
            return MixAhead.NOT_KEPT;
        }
        MixStore left = store.after(planned(usual));
        return fillings -> left.toBuy(fillings.stream()
                .flatMap(filling -> usual.need(filling, 0).stream())
                .toList());
    }
}
