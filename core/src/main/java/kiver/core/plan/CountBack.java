package kiver.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;

/**
 * Counts back from the day on which plants are wanted to the days on which they can be sown.
 *
 * <p>Each possible sow day is followed forwards through every scenario, because temperature, and with it speed,
 * depends on when the plant is where. A year of sow days over thirty scenarios takes a few milliseconds.
 *
 * @param path from sowing to release
 * @param scenarios ways the season may go, equally likely; not empty
 * @param firstDay of the scenarios
 */
public record CountBack(Path path, List<Scenario> scenarios, LocalDate firstDay) {

    private static final double IN_NINE_OF_TEN = 0.9 - 1e-9;

    public CountBack {
        scenarios = List.copyOf(scenarios);
        if (scenarios.isEmpty()) {
            throw new IllegalArgumentException("Counting back needs at least one scenario.");
        }
    }

    /**
     * The window of sow days for a target, none of them before {@code notBefore}.
     *
     * @param target the day on which plants are wanted
     * @param notBefore usually today
     * @return nothing when plants sown on the first day allowed are ready in time in no scenario at all
     */
    public Optional<SowWindow> windowFor(LocalDate target, LocalDate notBefore) {
        LocalDate earliest = null;
        LocalDate latest = null;
        LocalDate evenOdds = null;
        boolean everFit = false;
        for (LocalDate sowDay = notBefore; !sowDay.isAfter(target); sowDay = sowDay.plusDays(1)) {
            Chances chances = chancesOf(sowDay, target);
            if (earliest == null && chances.notPast() >= IN_NINE_OF_TEN) {
                earliest = sowDay;
            }
            if (chances.inTime() >= IN_NINE_OF_TEN) {
                latest = sowDay;
            }
            if (chances.inTime() >= 0.5) {
                evenOdds = sowDay;
            }
            everFit |= chances.fit() > 0;
            if (chances.inTime() == 0) {
                break;
            }
        }
        if (!everFit) {
            return Optional.empty();
        }
        boolean open = earliest != null && latest != null && !earliest.isAfter(latest);
        LocalDate best = open ? bestBetween(earliest, latest, target) : bestBetween(notBefore, target, target);
        return Optional.of(new SowWindow(
                earliest == null ? target : earliest,
                best,
                latest == null ? notBefore.minusDays(1) : latest,
                evenOdds == null ? notBefore.minusDays(1) : evenOdds,
                chance(best, target)));
    }

    /** The day with the best chance; of several in a row the middle one, which leaves room on both sides. */
    private LocalDate bestBetween(LocalDate first, LocalDate last, LocalDate target) {
        LocalDate begin = first;
        LocalDate end = first;
        double best = -1;
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            double chance = chance(day, target);
            if (chance > best) {
                best = chance;
                begin = day;
                end = day;
            } else if (chance == best && end.plusDays(1).equals(day)) {
                end = day;
            }
        }
        return begin.plusDays(ChronoUnit.DAYS.between(begin, end) / 2);
    }

    /** The path of a batch sown on that day, through every scenario. */
    public Milestones[] milestones(LocalDate sowDay) {
        Standing sown = Standing.sownAt(time(sowDay));
        return scenarios.stream().map(scenario -> path.from(sown, scenario)).toArray(Milestones[]::new);
    }

    /** The share of scenarios in which a batch sown on that day is fit for release on the target day. */
    public double chance(LocalDate sowDay, LocalDate target) {
        return chancesOf(sowDay, target).fit();
    }

    private Chances chancesOf(LocalDate sowDay, LocalDate target) {
        double due = time(target);
        Standing sown = Standing.sownAt(time(sowDay));
        int inTime = 0;
        int notPast = 0;
        int fit = 0;
        for (Scenario scenario : scenarios) {
            Milestones milestones = path.from(sown, scenario);
            boolean ready = milestones.ready() <= due + 1;
            boolean young = milestones.pastLimit() >= due;
            inTime += ready ? 1 : 0;
            notPast += young ? 1 : 0;
            fit += ready && young ? 1 : 0;
        }
        double count = scenarios.size();
        return new Chances(inTime / count, notPast / count, fit / count);
    }

    private double time(LocalDate day) {
        return ChronoUnit.DAYS.between(firstDay, day);
    }

    private record Chances(double inTime, double notPast, double fit) {}
}
