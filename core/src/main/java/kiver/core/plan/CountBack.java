package kiver.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.DoubleStream;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;
import kiver.core.growth.WinterRest;

/**
 * Counts back from the day on which plants are wanted to the days on which they can be sown.
 *
 * <p>Each possible sow day is followed forwards through every scenario, because temperature, and with it speed,
 * depends on when the plant is where. A year of sow days over thirty scenarios takes a few milliseconds; each sow day
 * is followed once and kept, so that many targets can be tried after one another. What is kept is a pure function of
 * what the count was made of.
 */
public final class CountBack {

    private static final double IN_NINE_OF_TEN = 0.9 - 1e-9;

    private final Path path;
    private final List<Scenario> scenarios;
    private final List<Scenario> draws;
    private final LocalDate firstDay;
    private final SeedlingLight light;
    private final Map<LocalDate, Milestones[]> bySowDay = new ConcurrentHashMap<>();
    private final Map<LocalDate, Milestones[]> drawnBySowDay = new ConcurrentHashMap<>();
    private final Map<LocalDate, Milestones[]> smallBySowDay = new ConcurrentHashMap<>();
    private final List<WinterRest> winters;

    /**
     * A count back where light does not count.
     *
     * @param path from sowing to release
     * @param scenarios ways the season may go, equally likely; not empty
     * @param firstDay of the scenarios
     */
    public CountBack(Path path, List<Scenario> scenarios, LocalDate firstDay) {
        this(path, scenarios, scenarios, firstDay, SeedlingLight.AMPLE);
    }

    /**
     * A count back for seedlings that have that light where they grow on.
     *
     * @param path from sowing to release
     * @param scenarios ways the season may go, on which days are chosen
     * @param draws other ways it may go, from which the chance of a chosen day is read
     * @param firstDay of both
     * @param light where they grow on
     */
    public CountBack(
            Path path, List<Scenario> scenarios, List<Scenario> draws, LocalDate firstDay, SeedlingLight light) {
        this.path = path;
        this.draws = List.copyOf(draws);
        this.scenarios = List.copyOf(scenarios);
        this.firstDay = firstDay;
        this.light = light;
        if (scenarios.isEmpty() || draws.isEmpty()) {
            throw new IllegalArgumentException("Counting back needs at least one scenario.");
        }
        winters = path.winter().isPresent() ? WinterRest.in(scenarios) : List.of();
    }

    /**
     * The window of sow days for a target, none of them before {@code notBefore}.
     *
     * @param target the day on which plants are wanted
     * @param notBefore usually today
     * @return nothing when plants sown on the first day allowed are ready in time in no scenario at all
     */
    public Optional<SowWindow> windowFor(LocalDate target, LocalDate notBefore) {
        Optional<LocalDate> firstYoung =
                first(notBefore, target, day -> chancesOf(day, target).notPast() > 0);
        Optional<LocalDate> lastReady =
                last(notBefore, target, day -> chancesOf(day, target).inTime() > 0);
        if (firstYoung.isEmpty() || lastReady.isEmpty() || !everFit(firstYoung.get(), lastReady.get(), target)) {
            return Optional.empty();
        }
        Optional<LocalDate> earliest =
                first(notBefore, target, day -> chancesOf(day, target).notPast() >= IN_NINE_OF_TEN);
        Optional<LocalDate> latest =
                last(notBefore, target, day -> chancesOf(day, target).inTime() >= IN_NINE_OF_TEN);
        Optional<LocalDate> evenOdds =
                last(notBefore, target, day -> chancesOf(day, target).inTime() >= 0.5);
        boolean open =
                earliest.isPresent() && latest.isPresent() && !earliest.get().isAfter(latest.get());
        Optional<LocalDate> lit = open ? firstLit(earliest.get(), latest.get()) : Optional.empty();
        if (lit.isPresent() && lit.get().isAfter(earliest.get())) {
            return windowFor(target, lit.get()).map(window -> window.because(SowWindow.Limit.LIGHT));
        }
        LocalDate best = open
                ? bestBetween(earliest.get(), latest.get(), target)
                : bestBetween(firstYoung.get(), lastReady.get(), target);
        return Optional.of(new SowWindow(
                earliest.orElse(target),
                earliest.map(day -> day.isAfter(notBefore)).orElse(true)
                        ? limitOn(best, target)
                        : SowWindow.Limit.TODAY,
                best,
                latest.orElse(notBefore.minusDays(1)),
                evenOdds.orElse(notBefore.minusDays(1)),
                drawnChance(best, target)));
    }

