package kiver.server.plan;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.Container;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.place.PlaceId;
import kiver.core.plan.Obstacle;
import kiver.core.plan.Plan;
import kiver.core.plan.SowWindow;
import kiver.core.sow.SowingOption;

/**
 * A plan as the screen shows it.
 *
 * @param possible whether the order can be taken
 * @param plantsToAimFor with spares
 * @param options seeds per cell compared
 * @param chosen of the options
 * @param window of sow days
 * @param windowOpen whether some day is safe on both sides
 * @param emerged when the median seedling shows
 * @param stageReached when there are leaves enough
 * @param ready when hardened
 * @param pastLimit when past its best
 * @param chance of the whole order in time, 0 to 1
 * @param obstacles what stands in the way
 * @param lot that would be sown
 * @param emergencePlace name
 * @param growingPlace name
 * @param hardeningPlace name
 * @param hardeningDays of the usual programme
 * @param slots that the trays take on the bench
 */
record PlanView(
        boolean possible, int plantsToAimFor, List<SowingOption> options, @Nullable SowingOption chosen, @Nullable SowWindow window,
        boolean windowOpen, @Nullable DateSpread emerged, @Nullable DateSpread stageReached, @Nullable DateSpread ready, @Nullable DateSpread pastLimit,
        double chance, List<Obstacle> obstacles, @Nullable LotView lot, String emergencePlace, String growingPlace,
        String hardeningPlace, int hardeningDays, double slots, LocalDate target) {

    /** The lot and what is known of it. */
    record LotView(long id, String code, String supplier, double germination, int seedsLeft) {}

    static PlanView of(PlanService.Planned planned, LocalDate target) {
        Plan plan = planned.plan();
        Container container = planned.container();
        SowingOption chosen = plan.chosen().orElse(null);
        return new PlanView(
                plan.isPossible(),
                plan.plantsToAimFor(),
                plan.options(),
                chosen,
                plan.window().orElse(null),
                plan.window().map(SowWindow::isOpen).orElse(false),
                plan.emerged().orElse(null),
                plan.stageReached().orElse(null),
                plan.ready().orElse(null),
                plan.pastLimit().orElse(null),
                plan.chance(),
                plan.obstacles(),
                planned.lot()
                        .map(lot -> new LotView(
                                lot.id(), lot.code(), lot.supplier(), planned.germination().mean(), lot.seedsLeft()))
                        .orElse(null),
                name(planned.season(), planned.way().emergence()),
                name(planned.season(), planned.way().growingOn()),
                name(planned.season(), planned.way().hardening()),
                planned.programme().days(),
                chosen == null ? 0 : chosen.trays() * container.slots(),
                target);
    }

    private static String name(Season season, PlaceId place) {
        return season.place(place).name();
    }
}
