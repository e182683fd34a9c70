package kiver.core.promise;

import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.Container;
import kiver.core.stock.MixStore;

/** Port: what must be bought so that a plan's containers can be filled beside all that is planned already. */
@FunctionalInterface
public interface MixAhead {

    /** Where no mixes are kept, none lack. */
    MixAhead NOT_KEPT = fillings -> List.of();

    /**
     * Containers that a plan fills.
     *
     * @param day on which they are filled
     * @param container of them
     * @param cells filled, 1 or more
     * @param sown whether seed goes in; plants are potted otherwise
     */
    record Filling(LocalDate day, Container container, int cells, boolean sown) {}

    /** What must be bought for fillings, the soonest first. */
    List<MixStore.ToBuy> toBuy(List<Filling> fillings);
}
