package kiver.core.plan;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Container;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.order.OutdoorSeason;
import kiver.core.sow.SowingOption;

/** Finds what stands in the way of a wish, and says it with what could be done. */
final class PlanObstacles {

    /** Below this chance the plan carries a caution. */
    private static final double LOW_CHANCE = 0.8;

    /** Seed that has to be bought needs so many days to arrive. */
    private static final int DAYS_TO_BUY_SEED = 14;

    private static final double FROST_MORE_LIKELY_THAN_NOT = 0.5;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private final PlanRequest request;
    private final CountBack countBack;
    private final LocalDate lastDay;
    private final List<Obstacle> found = new ArrayList<>();

    PlanObstacles(PlanRequest request, CountBack countBack, LocalDate lastDay) {
        this.request = request;
        this.countBack = countBack;
        this.lastDay = lastDay;
    }

    /** Everything in the way, worst first. */
    List<Obstacle> all(Optional<SowWindow> window, Optional<SowingOption> chosen, MilestoneSpreads spreads) {
        SeedlingLight light = countBack.light();
        inTheNursery(window, spreads);
        window.map(SowWindow::best).filter(sowDay -> !light.isEnough(sowDay)).ifPresent(sowDay -> tooDark(sowDay, light));
        seed(chosen, window);
        atTheSite();
        containers();
        found.sort((one, other) -> Boolean.compare(other.prevents(), one.prevents()));
        return List.copyOf(found);
    }

    private void inTheNursery(Optional<SowWindow> window, MilestoneSpreads spreads) {
        Path path = request.path();
        String crop = request.crop().name();
        double chance = window.map(SowWindow::chance).orElse(0.0);
        if (request.line().target().isAfter(lastDay)) {
            add(Obstacle.Kind.TOO_FAR_AHEAD, true,
                    "%s lies beyond %s, the last day that can be looked at. Ask again nearer the time.",
                    day(request.line().target()), day(lastDay));
        } else if (path.leavesLimit() <= path.leavesWanted()) {
            add(Obstacle.Kind.OUTGROWS_CONTAINER, true,
                    "%s fills a cell of the %s at %.1f true leaves, fewer than the %d wanted. Choose larger cells or fewer leaves.",
                    crop, request.containers().last().name(), path.leavesLimit(), request.line().stage().from());
        } else if (spreads.of(Milestones::emerged).isEmpty()) {
            add(Obstacle.Kind.NEVER_EMERGES, true,
                    "%s would not come up this season where its seed would lie. Choose a warmer or cooler place for it.", crop);
        } else if (spreads.of(Milestones::stageReached).isEmpty()) {
            add(Obstacle.Kind.NEVER_GROWS, true,
                    "%s would not make %d true leaves this season where it would grow on.",
                    crop, request.line().stage().from());
        } else if (window.isEmpty() && countBack.everInTime(request.today(), request.line().target())) {
            outgrows(spreads);
        } else if (window.isEmpty()) {
            tooLateToSow(spreads);
        } else if (!window.get().isOpen() && chance < LOW_CHANCE) {
            add(Obstacle.Kind.OUTGROWS_CONTAINER, false,
                    "No sow date is safe on both sides: plants would be late or past %s. Larger cells or a wider leaf range would help.",
                    window.get().earliestBecause() == SowWindow.Limit.DAYS_IN_CELL
                            ? "their days in the cell"
                            : String.format(Locale.ROOT, "%.1f true leaves", path.leavesLimit()));
        } else if (chance < LOW_CHANCE) {
            add(Obstacle.Kind.LOW_CHANCE, false,
                    "Even sown on the best day, plants are ready and not past their best on %s in only %.0f %% of the years looked at.",
                    day(request.line().target()), 100 * chance);
        }
    }

    private void tooDark(LocalDate sowDay, SeedlingLight light) {
        add(Obstacle.Kind.LEGGY, false,
                "Sown on %s, seedlings have about %.1f mol of light a day and stretch below %.1f. "
                        + "Lamps over them, or a later date, would keep them sturdy.",
                day(sowDay), light.meanAfter(sowDay), light.needed());
    }

    /** There is time enough, but no day of sowing after which plants are ready and still young on the day. */
    private void outgrows(MilestoneSpreads spreads) {
        String ready = spreads.of(Milestones::ready)
                .map(spread -> " Sown today it would most likely be ready on " + day(spread.middle()))
                .orElse(" Sown today it would not be ready this season");
        String past = spreads.of(Milestones::pastLimit)
                .map(spread -> " and past its best from " + day(spread.middle()) + ".")
                .orElse(".");
        add(Obstacle.Kind.OUTGROWS_CONTAINER, true,
                "On no day can %s be sown in the %s so that it is ready and not past its best on %s.%s%s"
                        + " Larger cells or a wider leaf range would help.",
                request.crop().name().toLowerCase(Locale.ROOT), request.containers().last().name().toLowerCase(Locale.ROOT),
                day(request.line().target()), ready, past);
    }

