package kiver.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Hardiness;
import kiver.core.growth.DateSpread;
import kiver.core.growth.MilestoneSpreads;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.WinterRest;
import kiver.core.order.LongHotDays;
import kiver.core.order.OutdoorSeason;
import kiver.core.sow.SowingOption;

/** Finds what stands in the way of a wish. */
final class PlanObstacles {

    /** Below this chance the plan carries a caution. */
    private static final double LOW_CHANCE = 0.8;

    /** Seed that has to be bought needs so many days to arrive. */
    private static final int DAYS_TO_BUY_SEED = 14;

    /** A crop of which nobody knows when it is harvested stands so many days at least. */
    private static final int DAYS_STANDING = 28;

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
        window.map(SowWindow::best)
                .filter(sowDay -> !light.isEnough(sowDay))
                .ifPresent(sowDay -> found.add(new Obstacle.TooDark(sowDay, light.meanAfter(sowDay), light.needed())));
        seed(chosen, window);
        atTheSite();
        window.map(SowWindow::best).ifPresent(this::longDays);
        containers();
        found.sort((one, other) -> Boolean.compare(other.prevents(), one.prevents()));
        return List.copyOf(found);
    }

    private void inTheNursery(Optional<SowWindow> window, MilestoneSpreads spreads) {
        Path path = request.path();
        double chance = window.map(SowWindow::chance).orElse(0.0);
        int leavesWanted = request.line().stage().from();
        if (request.line().target().isAfter(lastDay)) {
            found.add(new Obstacle.TooFarAhead(lastDay));
        } else if (request.overWinter() && request.crop().hardiness() != Hardiness.HARDY) {
            found.add(new Obstacle.NotOverWinter());
        } else if (request.overWinter()
                && countBack
                        .winterBefore(request.line().target(), request.today())
                        .isEmpty()) {
            found.add(new Obstacle.NoWinterRest());
        } else if (path.winter()
                .filter(winter -> winter.mostLeaves() <= path.leavesWanted())
                .isPresent()) {
            found.add(new Obstacle.SeedAfterWinter(
                    (int) Math.round(path.winter().get().mostLeaves())));
        } else if (path.leavesLimit() <= path.leavesWanted()) {
            found.add(new Obstacle.CellTooSmall(path.leavesLimit(), leavesWanted));
        } else if (spreads.of(Milestones::emerged).isEmpty()) {
            found.add(new Obstacle.NeverEmerges());
        } else if (spreads.of(Milestones::stageReached).isEmpty()) {
            found.add(new Obstacle.NeverGrows(leavesWanted));
        } else if (window.isEmpty()) {
            found.add(noDay(spreads));
        } else if (!window.get().isOpen() && chance < LOW_CHANCE) {
            found.add(new Obstacle.NoSafeDay(window.get().earliestBecause(), path.leavesLimit()));
        } else if (chance < LOW_CHANCE) {
            found.add(new Obstacle.LowChance(chance));
        }
    }

    /** There is no day to sow: it is too late, or there is time enough but no day after which plants are still young. */
    private Obstacle noDay(MilestoneSpreads spreads) {
        Optional<DateSpread> ready = spreads.of(Milestones::ready);
        Optional<WinterRest> rest = countBack.winterBefore(request.line().target(), request.today());
        if (!countBack.everInTime(request.today(), request.line().target())) {
            if (rest.isPresent()) {
                return new Obstacle.TooLateBeforeWinter(
                        countBack.dayAt(rest.get().from()));
            }
            return ready.<Obstacle>map(Obstacle.TooLateToSow::new).orElseGet(Obstacle.TooLateForSeason::new);
        }
        Optional<DateSpread> pastLimit = spreads.of(Milestones::pastLimit);
        return ready.isPresent() && pastLimit.isPresent()
                ? new Obstacle.Outgrows(ready.get(), pastLimit.get())
                : new Obstacle.OutgrowsBeforeReady();
    }

    private void seed(Optional<SowingOption> chosen, Optional<SowWindow> window) {
        if (chosen.isEmpty()) {
            found.add(new Obstacle.NoSeed());
        } else if (chosen.get().seeds() > request.seedsInStock()) {
            int needed = chosen.get().seeds();
            LocalDate lastToBuy = request.today().plusDays(DAYS_TO_BUY_SEED);
            found.add(window.map(SowWindow::best)
                    .filter(best -> !best.isBefore(lastToBuy))
                    .<Obstacle>map(best -> new Obstacle.SeedToBuy(needed, request.seedsInStock(), best))
                    .orElseGet(() -> new Obstacle.TooLittleSeed(needed, request.seedsInStock())));
        }
        Container first = request.sownIn();
        if (request.crop().seed().depth() > first.cellDepth() / 2) {
            found.add(new Obstacle.CellTooShallow(request.crop().seed().depth(), first.cellDepth()));
        }
    }

    private void atTheSite() {
        if (request.outdoors().isEmpty()) {
            return;
        }
        OutdoorSeason outdoors = request.outdoors().get();
        LocalDate target = request.line().target();
        double soilWait = request.crop().outdoors().soilWait();
        double harm = outdoors.chanceOfHarm(target);
        if (harm > OutdoorSeason.FROST_ACCEPTED) {
            found.add(new Obstacle.FrostAtSite(outdoors.threshold(), harm, outdoors.from()));
        }
        if (outdoors.soilNeverWarm()) {
            found.add(new Obstacle.SoilNeverWarm(soilWait));
        } else if (outdoors.soil().isPresent()
                && target.isBefore(outdoors.soil().get().middle())) {
            found.add(new Obstacle.ColdSoil(soilWait, outdoors.soil().get()));
        }
        if (request.overWinter()) {
            outdoors.ground()
                    .filter(ground -> ground.holds(target))
                    .ifPresent(
                            ground -> found.add(new Obstacle.GroundTooCold(ground.plantUntil(), ground.plantFrom())));
        }
        outdoors.pestsOn(target)
                .forEach(pest -> found.add(new Obstacle.PestAbout(
                        pest.pest(), pest.from(), pest.until(), pest.outBy(), pest.coverHelps())));
        outdoors.until()
                .filter(until -> !request.overWinter() && target.isAfter(until))
                .ifPresent(until -> found.add(
                        new Obstacle.TooLateForAutumn(request.crop().outdoors().maturityDays(), until)));
    }

    /** Sown into long hot days, some crops run to seed before anybody harvests them. */
    private void longDays(LocalDate sowDay) {
        LongHotDays longDays = request.outdoors().map(OutdoorSeason::longDays).orElse(LongHotDays.NONE);
        LocalDate target = request.line().target();
        LocalDate harvested = target.plusDays(
                Math.max(DAYS_STANDING, request.crop().outdoors().maturityDays()));
        if (longDays.bolts(sowDay, harvested)) {
            found.add(new Obstacle.BoltsInLongDays(
                    longDays.habit().hours(),
                    longDays.habit().warmth(),
                    longDays.sowAgainFrom(sowDay, ChronoUnit.DAYS.between(sowDay, harvested))));
        }
    }

    private void containers() {
        request.containers()
                .tooLargeAStep()
                .ifPresent(step -> found.add(new Obstacle.PotTooLarge(
                        new ContainerCode(step.into()), new ContainerCode(step.from()), step.times())));
        if (request.crop().cells().habit() == CellHabits.Habit.POORLY) {
            found.add(new Obstacle.BetterSownInPlace());
        }
    }
}
