package kiver.core.promise;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.order.OutdoorSeason;
import kiver.core.plan.CountBack;
import kiver.core.plan.PlanRequest;
import kiver.core.plan.SeedlingLight;
import kiver.core.plan.SowingSeason;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.SowQuantity;

/**
 * The question turned round: what would come of a lot, were it sown on a day.
 *
 * @param ready when plants have their leaves and are hardened
 * @param goesOut the day on which they could best go out: ready in nine years of ten, and the site fit for them
 * @param chance that they are ready and not past their best on that day, 0 to 1, on draws that chose no day
 * @param lastDay on which the lot can be sown for that site; empty where nothing ends its season as far as is looked at
 * @param plants that the seed gives, 19 times in 20
 */
public record StillToSow(DateSpread ready, LocalDate goesOut, double chance, Optional<LocalDate> lastDay, int plants) {

    /**
     * What would come of it; empty where nothing would be ready as far as is looked ahead, or the site would not take it any
     * more.
     *
     * @param request crop, containers, site and lot; its line tells the stage alone
     * @param season to look into
     * @param way that its trays would go
     * @param sowDay today or later
     */
    public static Optional<StillToSow> of(PlanRequest request, Season season, Way way, LocalDate sowDay) {
        CountBack countBack = new CountBack(
                request.path(),
                season.scenarios(
                        way,
                        request.crop().development(),
                        request.crop().learnt().paces()),
                season.manyFreshDraws(
                        way,
                        request.crop().development(),
                        request.crop().learnt().paces()),
                season.firstDay(),
                SeedlingLight.at(season, way.growingOn(), request.crop().leaves()));
        Optional<DateSpread> ready = new MilestoneSpreads(
                        season.firstDay(), season.lastDay(), countBack.milestones(sowDay))
                .of(Milestones::ready);
        Optional<LocalDate> out = ready.flatMap(spread -> goesOut(spread, request.outdoors()));
        return out.map(day -> new StillToSow(
                ready.orElseThrow(),
                day,
                countBack.drawnChance(sowDay, day),
                request.outdoors()
                        .flatMap(outdoors -> SowingSeason.of(outdoors, countBack, request.today())
                                .until()),
                plants(request)));
    }

    /** Not before the site takes them, and not after it would. */
    private static Optional<LocalDate> goesOut(DateSpread ready, Optional<OutdoorSeason> outdoors) {
        if (outdoors.isEmpty()) {
            return Optional.of(ready.late());
        }
        OutdoorSeason site = outdoors.get();
        if (site.soilNeverWarm()) {
            return Optional.empty();
        }
        LocalDate first = ready.late().isAfter(site.from()) ? ready.late() : site.from();
        LocalDate last = site.until().filter(until -> until.isBefore(first)).orElse(first);
        return Optional.of(last).filter(day -> !day.isBefore(site.from()) && !day.isBefore(ready.early()));
    }

    /** As many plants as one seed to a cell gives with the confidence asked; found by halving. */
    private static int plants(PlanRequest request) {
        if (request.germination() == null) {
            return 0;
        }
        int cells = Math.min(request.seedsInStock(), SowQuantity.MOST_CELLS);
        SowQuantity quantity = new SowQuantity(
                GerminationNodes.of(request.germination()).withMishaps(),
                1,
                request.crop().learnt().living());
        int low = 0;
        int high = cells;
        while (low < high) {
            int middle = low + (high - low + 1) / 2;
            if (quantity.chanceOfAtLeast(middle, cells) >= request.allowances().confidence()) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