    /** Whether plants sown on some day from then on are ready by the target day in any scenario. */
    public boolean everInTime(LocalDate notBefore, LocalDate target) {
        return !notBefore.isAfter(target) && chancesOf(notBefore, target).inTime() > 0;
    }

    private boolean everFit(LocalDate first, LocalDate last, LocalDate target) {
        return !first.isAfter(last)
                && first.datesUntil(last.plusDays(1))
                        .anyMatch(day -> chancesOf(day, target).fit() > 0);
    }

    /** The first day of which something is true that stays true; by halving, since sowing later is never past sooner. */
    private static Optional<LocalDate> first(LocalDate from, LocalDate to, Predicate<LocalDate> isTrue) {
        return last(from, to, isTrue.negate())
                .map(before -> Optional.of(before.plusDays(1)).filter(day -> !day.isAfter(to)))
                .orElseGet(() -> from.isAfter(to) ? Optional.empty() : Optional.of(from));
    }

    /** The last day of which something is true that stays false after; by halving, since sowing later is never ready sooner. */
    private static Optional<LocalDate> last(LocalDate from, LocalDate to, Predicate<LocalDate> isTrue) {
        if (from.isAfter(to) || !isTrue.test(from)) {
            return Optional.empty();
        }
        LocalDate low = from;
        LocalDate high = to;
        while (low.isBefore(high)) {
            LocalDate middle = low.plusDays((ChronoUnit.DAYS.between(low, high) + 1) / 2);
            if (isTrue.test(middle)) {
                low = middle;
            } else {
                high = middle.minusDays(1);
            }
        }
        return Optional.of(low);
    }

    private Optional<LocalDate> firstLit(LocalDate earliest, LocalDate latest) {
        return earliest.datesUntil(latest.plusDays(1)).filter(light::isEnough).findFirst();
    }

    /** Whether seedlings sown on that day have light enough not to stretch. */
    public boolean isLit(LocalDate sowDay) {
        return light.isEnough(sowDay);
    }

    /** The light that seedlings have. */
    SeedlingLight light() {
        return light;
    }

    /** What ends the stay of a batch sown on that day in most scenarios: leaves or days, or winter before either. */
    private SowWindow.Limit limitOn(LocalDate sowDay, LocalDate target) {
        Milestones[] both = milestones(sowDay);
        if (restBetween(sowDay, target).isPresent() && isWaryOfCold() && winterSetsIt(sowDay, target)) {
            return SowWindow.Limit.SEED_AFTER_WINTER;
        }
        Standing sown = Standing.sownAt(time(sowDay));
        Path leavesAlone = path.withoutDaysLimit();
        int byDays = 0;
        for (int index = 0; index < both.length; index++) {
            byDays += both[index].pastLimit()
                            < leavesAlone.from(sown, scenarios.get(index)).pastLimit()
                    ? 1
                    : 0;
        }
        return 2 * byDays > both.length ? SowWindow.Limit.DAYS_IN_CELL : SowWindow.Limit.LEAVES;
    }

    /** Whether plants sown on that day would be too large for winter sooner than they would be past their best on the target day. */
    private boolean winterSetsIt(LocalDate sowDay, LocalDate target) {
        Milestones[] all = milestones(sowDay);
        Milestones[] small = small(sowDay);
        double begins = restBetween(sowDay, target).orElseThrow().from();
        double due = time(target);
        int byWinter = 0;
        for (int index = 0; index < all.length; index++) {
            byWinter += small[index].pastLimit() - begins < all[index].pastLimit() - due ? 1 : 0;
        }
        return 2 * byWinter > all.length;
    }

    /**
     * The last sow day from which half of the scenarios are ready in time; {@code notBefore} when there is none.
     *
     * @param target the day on which plants are wanted, not before {@code notBefore}
     * @param notBefore usually today
     */
    public LocalDate lastEvenOdds(LocalDate target, LocalDate notBefore) {
        return lastInTime(target, notBefore, 0.5);
    }

    /**
     * A sow day about as good as the best, found without looking at every day: of the last days that are in time with
     * nine, seven and five of ten the one with the best chance.
     *
     * @param target the day on which plants are wanted, not before {@code notBefore}
     * @param notBefore usually today
     */
    public LocalDate goodDay(LocalDate target, LocalDate notBefore) {
        return DoubleStream.of(0.5, 0.7, IN_NINE_OF_TEN)
                .mapToObj(share -> lastInTime(target, notBefore, share))
                .max(Comparator.comparingDouble(day -> chance(day, target)))
                .orElseThrow();
    }

