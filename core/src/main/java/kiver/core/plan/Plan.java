package kiver.core.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.growth.DateSpread;
import kiver.core.sow.SowingOption;

/**
 * The answer to a wish. Computed from today's knowledge; it goes stale with every reading and count.
 *
 * @param plantsToAimFor the wish and its spares
 * @param options seeds per cell compared, fewest first; empty without a lot
 * @param chosen the option used, empty without a lot
 * @param window of sow days, empty when there is none
 * @param emerged when the median seedling shows, if sown on the best day
 * @param pottings when plants are potted on, in order
 * @param stageReached when there are enough leaves
 * @param ready when hardened
 * @param pastLimit when past its best
 * @param winter how they stand over it, where they are to
 * @param chance of the wish being met whole: enough plants, in time, not past their best
 * @param obstacles what stands in the way, worst first
 */
public record Plan(
        int plantsToAimFor,
        List<SowingOption> options,
        Optional<SowingOption> chosen,
        Optional<SowWindow> window,
        Optional<DateSpread> emerged,
        List<DateSpread> pottings,
        Optional<DateSpread> stageReached,
        Optional<DateSpread> ready,
        Optional<DateSpread> pastLimit,
        Optional<WinterStand> winter,
        double chance,
        List<Obstacle> obstacles) {

    public Plan {
        options = List.copyOf(options);
        pottings = List.copyOf(pottings);
        obstacles = List.copyOf(obstacles);
    }

    /** Whether the wish can be met at all. */
    public boolean isPossible() {
        return obstacles.stream().noneMatch(Obstacle::prevents);
    }

    /** The day to sow, where there is one. */
    public Optional<LocalDate> sowDay() {
        return window.map(SowWindow::best);
    }
}
