package kiver.server.space;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.space.Assigner;
import kiver.core.space.Assignment;
import kiver.core.space.Candidate;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.core.space.Suitability;
import kiver.core.space.ToPlace;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchPlan;
import kiver.server.batch.PlanChanges;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.problem.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Places the whole season at once, in the background, one run at a time. */
@Service
public class AssignmentService {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);

    /** The same season is placed the same way each time. */
    private static final long SEED = 1;

    /** Choosing takes this share of the work; weighing candidates the rest. */
    private static final double WEIGHING = 0.7;

    private final BatchesInSpace batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final BatchBook book;
    private final PlanChanges plans;
    private volatile Run run;

    AssignmentService(
            BatchesInSpace batches, SeasonService seasons, NurseryClock clock, BatchBook book, PlanChanges plans) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.book = book;
        this.plans = plans;
    }

    /** A batch that goes somewhere else, or is sown on another day, with the reason. */
    public record Placing(int batch, Way from, Way to, LocalDate sowDayBefore, LocalDate sowDay, boolean changes, String reason) {}

    /** What came of a run. */
    public record Outcome(
            List<Placing> placings, int pinned, double overflowBefore, double overflowAfter, double gap, boolean stopped) {}

    /** A run as far as it is. */
    private static final class Run {
        private final AtomicBoolean stop = new AtomicBoolean();
        private volatile double progress;
        private volatile Outcome outcome;
        private volatile String failure;
    }

    /** Batches that are weighed alike. */
    private record Kind(Crop crop, Path path) {}

    /** How far the last run is. */
    public record Standing(boolean started, boolean running, double progress, Optional<Outcome> outcome, Optional<String> failure) {}

    /** Starts a run unless one is under way. */
    public synchronized Standing start() {
        if (run == null || !standing().running()) {
            Run fresh = new Run();
            run = fresh;
            Season season = seasons.season();
            List<BatchInSpace> all = batches.inSpace();
            LocalDate today = clock.today();
            Thread thread = new Thread(() -> work(fresh, season, all, today), "assign-all");
            thread.setDaemon(true);
            thread.start();
        }
        return standing();
    }

    /** Stops the run; what was found so far stays. */
    public Standing stop() {
        if (run != null) {
            run.stop.set(true);
        }
        return standing();
    }

    /** How far it is. */
    public Standing standing() {
        Run present = run;
        if (present == null) {
            return new Standing(false, false, 0, Optional.empty(), Optional.empty());
        }
        boolean over = present.outcome != null || present.failure != null;
        return new Standing(
                true, !over, present.progress, Optional.ofNullable(present.outcome), Optional.ofNullable(present.failure));
    }

    /** Makes what was found the plan. Answers how many batches changed. */
    @Transactional
    public int take(Long by) {
        Outcome outcome = standing().outcome()
                .orElseThrow(() -> new Refusal("assignment", "There is nothing to take yet: place all first."));
        Map<Integer, BatchPlan> changed = new TreeMap<>();
        for (Placing placing : outcome.placings()) {
            var file = book.file(placing.batch());
            if (placing.changes() && file.state().sownOn().isEmpty() && !file.batch().pinned()) {
                changed.put(placing.batch(),
                        BatchPlan.of(file.batch()).along(placing.to(), false).sownOn(placing.sowDay()));
            }
        }
        plans.change(by, "Place the whole season", changed);
        run = null;
        return changed.size();
    }

    private void work(Run present, Season season, List<BatchInSpace> all, LocalDate today) {
        try {
            Map<Kind, Suitability> suitabilities = new ConcurrentHashMap<>();
            AtomicInteger weighed = new AtomicInteger();
            List<ToPlace> toPlace = all.parallelStream()
                    .map(batch -> {
                        Suitability suitability = suitabilities.computeIfAbsent(
                                new Kind(batch.crop(), batch.path()), kind -> new Suitability(season, kind.crop(), kind.path()));
                        List<Candidate> candidates = candidates(batch, suitability, today, present.stop.get());
                        present.progress = WEIGHING * weighed.incrementAndGet() / all.size();
                        return new ToPlace(batch.number(), batch.crop().code(), candidates);
                    })
                    .toList();
            Assignment assignment = Assigner.assign(
                    season.places(), toPlace, new SplittableRandom(SEED), share -> present.progress = WEIGHING + (1 - WEIGHING) * share,
                    present.stop::get);
            present.outcome = outcome(all, toPlace, assignment, season, today);
        } catch (RuntimeException failure) {
            present.failure = failure.getMessage() == null ? failure.toString() : failure.getMessage();
        }
    }

    /** What is sown stands where it stands; what was placed by hand stays; everything else may go anywhere that suits. */
    private static List<Candidate> candidates(BatchInSpace batch, Suitability suitability, LocalDate today, boolean stopped) {
        Candidate asItIs = new Candidate(batch.way(), 0, batch.stays());
        if (batch.sown() || batch.pinned() || stopped || batch.target().isBefore(today)) {
            return List.of(asItIs);
        }
        return suitability.candidates(batch.target(), today, batch.slotsByContainer());
    }

    private static Outcome outcome(
            List<BatchInSpace> all, List<ToPlace> toPlace, Assignment assignment, Season season, LocalDate today) {
        Map<Integer, List<Stay>> before = new HashMap<>();
        Map<Integer, List<Stay>> after = new HashMap<>();
        for (int index = 0; index < all.size(); index++) {
            before.put(all.get(index).number(), all.get(index).stays());
            after.put(all.get(index).number(), chosen(toPlace, assignment, index).stays());
        }
        int days = (int) (season.lastDay().toEpochDay() - today.toEpochDay()) + 1;
        Occupancy then = Occupancy.of(season.places(), after, today, days);
        Map<String, List<Candidate>> byKin = IntStream.range(0, all.size()).boxed().collect(Collectors.groupingBy(
                index -> toPlace.get(index).kin(),
                Collectors.mapping(index -> chosen(toPlace, assignment, index), Collectors.toList())));
        List<Placing> placings = new ArrayList<>();
        for (int index = 0; index < all.size(); index++) {
            BatchInSpace batch = all.get(index);
            Candidate chosen = chosen(toPlace, assignment, index);
            LocalDate sowDay = batch.sown() || toPlace.get(index).candidates().size() == 1
                    ? batch.sowDay()
                    : chosen.stays().get(0).from();
            boolean changes = !chosen.way().equals(batch.way()) || !sowDay.equals(batch.sowDay());
            placings.add(new Placing(
                    batch.number(), batch.way(), chosen.way(), batch.sowDay(), sowDay, changes,
                    reason(batch, toPlace.get(index).candidates().get(0), chosen, byKin.get(toPlace.get(index).kin()), then)));
        }
        return new Outcome(
                placings, (int) all.stream().filter(BatchInSpace::pinned).count(),
                Occupancy.of(season.places(), before, today, days).overfullness(), then.overfullness(), assignment.gap(), assignment.stopped());
    }

    private static Candidate chosen(List<ToPlace> toPlace, Assignment assignment, int index) {
        return toPlace.get(index).candidates().get(assignment.chosen().get(index));
    }

    /** Whether others of its crop grow on at the same place. */
    private static boolean beside(Candidate chosen, List<Candidate> kin) {
        return kin.stream().anyMatch(other -> other != chosen && other.growsBeside(chosen));
    }

    private static String reason(
            BatchInSpace batch, Candidate best, Candidate chosen, List<Candidate> kin, Occupancy then) {
        if (batch.sown()) {
            return "Stands there already.";
        }
        if (batch.pinned()) {
            return "Placed by hand.";
        }
        if (chosen == best) {
            return "What suits it best has room.";
        }
        Optional<Occupancy.Lack> lack = then.lackFor(best.stays(), chosen.stays());
        return lack
                .map(over -> over.place().name() + " would suit it best but is full from " + DAY.format(over.from())
                        + " to " + DAY.format(over.until().minusDays(1)) + ".")
                .orElse(beside(chosen, kin)
                        ? "Suits it nearly as well as the best, and more " + batch.crop().name().toLowerCase(Locale.ROOT)
                                + " stands there."
                        : "Leaves room where others need it more.");
    }
}
