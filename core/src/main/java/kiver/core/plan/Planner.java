package kiver.core.plan;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.SowingOption;
import kiver.core.sow.SowQuantity;

/** Makes a plan for a wish. */
public final class Planner {

    /** Seeds per cell that are compared with each other. */
    private static final int MOST_SEEDS_COMPARED = 3;

    /** Below this chance the plan carries a caution. */
    private static final double LOW_CHANCE = 0.8;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private Planner() {}

    /**
     * The plan.
     *
     * @param request the wish and what is known
     * @param scenarios ways the season may go; all start on {@code firstDay}
     * @param firstDay of the scenarios
     */
    public static Plan plan(PlanRequest request, List<Scenario> scenarios, LocalDate firstDay) {
        int aim = request.allowances().plantsToAimFor(request.line().plants());
        Path path = pathOf(request);
        CountBack countBack = new CountBack(path, scenarios, firstDay);
        LocalDate target = request.line().target();
        List<SowingOption> options = options(request, aim);
        Optional<SowingOption> chosen = choose(request, options);
        Optional<SowWindow> window =
                target.isBefore(request.today()) ? Optional.empty() : countBack.windowFor(target, request.today());
        LocalDate sowDay = window.map(SowWindow::best).orElse(request.today());
        Milestones[] milestones = countBack.milestones(sowDay);
        LocalDate lastDay = firstDay.plusDays((long) scenarios.get(0).growingOn().end() - 1);
        double chanceInTime = window.map(SowWindow::chance).orElse(0.0);
        MilestoneSpreads spreads = new MilestoneSpreads(firstDay, lastDay, milestones);
        return new Plan(
                aim,
                options,
                chosen,
                window,
                spreads.of(Milestones::emerged),
                spreads.of(Milestones::stageReached),
                spreads.of(Milestones::ready),
                spreads.of(Milestones::pastLimit),
                chanceInTime * chosen.map(SowingOption::chance).orElse(0.0),
                obstacles(request, path, window, chosen, spreads, chanceInTime));
    }

    private static Path pathOf(PlanRequest request) {
        double limit = Math.min(
                request.line().stage().to() + 1.0, request.crop().leafLimitIn(request.container()));
        return new Path(request.line().stage().from(), limit, request.hardeningDays());
    }

    private static List<SowingOption> options(PlanRequest request, int aim) {
        if (request.germination() == null) {
            return List.of();
        }
        GerminationNodes nodes = GerminationNodes.of(request.germination());
        int most = Math.max(MOST_SEEDS_COMPARED, request.seedsPerCell());
        return IntStream.rangeClosed(1, most)
                .mapToObj(seeds -> option(request, new SowQuantity(nodes, seeds, request.allowances().survival()), aim))
                .toList();
    }

    private static SowingOption option(PlanRequest request, SowQuantity quantity, int aim) {
        int cells = quantity.cellsNeeded(aim, request.allowances().confidence());
        int trays = (cells + request.container().cells() - 1) / request.container().cells();
        return new SowingOption(
                quantity.seedsPerCell(),
                cells,
                trays,
                cells * quantity.seedsPerCell(),
                quantity.chanceOfAtLeast(request.line().plants(), cells));
    }

    /** The option asked for, else the fewest trays, and of those the fewest seeds. */
    private static Optional<SowingOption> choose(PlanRequest request, List<SowingOption> options) {
        return options.stream()
                .filter(option -> request.seedsPerCell() == 0 || option.seedsPerCell() == request.seedsPerCell())
                .min(Comparator.comparingInt(SowingOption::trays).thenComparingInt(SowingOption::seeds));
    }

    private static List<Obstacle> obstacles(
            PlanRequest request,
            Path path,
            Optional<SowWindow> window,
            Optional<SowingOption> chosen,
            MilestoneSpreads spreads,
            double chanceInTime) {
        List<Obstacle> found = new ArrayList<>();
        String crop = request.crop().name();
        if (path.leavesLimit() <= path.leavesWanted()) {
            found.add(obstacle(Obstacle.Kind.OUTGROWS_CONTAINER, true,
                    "%s fills a cell of the %s at %.1f true leaves, fewer than the %d wanted. Choose larger cells or fewer leaves.",
                    crop, request.container().name(), path.leavesLimit(), request.line().stage().from()));
        } else if (spreads.of(Milestones::emerged).isEmpty()) {
            found.add(obstacle(Obstacle.Kind.NEVER_EMERGES, true,
                    "%s would not come up this season where its seed would lie. Choose a warmer or cooler place for it.", crop));
        } else if (spreads.of(Milestones::stageReached).isEmpty()) {
            found.add(obstacle(Obstacle.Kind.NEVER_GROWS, true,
                    "%s would not make %d true leaves this season where it would grow on.",
                    crop, request.line().stage().from()));
        } else if (window.isEmpty()) {
            found.add(tooLateToSow(request, spreads));
        } else if (!window.get().isOpen() && chanceInTime < LOW_CHANCE) {
            found.add(obstacle(Obstacle.Kind.OUTGROWS_CONTAINER, false,
                    "No sow date is safe on both sides: plants would be late or past %.1f true leaves. Larger cells or a wider leaf range would help.",
                    path.leavesLimit()));
        } else if (chanceInTime < LOW_CHANCE) {
            found.add(obstacle(Obstacle.Kind.LOW_CHANCE, false,
                    "Even sown on the best day, plants are ready and not past their best on %s in only %.0f %% of the years looked at.",
                    DAY.format(request.line().target()), 100 * chanceInTime));
        }
        found.addAll(seedObstacles(request, chosen));
        return found;
    }

    private static Obstacle tooLateToSow(PlanRequest request, MilestoneSpreads spreads) {
        String ready = spreads.of(Milestones::ready)
                .map(spread -> "Sown today it would most likely be ready on " + DAY.format(spread.middle())
                        + ", and nine times in ten by " + DAY.format(spread.late()) + ".")
                .orElse("Sown today it would not be ready this season.");
        return obstacle(Obstacle.Kind.TOO_LATE_TO_SOW, true,
                "It is too late to sow for %s. %s", DAY.format(request.line().target()), ready);
    }

    private static List<Obstacle> seedObstacles(PlanRequest request, Optional<SowingOption> chosen) {
        List<Obstacle> found = new ArrayList<>();
        if (chosen.isEmpty()) {
            found.add(obstacle(Obstacle.Kind.NO_SEED, true,
                    "There is no seed of this variety in the store. Buy a lot in, or choose another variety."));
        } else if (chosen.get().seeds() > request.seedsInStock()) {
            found.add(obstacle(Obstacle.Kind.TOO_LITTLE_SEED, true,
                    "%d seeds are needed and %d are left in the lot. Choose fewer seeds per cell, another lot, or buy seed.",
                    chosen.get().seeds(), request.seedsInStock()));
        }
        if (request.crop().seed().depth() > request.container().cellDepth() / 2) {
            found.add(obstacle(Obstacle.Kind.CELL_TOO_SHALLOW, false,
                    "The seed lies %.0f mm deep in a cell of %.0f mm. A deeper cell gives its roots room.",
                    request.crop().seed().depth(), request.container().cellDepth()));
        }
        return found;
    }

    private static Obstacle obstacle(Obstacle.Kind kind, boolean prevents, String message, Object... values) {
        return new Obstacle(kind, prevents, String.format(Locale.ROOT, message, values));
    }
}