    private void tooLateToSow(MilestoneSpreads spreads) {
        String ready = spreads.of(Milestones::ready)
                .map(spread -> "Sown today it would most likely be ready on " + day(spread.middle())
                        + ", and nine times in ten by " + day(spread.late()) + ".")
                .orElse("Sown today it would not be ready this season.");
        add(Obstacle.Kind.TOO_LATE_TO_SOW, true, "It is too late to sow for %s. %s", day(request.line().target()), ready);
    }

    private void seed(Optional<SowingOption> chosen, Optional<SowWindow> window) {
        if (chosen.isEmpty()) {
            add(Obstacle.Kind.NO_SEED, true,
                    "There is no seed of this variety in the store. Buy a lot in, or choose another variety.");
        } else if (chosen.get().seeds() > request.seedsInStock()) {
            LocalDate lastToBuy = request.today().plusDays(DAYS_TO_BUY_SEED);
            boolean tooLateToBuy = window.map(days -> days.best().isBefore(lastToBuy)).orElse(true);
            add(Obstacle.Kind.TOO_LITTLE_SEED, tooLateToBuy,
                    "%d seeds are needed and %d are left in the lot. Choose fewer seeds per cell, another lot, or buy seed%s.",
                    chosen.get().seeds(), request.seedsInStock(),
                    tooLateToBuy ? "" : " by " + day(window.get().best()));
        }
        Container first = request.sownIn();
        if (request.crop().seed().depth() > first.cellDepth() / 2) {
            add(Obstacle.Kind.CELL_TOO_SHALLOW, false,
                    "The seed lies %.0f mm deep in a cell of %.0f mm. A deeper cell gives its roots room.",
                    request.crop().seed().depth(), first.cellDepth());
        }
    }

    private void atTheSite() {
        if (request.outdoors().isEmpty()) {
            return;
        }
        OutdoorSeason outdoors = request.outdoors().get();
        LocalDate target = request.line().target();
        String crop = request.crop().name();
        double harm = outdoors.chanceOfHarm(target);
        if (harm > OutdoorSeason.FROST_ACCEPTED) {
            add(Obstacle.Kind.FROST_AT_SITE, harm > FROST_MORE_LIKELY_THAN_NOT,
                    "%s is harmed at %.0f °C, and at this site that comes after %s in %.0f years of 100. "
                            + "It may go out from %s; a cover or a tunnel would bring that forward.",
                    crop, outdoors.threshold(), day(target), 100 * harm, day(outdoors.from()));
        }
        if (outdoors.soilNeverWarm()) {
            add(Obstacle.Kind.COLD_SOIL, false,
                    "%s waits for soil of %.0f °C, which this site reaches in fewer than half of the years. A tunnel would help.",
                    crop, request.crop().outdoors().soilWait());
        } else if (outdoors.soil().isPresent() && target.isBefore(outdoors.soil().get().middle())) {
            add(Obstacle.Kind.COLD_SOIL, false,
                    "%s waits for soil of %.0f °C. At this site that is most likely on %s (%s to %s).",
                    crop, request.crop().outdoors().soilWait(), day(outdoors.soil().get().middle()),
                    day(outdoors.soil().get().early()), day(outdoors.soil().get().late()));
        }
        if (outdoors.until().isPresent() && target.isAfter(outdoors.until().get())) {
            add(Obstacle.Kind.TOO_LATE_FOR_AUTUMN, true,
                    "Planted on %s, %s would not be done before frost and dark: %d days and what shortening days add "
                            + "lead back to %s at the latest.",
                    day(target), crop.toLowerCase(Locale.ROOT), request.crop().outdoors().maturityDays(),
                    day(outdoors.until().get()));
        }
    }

    private void containers() {
        request.containers().tooLargeAStep().ifPresent(words -> add(Obstacle.Kind.POT_TOO_LARGE, false, "%s", words));
        if (request.crop().cells().habit() == CellHabits.Habit.POORLY) {
            add(Obstacle.Kind.BETTER_SOWN_IN_PLACE, false,
                    "%s is better sown where it is to stand: its root does not take a cell well. If it must be raised, hand it over young.",
                    request.crop().name());
        }
    }

    private void add(Obstacle.Kind kind, boolean prevents, String message, Object... values) {
        found.add(new Obstacle(kind, prevents, String.format(Locale.ROOT, message, values)));
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }
}
