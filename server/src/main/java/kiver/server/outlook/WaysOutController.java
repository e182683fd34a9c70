package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.WaitOrResow;
import kiver.core.plan.SowWindow;
import kiver.core.space.Rates;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.space.RateBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The ways out of a batch that comes up late or badly: wait, sow more today, sow more on the last useful day. */
@RestController
class WaysOutController {

    private static final double MILLILITRES_IN_LITRE = 1000;
    private static final double SECONDS_IN_HOUR = 3600;

    private final BatchAnalyst analyst;
    private final LastSowDays lastSowDays;
    private final LotKnowledge lots;
    private final BatchBook batches;
    private final SeedStore seeds;
    private final RateBook rates;
    private final SeasonService seasons;
    private final NurseryClock clock;

    WaysOutController(
            BatchAnalyst analyst,
            LastSowDays lastSowDays,
            LotKnowledge lots,
            BatchBook batches,
            SeedStore seeds,
            RateBook rates,
            SeasonService seasons,
            NurseryClock clock) {
        this.analyst = analyst;
        this.lastSowDays = lastSowDays;
        this.lots = lots;
        this.batches = batches;
        this.seeds = seeds;
        this.rates = rates;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * A sowing beside what is up already.
     *
     * @param trays whole or in part
     * @param cost of its seed, mix and work, in the nursery's own money
     * @param chance that what is wanted is met with both together, 0 to 1
     */
    record ResowingView(ResowOn on, LocalDate day, int cells, int trays, int seeds, double cost, double chance) {}

    /** Which day it is. */
    enum ResowOn {
        TODAY,
        /** Most likely ready just in time, and not past its best. */
        BEST_DAY,
        /** The last on which a sowing is ready in time nine times in ten. */
        LAST_DAY
    }

    /**
     * What to choose between.
     *
     * @param wanted plants that have still to go
     * @param living plants of the batch that may be counted on, as likely as not
     * @param missing plants that are wanted beyond those
     * @param waiting the chance if nothing is done, 0 to 1
     * @param lot that would be sown
     * @param seedsLeft of it
     * @param lastDay the last useful day to sow; missing when that is over
     */
    record WaysOutView(
            int wanted,
            int living,
            int missing,
            double waiting,
            String lot,
            int seedsLeft,
            @Nullable LocalDate lastDay,
            List<ResowingView> resowings) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/ways-out")
    WaysOutView waysOut(@PathVariable int number) {
        BatchOutlook batch = analyst.one(number);
        LocalDate today = clock.today();
        SeedLot lot = seeds.lot(batch.file().lotSown());
        LotKnowledge.OfAll known = lots.ofAll(batches.files());
        boolean open = batch.stage() != BatchStage.PLANNED
                && !batch.file().batch().isBoughtIn()
                && batch.trouble().isEmpty()
                && !batch.file().batch().target().isBefore(today);
        Optional<SowWindow> window = open ? lastSowDays.window(batch) : Optional.empty();
        Optional<LocalDate> last = open ? lastSowDays.last(batch) : Optional.empty();
        if (!open) {
            return new WaysOutView(
                    batch.file().stillWanted(), 0, 0, batch.chance(), lot.code(), lot.seedsLeft(), null, List.of());
        }
        Map<LocalDate, ResowOn> days = new TreeMap<>(Map.of(today, ResowOn.TODAY));
        window.map(SowWindow::best).filter(day -> day.isAfter(today)).ifPresent(day -> days.put(day, ResowOn.BEST_DAY));
        last.ifPresent(day -> days.putIfAbsent(day, ResowOn.LAST_DAY));
        WaitOrResow choice = WaitOrResow.of(
                batch,
                known.germination(lot, today, number),
                known.germination(lot, today, 0),
                batch.countBack(seasons.season()),
                today,
                List.copyOf(days.keySet()));
        return new WaysOutView(
                batch.file().stillWanted(),
                choice.living(),
                choice.missing(),
                choice.waiting(),
                lot.code(),
                lot.seedsLeft(),
                last.orElse(null),
                choice.resowings().stream()
                        .map(resowing -> view(resowing, days.get(resowing.day()), batch))
                        .toList());
    }

    private ResowingView view(WaitOrResow.Resowing resowing, ResowOn on, BatchOutlook batch) {
        Container container = batch.containers().containers().get(0);
        Rates costs = rates.rates();
        double mix = resowing.cells() * container.cellVolume() / MILLILITRES_IN_LITRE * (1 + costs.mixLoss());
        return new ResowingView(
                on,
                resowing.day(),
                resowing.cells(),
                (int) Math.ceil(resowing.cells() / (double) container.cells()),
                resowing.seeds(),
                mix * costs.mixPerLitre()
                        + resowing.seeds() / 1000.0 * costs.seedPerThousand()
                        + resowing.cells() * costs.secondsToSow() / SECONDS_IN_HOUR * costs.hour(),
                resowing.chance());
    }
}
