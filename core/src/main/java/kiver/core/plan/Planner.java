package kiver.core.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kiver.core.crop.CellHabits;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Scenario;
import kiver.core.order.GroundRest;
import kiver.core.order.OutdoorSeason;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.ClumpSizes;
import kiver.core.sow.SowQuantity;
import kiver.core.sow.SowingOption;

/** Makes a plan for a wish. */
public final class Planner {

    /** Seeds per cell that are compared with each other. */
    private static final int MOST_SEEDS_COMPARED = 3;

    private Planner() {}

    /**
     * The plan.
     *
     * @param request the wish and what is known
     * @param scenarios ways the season may go; all start on {@code firstDay}
     * @param firstDay of the scenarios
     */
    public static Plan plan(PlanRequest request, List<Scenario> scenarios, LocalDate firstDay) {
        CountBack countBack = new CountBack(request.path(), scenarios, firstDay);
        return plan(
                request,
                countBack,
                firstDay,
                firstDay.plusDays((long) scenarios.get(0).growingOn().end() - 1));
    }

    /**
     * The plan, from a count back that may have served other targets on the same path.
     *
     * @param request the wish and what is known
     * @param countBack along the request's path
     * @param firstDay of its scenarios
     * @param lastDay of its scenarios
     */
    public static Plan plan(PlanRequest request, CountBack countBack, LocalDate firstDay, LocalDate lastDay) {
        int aim = request.allowances().plantsToAimFor(request.line().plants());
        LocalDate target = request.line().target();
        List<SowingOption> options = options(request, aim);
        Optional<SowingOption> chosen = choose(request, options);
        Optional<SowWindow> window =
                target.isBefore(request.today()) ? Optional.empty() : countBack.windowFor(target, request.today());
        LocalDate sowDay = window.map(SowWindow::best).orElse(request.today());
        Milestones[] milestones = countBack.milestones(sowDay);
        double chanceInTime = window.map(SowWindow::chance).orElse(0.0);
        MilestoneSpreads spreads = new MilestoneSpreads(firstDay, lastDay, milestones);
        return new Plan(
                aim,
                options,
                chosen,
                window,
                spreads.of(Milestones::emerged),
                countBack.pottings(sowDay),
                spreads.of(Milestones::stageReached),
                spreads.of(Milestones::ready),
                spreads.of(Milestones::pastLimit),
                winter(request, countBack, sowDay, spreads, lastDay),
                chanceInTime * chosen.map(SowingOption::chance).orElse(0.0),
                new PlanObstacles(request, countBack, lastDay).all(window, chosen, spreads));
    }

    /** They go out before winter once they are ready, and after it until they are past their best, when the ground takes them. */
    private static Optional<WinterStand> winter(
            PlanRequest request, CountBack countBack, LocalDate sowDay, MilestoneSpreads spreads, LocalDate lastDay) {
        Optional<DateSpread> ready = spreads.of(Milestones::ready);
        LocalDate past =
                spreads.of(Milestones::pastLimit).map(DateSpread::early).orElse(lastDay);
        Optional<GroundRest> ground = request.outdoors().flatMap(OutdoorSeason::ground);
        LocalDate site = request.outdoors().map(OutdoorSeason::from).orElse(LocalDate.MIN);
        return countBack.restBetween(sowDay, request.line().target()).map(rest -> {
            LocalDate rests = countBack.dayAt(rest.from());
            LocalDate grows = countBack.dayAt(rest.until());
            return new WinterStand(
                    rests,
                    grows,
                    ready.flatMap(spread -> WinterStand.Span.of(
                            spread.late(),
                            ground.map(GroundRest::plantUntil)
                                    .filter(rests::isAfter)
                                    .orElse(rests))),
                    WinterStand.Span.of(later(ground.map(GroundRest::plantFrom).orElse(grows), site), past));
        });
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private static List<SowingOption> options(PlanRequest request, int aim) {
        if (request.germination() == null) {
            return List.of();
        }
        GerminationNodes nodes = GerminationNodes.of(request.germination());
        return switch (request.containers().kind()) {
            case CLUMPS ->
                List.of(
                        request.line().inClumps()
                                ? single(request, nodes, request.crop().cells().clumpSeeds(), aim)
                                : clumps(request, nodes, aim));
            case PRICKED_OUT -> List.of(single(request, nodes, 1, aim));
            default ->
                IntStream.rangeClosed(1, Math.max(MOST_SEEDS_COMPARED, request.seedsPerCell()))
                        .mapToObj(seeds -> single(request, nodes, seeds, aim))
                        .toList();
        };
    }

    private static SowingOption single(PlanRequest request, GerminationNodes nodes, int seedsPerCell, int aim) {
        SowQuantity quantity = new SowQuantity(
                nodes, seedsPerCell, request.crop().learnt().living().mean());
        int cells = quantity.cellsNeeded(aim, request.allowances().confidence());
        SowQuantity asItMayGo = new SowQuantity(
                nodes.withMishaps(), seedsPerCell, request.crop().learnt().living());
        return option(
                request,
                seedsPerCell,
                cells,
                asItMayGo.chanceOfAtLeast(request.line().accepted(), cells));
    }

    private static SowingOption clumps(PlanRequest request, GerminationNodes nodes, int aim) {
        CellHabits habits = request.crop().cells();
        ClumpSizes sizes = new ClumpSizes(nodes, habits.clumpSeeds(), habits.seedlingsPerSeed());
        double survival = request.crop().learnt().living().mean();
        int cells = sizes.cellsNeeded(aim, request.allowances().confidence(), survival);
        return option(
                request,
                habits.clumpSeeds(),
                cells,
                new ClumpSizes(nodes.withMishaps(), habits.clumpSeeds(), habits.seedlingsPerSeed())
                        .chanceOfAtLeast(request.line().accepted(), cells, survival));
    }

    private static SowingOption option(PlanRequest request, int seedsPerCell, int cells, double chance) {
        int inATray = request.sownIn().cells();
        return new SowingOption(seedsPerCell, cells, (cells + inATray - 1) / inATray, cells * seedsPerCell, chance);
    }

    /** The option asked for; else of those that the seed in stock suffices for, the fewest trays, then the fewest seeds. */
    private static Optional<SowingOption> choose(PlanRequest request, List<SowingOption> options) {
        return options.stream()
                .filter(option -> options.size() == 1
                        || request.seedsPerCell() == 0
                        || option.seedsPerCell() == request.seedsPerCell())
                .min(Comparator.comparing((SowingOption option) -> option.seeds() > request.seedsInStock())
                        .thenComparingInt(SowingOption::trays)
                        .thenComparingInt(SowingOption::seeds));
    }
}