    private LocalDate lastInTime(LocalDate target, LocalDate notBefore, double share) {
        return last(notBefore, target, day -> chancesOf(day, target).inTime() >= share)
                .orElse(notBefore);
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
        return bySowDay.computeIfAbsent(sowDay, day -> {
            Standing sown = Standing.sownAt(time(day));
            return scenarios.stream().map(scenario -> path.from(sown, scenario)).toArray(Milestones[]::new);
        });
    }

    /** When a batch sown on that day would be potted on, in order; empty for one that stays where it was sown. */
    public List<DateSpread> pottings(LocalDate sowDay) {
        return path.pottingSpreads(Standing.sownAt(time(sowDay)), scenarios);
    }

    /** The share of scenarios in which a batch sown on that day is fit for release on the target day. */
    public double chance(LocalDate sowDay, LocalDate target) {
        return chancesOf(sowDay, target).fit();
    }

    /** The chance that a batch sown on that day is fit on the target day, on draws that chose no day. */
    public double drawnChance(LocalDate sowDay, LocalDate target) {
        Milestones[] drawn = drawnBySowDay.computeIfAbsent(sowDay, day -> {
            Standing sown = Standing.sownAt(time(day));
            return draws.stream().map(draw -> path.from(sown, draw)).toArray(Milestones[]::new);
        });
        double due = time(target);
        return Arrays.stream(drawn).filter(milestones -> milestones.fitOn(due)).count() / (double) drawn.length;
    }

    private Chances chancesOf(LocalDate sowDay, LocalDate target) {
        double due = time(target);
        int inTime = 0;
        int notPast = 0;
        int fit = 0;
        Milestones[] all = milestones(sowDay);
        Optional<WinterRest> rest = restBetween(sowDay, target);
        // Sown when winter has begun, what is to stand over it is too late.
        double leavesBy = rest.map(WinterRest::from)
                .orElse(path.winter().isPresent() ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY);
        Milestones[] small = rest.isPresent() && isWaryOfCold() ? small(sowDay) : all;
        for (int index = 0; index < all.length; index++) {
            Milestones milestones = all[index];
            boolean ready = milestones.ready() <= due + 1 && milestones.stageReached() <= leavesBy;
            boolean young = milestones.pastLimit() >= due && (small == all || small[index].pastLimit() >= leavesBy);
            inTime += ready ? 1 : 0;
            notPast += young ? 1 : 0;
            fit += ready && young ? 1 : 0;
        }
        double count = scenarios.size();
        return new Chances(inTime / count, notPast / count, fit / count);
    }

    /**
     * The winter that plants sown on a day stand through until a target: the last that begins between the two; empty on a path
     * that does not lead through one, and where they would go on growing.
     */
    public Optional<WinterRest> restBetween(LocalDate sowDay, LocalDate target) {
        return winters.stream()
                .filter(rest -> rest.from() > time(sowDay) && rest.from() < time(target))
                .reduce((earlier, later) -> later);
    }

    /** The last winter that begins before a target and is not over today; plants may be too late for it. */
    Optional<WinterRest> winterBefore(LocalDate target, LocalDate today) {
        return winters.stream()
                .filter(rest -> rest.until() > time(today) && rest.from() < time(target))
                .reduce((earlier, later) -> later);
    }

    /** The day of a time of the scenarios. */
    LocalDate dayAt(double time) {
        return firstDay.plusDays((long) time);
    }

    /** Until when plants sown on a day are small enough to go into winter, in every scenario, as the limit of their path. */
    private Milestones[] small(LocalDate sowDay) {
        Path small = path.limited(path.winter().orElseThrow().mostLeaves(), Double.POSITIVE_INFINITY);
        return smallBySowDay.computeIfAbsent(sowDay, day -> {
            Standing sown = Standing.sownAt(time(day));
            return scenarios.stream()
                    .map(scenario -> small.from(sown, scenario))
                    .toArray(Milestones[]::new);
        });
    }

    private double time(LocalDate day) {
        return ChronoUnit.DAYS.between(firstDay, day);
    }

    private boolean isWaryOfCold() {
        return Double.isFinite(path.winter().orElseThrow().mostLeaves());
    }

    private record Chances(double inTime, double notPast, double fit) {}
}
