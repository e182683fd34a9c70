package kiver.server.stock;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.server.clock.NurseryClock;
import kiver.server.media.MediaBook;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes what cells and pots were filled with off the mix it came from. */
@Component
public class Filling {

    private static final double MILLILITRES_IN_LITRE = 1000;

    private final StockLedger ledger;
    private final MediaBook media;
    private final NurseryClock clock;

    Filling(StockLedger ledger, MediaBook media, NurseryClock clock) {
        this.ledger = ledger;
        this.media = media;
        this.clock = clock;
    }

    /**
     * So many cells of a container.
     *
     * @param plug mL in each that a plant brought with it
     */
    public record Filled(Container container, int cells, double plug) {

        /** Cells that were empty. */
        public Filled(Container container, int cells) {
            this(container, cells, 0);
        }
    }

    /**
     * Cells were filled; must run in the transaction that records it, and counts once for a request.
     *
     * @param mix they were filled from
     * @param batch number of the batch that stands in them
     * @param filled which cells
     * @param day on which; null for today
     * @param by account number; null for the nursery's simulated hands
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void fill(
            MixLot mix, int batch, List<Filled> filled, @Nullable LocalDate day, @Nullable Long by, UUID request) {
        double packing = media.recipe(mix.recipe()).recipe().handling().packing();
        double waste = media.mixing().tools().waste();
        double litres = filled.stream()
                        .mapToDouble(each ->
                                each.cells() * (each.container().cellVolume() - each.plug()) / MILLILITRES_IN_LITRE)
                        .sum()
                * packing
                * (1 + waste);
        ledger.filled(mix, batch, litres, day == null ? clock.today() : day, by, request);
    }
}
